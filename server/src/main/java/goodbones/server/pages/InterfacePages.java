package goodbones.server.pages;

import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every address of the interface leads to the one page that it is made of. */
@Configuration
public class InterfacePages implements WebMvcConfigurer {
  /** The addresses of the interface, as patterns. */
  public static final List<String> ADDRESSES =
      List.of(
          "/",
          "/sign-in",
          "/library",
          "/library/**",
          "/sites",
          "/sites/**",
          "/finishes",
          "/finishes/**",
          "/rollouts",
          "/rollouts/**",
          "/pictures",
          "/people");

  /** The files that it is made of. */
  public static final List<String> FILES = List.of("/index.html", "/mark.svg", "/assets/**");

  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    ADDRESSES.forEach(path -> registry.addViewController(path).setViewName("forward:/index.html"));
  }
}
