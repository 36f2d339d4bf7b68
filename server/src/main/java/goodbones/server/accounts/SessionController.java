package goodbones.server.accounts;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class SessionController {
  private final Accounts accounts;

  SessionController(Accounts accounts) {
    this.accounts = accounts;
  }

  /**
   * @param user empty when nobody is signed in
   * @param demoAccounts what to sign in with, in demo mode only
   */
  record Session(String user, List<Accounts.DemoAccount> demoAccounts) {}

  @GetMapping("/api/session")
  Session session(@Nullable Principal principal) {
    return new Session(principal == null ? "" : principal.getName(), accounts.shownAccounts());
  }
}
