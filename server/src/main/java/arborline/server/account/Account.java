package arborline.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.util.Locale;

@Entity
class Account {

  @Id
  @GeneratedValue(generator = "account_seq")
  @SequenceGenerator(name = "account_seq", allocationSize = 50)
  Long id;

  String name;
  String nameKey;

  @Enumerated(EnumType.STRING)
  Role role;

  String passwordHash;

  protected Account() {}

  Account(String name, Role role, String passwordHash) {
    this.name = name;
    this.nameKey = key(name);
    this.role = role;
    this.passwordHash = passwordHash;
  }

  static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
