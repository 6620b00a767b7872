package arborline.server.account;

import arborline.server.support.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Lets whoever has a link choose a password. The link's secret comes in the body, so that it stands
 * in no log of addresses.
 */
@RestController
@RequestMapping("/api/v1/invitations")
class InvitationController {

  private static final int LONGEST_TOKEN = 100;

  private final Accounts accounts;
  private final SignInGuard guard;

  InvitationController(Accounts accounts, SignInGuard guard) {
    this.accounts = accounts;
    this.guard = guard;
  }

  /** What a link carries. */
  record LinkToken(@Nullable String token) {}

  /** The password that somebody chose. */
  record ChosenPassword(@Nullable String token, @Nullable String password) {}

  /** Whom a link invites. */
  @PostMapping("/look")
  Accounts.Welcome look(@RequestBody LinkToken link, HttpServletRequest request) {
    return guarded(link.token(), request, accounts::welcome);
  }

  @PostMapping("/accept")
  Accounts.Welcome accept(@RequestBody ChosenPassword chosen, HttpServletRequest request) {
    return guarded(chosen.token(), request, token -> accounts.accept(token, chosen.password()));
  }

  private <T> T guarded(
      @Nullable String token, HttpServletRequest request, Function<String, T> act) {
    if (token == null || token.isBlank() || token.length() > LONGEST_TOKEN) {
      throw Refusal.badRequest("the link is not whole; copy all of it");
    }
    guard.linkUsed(request.getRemoteAddr());
    return act.apply(token);
  }
}
