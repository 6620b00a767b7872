package arborline.server.trail;

import arborline.server.account.AccountDone;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Writes what is done to accounts. */
@Component
class AccountLines {

  private final Trail trail;

  AccountLines(Trail trail) {
    this.trail = trail;
  }

  @EventListener
  void write(AccountDone done) {
    trail.record(TrailRecord.of("account", done.account(), done.text()));
  }
}
