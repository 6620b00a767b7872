package arborline.server.account;

import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Opens accounts. */
@Service
public class Accounts {

  private final AccountRepository accounts;
  private final PasswordEncoder passwords;

  Accounts(AccountRepository accounts, PasswordEncoder passwords) {
    this.accounts = accounts;
    this.passwords = passwords;
  }

  /** True where an account has this password. */
  @Transactional(readOnly = true)
  public boolean has(String name, String password) {
    return accounts
        .findByNameKey(Account.key(name))
        .filter(account -> passwords.matches(password, account.passwordHash))
        .isPresent();
  }

  /** Opens an account unless one of that name exists. */
  @Transactional
  public void open(String name, Role role, String password) {
    if (accounts.findByNameKey(Account.key(name)).isEmpty()) {
      accounts.save(new Account(name, role, passwords.encode(password)));
    }
  }
}
