package goodbones.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Somebody who works here. Names differ by more than upper and lower case. */
@Entity
class Person {
  @Id private String id = "";
  private String name = "";
  private String nameKey = "";
  private @Nullable String passwordHash;
  private @Nullable String codeHash;
  private @Nullable Instant codeUntil;
  private boolean demo;
  private Instant added = Instant.EPOCH;

  protected Person() {}

  Person(String id, String name, boolean demo, Instant added) {
    this.id = id;
    this.demo = demo;
    this.added = added;
    rename(name);
  }

  static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  String id() {
    return id;
  }

  String name() {
    return name;
  }

  boolean isDemo() {
    return demo;
  }

  Optional<String> passwordHash() {
    return Optional.ofNullable(passwordHash);
  }

  /** The hash of a one-time code that can still be used. */
  Optional<String> codeHash(Instant now) {
    return Optional.ofNullable(codeUntil)
        .filter(now::isBefore)
        .flatMap(until -> Optional.ofNullable(codeHash));
  }

  final void rename(String newName) {
    name = newName.strip();
    nameKey = key(newName);
  }

  void choosePassword(String hash) {
    passwordHash = hash;
    codeHash = null;
    codeUntil = null;
  }

  /** From now on only the code lets this person in. */
  void giveCode(String hash, Instant until) {
    passwordHash = null;
    codeHash = hash;
    codeUntil = until;
  }
}
