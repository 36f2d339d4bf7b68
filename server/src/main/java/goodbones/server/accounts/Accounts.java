package goodbones.server.accounts;

import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** The accounts, and the first one: in demo mode those of the demo, else one that is made up. */
@Service
class Accounts implements UserDetailsService, ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(Accounts.class);

  /** Shown on the sign-in page in demo mode. */
  record DemoAccount(String name, String password) {}

  private static final List<DemoAccount> DEMO =
      List.of(new DemoAccount("iris", "ridge-beam"), new DemoAccount("tom", "king-post"));

  private final AccountRepository repository;
  private final PasswordEncoder encoder;
  private final boolean demo;

  Accounts(
      AccountRepository repository,
      PasswordEncoder encoder,
      @Value("${goodbones.demo}") boolean demo) {
    this.repository = repository;
    this.encoder = encoder;
    this.demo = demo;
  }

  List<DemoAccount> shownAccounts() {
    return demo ? DEMO : List.of();
  }

  @Override
  public void run(ApplicationArguments args) {
    if (repository.count() > 0) {
      return;
    }
    if (demo) {
      DEMO.forEach(account -> add(account.name(), account.password()));
      return;
    }
    byte[] random = new byte[9];
    new SecureRandom().nextBytes(random);
    String password = HexFormat.of().formatHex(random);
    add("designer", password);
    LOG.info("First start: sign in as designer with the password {}", password);
  }

  private void add(String name, String password) {
    repository.save(new Account(name, encoder.encode(password)));
  }

  @Override
  public UserDetails loadUserByUsername(String name) {
    Account account =
        repository.findById(name).orElseThrow(() -> new UsernameNotFoundException(name));
    return User.withUsername(account.name())
        .password(account.passwordHash())
        .roles("DESIGNER")
        .build();
  }
}
