package arborline.server.account;

import arborline.server.support.Refusal;
import org.jspecify.annotations.Nullable;

/** What a password must be: long. Nothing else makes one hard to guess that is remembered. */
final class PasswordRule {

  private static final int SHORTEST = 10;
  private static final int LONGEST = 200;

  private PasswordRule() {}

  /** A password that somebody chose for an account. */
  static String checked(@Nullable String password, String name) {
    if (password == null || password.length() < SHORTEST || password.length() > LONGEST) {
      throw Refusal.badRequest(
          "a password has %d to %d characters; choose a longer one, a sentence for example"
              .formatted(SHORTEST, LONGEST));
    }
    if (Account.key(password).equals(Account.key(name).repeat(2)) || password.isBlank()) {
      throw Refusal.badRequest("that password is the first that is tried; choose another one");
    }
    return password;
  }
}
