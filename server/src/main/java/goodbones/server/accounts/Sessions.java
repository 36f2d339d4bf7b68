package goodbones.server.accounts;

import java.util.List;
import java.util.Optional;
import org.springframework.security.core.session.SessionInformation;
import org.springframework.security.core.session.SessionRegistry;
import org.springframework.stereotype.Component;

/** Who is signed in, and where. */
@Component
class Sessions {
  private final SessionRegistry registry;

  Sessions(SessionRegistry registry) {
    this.registry = registry;
  }

  private List<SignedIn> of(String personId) {
    return registry.getAllPrincipals().stream()
        .filter(SignedIn.class::isInstance)
        .map(SignedIn.class::cast)
        .filter(one -> one.id().equals(personId))
        .toList();
  }

  private List<SessionInformation> open(String personId) {
    return of(personId).stream()
        .flatMap(one -> registry.getAllSessions(one, false).stream())
        .toList();
  }

  int count(String personId) {
    return open(personId).size();
  }

  /**
   * @param but a session that goes on
   */
  void end(String personId, Optional<String> but) {
    open(personId).stream()
        .filter(session -> !but.equals(Optional.of(session.getSessionId())))
        .forEach(SessionInformation::expireNow);
  }

  void rename(String personId, String name) {
    open(personId).stream()
        .map(SessionInformation::getPrincipal)
        .map(SignedIn.class::cast)
        .forEach(one -> one.rename(name));
  }
}
