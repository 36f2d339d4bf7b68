package goodbones.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is signed in, and the ways in besides a password: one-time codes. */
@RestController
class SessionController {
  private final People people;
  private final Attempts attempts;

  SessionController(People people, Attempts attempts) {
    this.people = people;
    this.attempts = attempts;
  }

  /**
   * @param user empty when nobody is signed in
   * @param firstStart whether nobody works here yet
   * @param demoAccounts what to sign in with, in demo mode only
   */
  record Session(String user, boolean firstStart, List<People.DemoAccount> demoAccounts) {}

  /** A one-time code, and the password that is wanted from now on. */
  record WithCode(
      @NotNull @Size(max = 200) String name,
      @NotNull @Size(max = 100) String code,
      @NotNull @Size(max = 200) String password) {}

  @GetMapping("/api/session")
  Session session(@Nullable Principal principal) {
    return new Session(
        principal == null ? "" : principal.getName(),
        people.isFirstStart(),
        people.shownAccounts());
  }

  /** Makes the first account with the code that was printed at the start. */
  @PostMapping("/api/session/first")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void first(@Valid @RequestBody WithCode first, HttpServletRequest request) {
    // One account for all that is tried here, whatever name is given.
    guarded("", request, () -> people.first(first.code(), first.name(), first.password()));
  }

  /** Chooses a password with a code that somebody gave. */
  @PostMapping("/api/session/code")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void code(@Valid @RequestBody WithCode given, HttpServletRequest request) {
    guarded(
        given.name(), request, () -> people.redeem(given.name(), given.code(), given.password()));
  }

  private void guarded(String name, HttpServletRequest request, Runnable attempt) {
    attempts.guarded(name, request.getRemoteAddr(), WrongCode.class, attempt);
  }

  @ExceptionHandler
  ProblemDetail wrongCode(WrongCode wrong) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.UNPROCESSABLE_CONTENT, String.valueOf(wrong.getMessage()));
    problem.setTitle("This code lets nobody in");
    return problem;
  }
}
