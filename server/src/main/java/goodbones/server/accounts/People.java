package goodbones.server.accounts;

import com.fasterxml.jackson.annotation.JsonProperty;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import goodbones.server.problems.NotFound;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The people who work here. The first one is made in the browser, with a code that is printed when
 * the application starts; those of the demo come in only in demo mode, whatever the database holds.
 */
@Service
class People implements UserDetailsService, SmartInitializingSingleton {
  static final int NAME_LIMIT = 80;
  static final int PASSWORD_LEAST = 10;

  /** What the hash takes in: 72 bytes (the limit of bcrypt). */
  static final int PASSWORD_MOST = 72;

  private static final Duration CODE_LASTS = Duration.ofDays(7);

  /** Shown on the sign-in page in demo mode. */
  record DemoAccount(String name, String password) {}

  private static final List<DemoAccount> DEMO =
      List.of(new DemoAccount("iris", "ridge-beam"), new DemoAccount("tom", "king-post"));

  private final PersonRepository people;
  private final PasswordEncoder encoder;
  private final Sessions sessions;
  private final FirstStart firstStart;
  private final Clock clock;
  private final boolean demo;
  private final String nobodysCode;

  People(
      PersonRepository people,
      PasswordEncoder encoder,
      Sessions sessions,
      FirstStart firstStart,
      Clock clock,
      @Value("${goodbones.demo}") boolean demo) {
    this.people = people;
    this.encoder = encoder;
    this.sessions = sessions;
    this.firstStart = firstStart;
    this.clock = clock;
    this.demo = demo;
    this.nobodysCode = hash(Codes.read(Codes.fresh()));
  }

  /** A person as the others see it. */
  record PersonView(String id, String name, boolean invited, int sessions, boolean self) {
    @JsonProperty(required = true)
    String etag() {
      return Etag.of(name);
    }
  }

