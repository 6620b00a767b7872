package arborline.server.account;

import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Does something as an account where no request does it: while the demo is filled. */
@Component
public class ActingAs {

  private final AccountRepository accounts;

  ActingAs(AccountRepository accounts) {
    this.accounts = accounts;
  }

  /**
   * Does it with all that the account may.
   *
   * @throws IllegalArgumentException where there is no account of that name
   */
  public void account(String name, Runnable deed) {
    Account account =
        accounts
            .findByNameKey(Account.key(name))
            .orElseThrow(() -> new IllegalArgumentException("there is no account " + name));
    SecurityContext before = SecurityContextHolder.getContext();
    SecurityContext acting = SecurityContextHolder.createEmptyContext();
    acting.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(
            new SignedIn(account.name, account.id), null, Authorities.of(account.role)));
    SecurityContextHolder.setContext(acting);
    try {
      deed.run();
    } finally {
      SecurityContextHolder.setContext(before);
    }
  }
}
