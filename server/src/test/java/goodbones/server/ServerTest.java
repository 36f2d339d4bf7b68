package goodbones.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.security.test.context.support.WithUserDetails;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;

/** A test on the whole server with the demo data, in a database of its own. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(
    properties = {
      "goodbones.demo=true",
      "goodbones.demo.work=false",
      "springdoc.api-docs.enabled=true"
    })
@ContextConfiguration(initializers = FilledDatabase.class)
@AutoConfigureMockMvc
@WithUserDetails("iris")
@DirtiesContext(classMode = DirtiesContext.ClassMode.AFTER_CLASS)
public @interface ServerTest {}