  /** A code that is shown once. */
  record CodeView(String name, String code, Instant until) {}

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    if (demo) {
      for (DemoAccount account : DEMO) {
        if (people.findByNameKey(account.name()).isEmpty()) {
          Person person = new Person(account.name(), account.name(), true, clock.instant());
          person.choosePassword(hash(account.password()));
          people.save(person);
        }
      }
    } else if (!people.existsByDemoFalse()) {
      firstStart.begin();
    }
  }

  private String hash(String secret) {
    return String.valueOf(encoder.encode(secret));
  }

  List<DemoAccount> shownAccounts() {
    return demo ? DEMO : List.of();
  }

  boolean isFirstStart() {
    return firstStart.isOpen();
  }

  @Override
  @Transactional(readOnly = true)
  public UserDetails loadUserByUsername(String name) {
    return people
        .findByNameKey(Person.key(name))
        .filter(this::mayComeIn)
        .filter(person -> person.passwordHash().isPresent())
        .map(SignedIn::new)
        .orElseThrow(() -> new UsernameNotFoundException(name));
  }

  private boolean mayComeIn(Person person) {
    return demo || !person.isDemo();
  }

  /**
   * Makes the first person.
   *
   * @throws WrongCode if it is not the code that was printed
   * @throws BadInput if the name or the password will not do
   */
  @Transactional
  public void first(String code, String name, String password) {
    if (!firstStart.take(code)) {
      throw new WrongCode();
    }
    try {
      Person person =
          new Person(UUID.randomUUID().toString(), free(name, ""), false, clock.instant());
      person.choosePassword(hash(sound(password)));
      people.save(person);
    } catch (RuntimeException refused) {
      firstStart.giveBack(code);
      throw refused;
    }
  }

  /**
   * Lets a person who was given a code choose a password.
   *
   * @throws WrongCode if that name has no such code, or its time is over
   * @throws BadInput if the password will not do
   */
  @Transactional
  public void redeem(String name, String code, String password) {
    Optional<Person> invited = people.findByNameKey(Person.key(name)).filter(this::mayComeIn);
    Optional<String> expected = invited.flatMap(person -> person.codeHash(clock.instant()));
    // Comparing takes long; where there is nothing to compare with it takes as long.
    boolean right = encoder.matches(Codes.read(code), expected.orElse(nobodysCode));
    if (!right || expected.isEmpty()) {
      throw new WrongCode();
    }
    String chosen = hash(sound(password));
    if (people.redeem(invited.orElseThrow().id(), expected.get(), chosen) == 0) {
      throw new WrongCode();
    }
  }

  @Transactional(readOnly = true)
  public List<PersonView> all(String self) {
    return people.findAllByOrderByNameKey().stream()
        .filter(this::mayComeIn)
        .map(
            person ->
                new PersonView(
                    person.id(),
                    person.name(),
                    person.passwordHash().isEmpty(),
                    sessions.count(person.id()),
                    person.id().equals(self)))
        .toList();
  }

  /**
   * Adds somebody, who chooses a password with the code.
   *
   * @throws BadInput if the name is missing, too long or taken
   */
  @Transactional
  public CodeView add(String name) {
    Person person =
        new Person(UUID.randomUUID().toString(), free(name, ""), false, clock.instant());
    return withCode(person);
  }

  private CodeView withCode(Person person) {
    String code = Codes.fresh();
    Instant until = clock.instant().plus(CODE_LASTS);
    person.giveCode(hash(Codes.read(code)), until);
    people.save(person);
    return new CodeView(person.name(), code, until);
  }

  private Person person(String id) {
    return people
        .findById(id)
        .filter(this::mayComeIn)
        .orElseThrow(() -> new NotFound("person", id));
  }

  /** A new code for somebody: the password holds no longer, and the sessions end. */
  @Transactional
  public CodeView newCode(String id) {
    Person person = person(id);
    CodeView code = withCode(person);
    sessions.end(id, Optional.empty());
    return code;
  }

  /**
   * @throws BadInput if the name is missing, too long or taken
   */
  @Transactional
  public void rename(String id, String etag, String name) {
    Person person = person(id);
    Etag.require(etag, Etag.of(person.name()), "This name");
    person.rename(free(name, id));
    people.save(person);
    sessions.rename(id, person.name());
  }

  /** Signs somebody out everywhere; oneself everywhere else. */
  @Transactional(readOnly = true)
  public void endSessions(String id, String ownSession) {
    sessions.end(person(id).id(), Optional.of(ownSession));
  }

  /**
   * Changes one's own password; one's other sessions end.
   *
   * @throws WrongPassword if the present one is wrong
   * @throws BadInput if the new one will not do
   */
  @Transactional
  public void changePassword(String id, String present, String wanted, String ownSession) {
    Person person = person(id);
    boolean right = person.passwordHash().map(hash -> encoder.matches(present, hash)).orElse(false);
    if (!right) {
      throw new WrongPassword();
    }
    person.choosePassword(hash(sound(wanted)));
    people.save(person);
    sessions.end(id, Optional.of(ownSession));
  }

  private String free(String name, String self) {
    String wanted = name.strip();
    boolean fits =
        !wanted.isEmpty()
            && wanted.length() <= NAME_LIMIT
            && wanted.codePoints().noneMatch(Character::isISOControl);
    if (!fits) {
      throw new BadInput("name", "Give a name of 1 to " + NAME_LIMIT + " characters");
    }
    boolean taken =
        people.findByNameKey(Person.key(wanted)).filter(p -> !p.id().equals(self)).isPresent();
    if (taken) {
      throw new BadInput("name", "There is a “" + wanted + "” already; give another name");
    }
    return wanted;
  }

  private static String sound(String password) {
    int bytes = password.getBytes(java.nio.charset.StandardCharsets.UTF_8).length;
    if (password.length() < PASSWORD_LEAST || bytes > PASSWORD_MOST) {
      throw new BadInput(
          "password",
          "A password has "
              + PASSWORD_LEAST
              + " to "
              + PASSWORD_MOST
              + " characters; three or four words of your choice do well");
    }
    return password;
  }
}
