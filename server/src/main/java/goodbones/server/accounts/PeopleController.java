package goodbones.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who works here. Everybody who is signed in may add others; see decisions. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
  private final People people;
  private final Attempts attempts;

  PeopleController(People people, Attempts attempts) {
    this.people = people;
    this.attempts = attempts;
  }

  record Named(@NotNull @Size(max = 200) String name) {}

  record Passwords(
      @NotNull @Size(max = 200) String present, @NotNull @Size(max = 200) String wanted) {}

  @GetMapping
  List<People.PersonView> people(@AuthenticationPrincipal SignedIn me) {
    return people.all(me.id());
  }

  @PostMapping
  People.CodeView add(@Valid @RequestBody Named person) {
    return people.add(person.name());
  }

  @PostMapping("/{id}/name")
  List<People.PersonView> rename(
      @PathVariable String id,
      @RequestParam String etag,
      @Valid @RequestBody Named person,
      @AuthenticationPrincipal SignedIn me) {
    people.rename(id, etag, person.name());
    return people.all(me.id());
  }

  @PostMapping("/{id}/code")
  People.CodeView newCode(@PathVariable String id) {
    return people.newCode(id);
  }

  @PostMapping("/{id}/end-sessions")
  List<People.PersonView> endSessions(
      @PathVariable String id, HttpServletRequest request, @AuthenticationPrincipal SignedIn me) {
    people.endSessions(id, session(request));
    return people.all(me.id());
  }

  @PostMapping("/me/password")
  List<People.PersonView> changePassword(
      @Valid @RequestBody Passwords passwords,
      HttpServletRequest request,
      @AuthenticationPrincipal SignedIn me) {
    attempts.guarded(
        "password of " + me.id(),
        request.getRemoteAddr(),
        WrongPassword.class,
        () ->
            people.changePassword(
                me.id(), passwords.present(), passwords.wanted(), session(request)));
    return people.all(me.id());
  }

  private static String session(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session == null ? "" : session.getId();
  }
}
