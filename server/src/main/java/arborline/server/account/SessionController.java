package arborline.server.account;

import arborline.server.support.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/session")
class SessionController {

  private final AccountRepository accounts;
  private final Accounts book;
  private final PasswordEncoder passwords;
  private final SignInGuard guard;
  private final SecurityContextRepository contexts;
  private final String decoyHash;

  SessionController(
      AccountRepository accounts,
      Accounts book,
      PasswordEncoder passwords,
      SignInGuard guard,
      SecurityContextRepository contexts) {
    this.accounts = accounts;
    this.book = book;
    this.passwords = passwords;
    this.guard = guard;
    this.contexts = contexts;
    this.decoyHash = passwords.encode("nobody has this password");
  }

  /**
   * Who is signed in.
   *
   * @param name null while nobody is
   * @param account id of the account; null for a key of a role
   * @param defaultLibrary the library that is proposed first; null for none
   */
  record Session(
      @Nullable String name,
      @Nullable String role,
      List<Permission> may,
      @Nullable Long account,
      @Nullable Long defaultLibrary) {}

  record SignIn(String name, String password) {}

  @GetMapping
  Session current(@Nullable Authentication who) {
    return who == null ? new Session(null, null, List.of(), null, null) : session(who);
  }

  @PostMapping
  Session signIn(
      @RequestBody SignIn entry, HttpServletRequest request, HttpServletResponse response) {
    String key = Account.key(Optional.ofNullable(entry.name()).orElse(""));
    String shortKey = key.length() > 60 ? key.substring(0, 60) : key;
    String address = request.getRemoteAddr();
    Account account = guard.inTurn(shortKey, address, () -> known(entry, key, shortKey, address));
    return enter(account, request, response);
  }

  private Account known(SignIn entry, String key, String shortKey, String address) {
    guard.attempt(shortKey, address);
    Optional<Account> account = accounts.findByNameKey(key);
    String hash = account.filter(Account::open).map(known -> known.passwordHash).orElse(decoyHash);
    String password = Optional.ofNullable(entry.password()).orElse("");
    if (!passwords.matches(password, hash) || account.filter(Account::open).isEmpty()) {
      throw Refusal.of(HttpStatus.UNAUTHORIZED, "name and password do not belong together");
    }
    guard.succeeded(shortKey, address);
    return account.get();
  }

  private Session enter(Account account, HttpServletRequest request, HttpServletResponse response) {
    HttpSession old = request.getSession(false);
    if (old != null) {
      request.changeSessionId();
    }
    Authentication who =
        UsernamePasswordAuthenticationToken.authenticated(
            new SignedIn(account.name, account.id), null, Authorities.of(account.role));
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(who);
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
    book.signedIn(account.id);
    return session(who);
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
    SecurityContextHolder.clearContext();
  }

  private Session session(Authentication who) {
    Role role = Authorities.role(who).orElseThrow();
    Optional<Account> account = Actor.account().flatMap(accounts::findById);
    return new Session(
        who.getName(),
        role.word(),
        role.permissions().stream().filter(Actor::may).sorted().toList(),
        account.map(known -> known.id).orElse(null),
        account.map(known -> known.defaultLibraryId).orElse(null));
  }
}
