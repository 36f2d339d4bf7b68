package goodbones.server.accounts;

import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** A person in a session. The same person in all of them, whatever the name is by now. */
final class SignedIn implements UserDetails, CredentialsContainer {
  private static final long serialVersionUID = 1L;
  private static final List<GrantedAuthority> DESIGNER =
      List.of(new SimpleGrantedAuthority("ROLE_DESIGNER"));

  private final String id;
  private volatile String name;
  private @Nullable String passwordHash;

  SignedIn(Person person) {
    this.id = person.id();
    this.name = person.name();
    this.passwordHash = person.passwordHash().orElse("");
  }

  String id() {
    return id;
  }

  void rename(String newName) {
    name = newName;
  }

  @Override
  public String getUsername() {
    return name;
  }

  @Override
  public @Nullable String getPassword() {
    return passwordHash;
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return DESIGNER;
  }

  @Override
  public void eraseCredentials() {
    passwordHash = null;
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof SignedIn one && id.equals(one.id);
  }

  @Override
  public int hashCode() {
    return id.hashCode();
  }
}
