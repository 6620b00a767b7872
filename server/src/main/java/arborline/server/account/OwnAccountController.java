package arborline.server.account;

import arborline.core.library.VisibleText;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What everybody keeps of his own: password and keys. */
@RestController
@RequestMapping("/api/v1/session")
class OwnAccountController {

  private static final int MOST_KEYS = 50;
  private static final int LONGEST_NAME = 60;

  private final Accounts accounts;
  private final AccessKeys keys;
  private final SignInGuard guard;

  OwnAccountController(Accounts accounts, AccessKeys keys, SignInGuard guard) {
    this.guard = guard;
    this.accounts = accounts;
    this.keys = keys;
  }

  /** The password that somebody has and the one that he wants. */
  record PasswordChange(@Nullable String old, @Nullable String fresh) {}

  @PutMapping("/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void password(@RequestBody PasswordChange change, HttpServletRequest request) {
    String session =
        Optional.ofNullable(request.getSession(false)).map(HttpSession::getId).orElse(null);
    String key = Account.key(accounts.own().name);
    guard.attempt(key, request.getRemoteAddr());
    accounts.ownPassword(change.old(), change.fresh(), session);
    guard.succeeded(key, request.getRemoteAddr());
  }

  @GetMapping("/keys")
  Slice<AccessKeys.KeyHead> keys() {
    return Slice.all(keys.of(accounts.own().id));
  }

  /**
   * A key that somebody wants.
   *
   * @param scopes what it is to do besides looking
   */
  record KeyOrder(@Nullable String name, @Nullable List<Permission> scopes) {}

  /**
   * A new key.
   *
   * @param secret what scripts send; it is shown this once
   */
  record KeyMade(String secret) {}

  @PostMapping("/keys")
  @Transactional
  @ResponseStatus(HttpStatus.CREATED)
  KeyMade add(@RequestBody KeyOrder order) {
    Account account = accounts.own();
    String name = Optional.ofNullable(order.name()).orElse("").strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw Refusal.badRequest(
          "a key has a name of 1 to %d characters, by which it is found again"
              .formatted(LONGEST_NAME));
    }
    VisibleText.fault("the name", name)
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    if (keys.of(account.id).size() >= MOST_KEYS) {
      throw Refusal.conflict("you have %d keys; remove one first".formatted(MOST_KEYS));
    }
    return new KeyMade(keys.add(account, name, scopes(account.role, order.scopes())));
  }

  private static Set<Permission> scopes(Role role, @Nullable List<Permission> wanted) {
    Set<Permission> scopes = EnumSet.noneOf(Permission.class);
    for (Permission scope : Optional.ofNullable(wanted).orElse(List.of())) {
      if (!role.permissions().contains(scope) || !Actor.may(scope)) {
        throw Refusal.badRequest("a key cannot do more than you: %s is not yours".formatted(scope));
      }
      scopes.add(scope);
    }
    return scopes;
  }

  @DeleteMapping("/keys/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    if (!keys.remove(accounts.own().id, id)) {
      throw Refusal.notFound("you have no key " + id);
    }
  }
}
