package goodbones.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

@Entity
class Account {
  @Id private String name = "";
  private String passwordHash = "";

  protected Account() {}

  Account(String name, String passwordHash) {
    this.name = name;
    this.passwordHash = passwordHash;
  }

  String name() {
    return name;
  }

  String passwordHash() {
    return passwordHash;
  }
}
