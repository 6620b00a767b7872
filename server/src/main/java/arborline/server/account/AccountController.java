package arborline.server.account;

import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Accounts of the shop, for whoever leads it. */
@RestController
@RequestMapping("/api/v1/accounts")
class AccountController {

  private final Accounts accounts;
  private final AccessKeys keys;

  AccountController(Accounts accounts, AccessKeys keys) {
    this.accounts = accounts;
    this.keys = keys;
  }

  @GetMapping
  @MayManageAccounts
  Slice<Accounts.AccountHead> all() {
    return Slice.all(accounts.all());
  }

  /** Somebody who is to get an account. */
  record InvitationOrder(@Nullable String name, @Nullable Role role) {}

  /**
   * An account with its link.
   *
   * @param token what the link carries; it is shown this once
   * @param endsAt after which the link does not work
   */
  record Invited(Accounts.AccountHead account, String token, Instant endsAt) {

    static Invited of(Accounts.Invited invited) {
      return new Invited(
          invited.account(), invited.invitation().token(), invited.invitation().endsAt());
    }
  }

  @PostMapping
  @MayManageAccounts
  @ResponseStatus(HttpStatus.CREATED)
  Invited invite(@RequestBody InvitationOrder order) {
    return Invited.of(accounts.invite(order.name(), order.role()));
  }

  /** Another link for an account; the one before it does not work any more. */
  @PostMapping("/{id}/invitation")
  @MayManageAccounts
  @ResponseStatus(HttpStatus.CREATED)
  Invited again(@PathVariable long id) {
    return Invited.of(accounts.inviteAgain(id));
  }

  /** What is to change; null for what stays. */
  record AccountChange(@Nullable Role role, @Nullable Boolean disabled) {}

  @PatchMapping("/{id}")
  @MayManageAccounts
  Accounts.AccountHead change(@PathVariable long id, @RequestBody AccountChange change) {
    if (change.role() == null && change.disabled() == null) {
      throw Refusal.badRequest("say which role the account is to have, or whether it is disabled");
    }
    return accounts.change(id, change.role(), change.disabled());
  }

  /**
   * Where an account was signed out.
   *
   * @param sessions in how many browsers
   */
  record SignedOut(int sessions) {}

  @DeleteMapping("/{id}/sessions")
  @MayManageAccounts
  SignedOut signOut(@PathVariable long id) {
    return new SignedOut(accounts.signOut(id));
  }

  @GetMapping("/{id}/keys")
  @MayManageAccounts
  Slice<AccessKeys.KeyHead> keys(@PathVariable long id) {
    accounts.get(id);
    return Slice.all(keys.of(id));
  }

  @DeleteMapping("/{id}/keys/{keyId}")
  @MayManageAccounts
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeKey(@PathVariable long id, @PathVariable long keyId) {
    if (!keys.remove(id, keyId)) {
      throw Refusal.notFound("this account has no key " + keyId);
    }
  }
}
