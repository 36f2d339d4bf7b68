package goodbones.server.pages;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every address of the interface leads to the one page that it is made of. */
@Controller
class InterfaceController {
  @GetMapping({
    "/",
    "/sign-in",
    "/library",
    "/library/**",
    "/sites",
    "/sites/**",
    "/finishes",
    "/finishes/**",
    "/rollouts",
    "/rollouts/**"
  })
  String index() {
    return "forward:/index.html";
  }
}
