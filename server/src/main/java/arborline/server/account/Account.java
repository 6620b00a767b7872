package arborline.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

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

  /** Null until whoever was invited chose a password. */
  @Nullable String passwordHash;

  Instant createdAt;
  @Nullable Instant signedInAt;
  @Nullable Instant disabledAt;
  @Nullable Long defaultLibraryId;

  protected Account() {}

  Account(String name, Role role, @Nullable String passwordHash, Instant createdAt) {
    this.name = name;
    this.nameKey = key(name);
    this.role = role;
    this.passwordHash = passwordHash;
    this.createdAt = createdAt;
  }

  static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  boolean open() {
    return disabledAt == null && passwordHash != null;
  }
}
