package arborline.server.acceptance;

import arborline.core.library.Numbering;
import arborline.server.account.MayReceive;
import arborline.server.support.Refusal;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/deliveries")
class AcceptanceController {

  private final Acceptance acceptance;

  AcceptanceController(Acceptance acceptance) {
    this.acceptance = acceptance;
  }

  /**
   * What to take.
   *
   * @param library which the tools enter; null where only holders and other parts are taken
   * @param numbering {@code keep}, {@code next}, {@code range} or {@code position}
   * @param lines line ids; null for all that pass
   */
  record TakeOrder(
      @Nullable Long library,
      @Nullable String section,
      @Nullable String numbering,
      @Nullable List<Long> lines) {}

  @PostMapping("/{id}/accept")
  @MayReceive
  Acceptance.Taken accept(@PathVariable long id, @RequestBody TakeOrder order) {
    String text = Optional.ofNullable(order.numbering()).orElse("keep");
    Numbering numbering =
        Numbering.named(text)
            .orElseThrow(() -> Refusal.badRequest("numbering is keep, next, range or position"));
    return acceptance.take(id, order.library(), order.section(), numbering, order.lines());
  }
}
