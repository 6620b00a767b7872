package arborline.server.account;

import org.springframework.stereotype.Component;

/** Counts uses of addresses that carry a secret, so that nobody asks without end. */
@Component
public class LinkUses {

  private final SignInGuard guard;

  LinkUses(SignInGuard guard) {
    this.guard = guard;
  }

  /**
   * Counts one from an address.
   *
   * @throws arborline.server.support.Refusal where there were far too many
   */
  public void used(String address) {
    guard.feedUsed(address);
  }
}
