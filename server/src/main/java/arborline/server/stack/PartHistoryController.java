package arborline.server.stack;

import arborline.server.account.MayEdit;
import arborline.server.support.Slice;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1")
class PartHistoryController {

  private final PartHistory history;

  PartHistoryController(PartHistory history) {
    this.history = history;
  }

  @GetMapping("/components/{id}/versions")
  Slice<PartHistory.FormerPart> ofPart(@PathVariable long id) {
    return Slice.all(history.ofPart(id));
  }

  @GetMapping("/stacks/{id}/versions")
  Slice<PartHistory.FormerPart> ofStack(@PathVariable long id) {
    return Slice.all(history.ofStack(id));
  }

  /**
   * A version that is to stand again.
   *
   * @param base the newest that somebody saw; refused where there is a newer one by now
   */
  record FormerOrder(int base, int version) {}

  @PostMapping("/components/{id}/back")
  @MayEdit
  Components.KnownComponent partBack(@PathVariable long id, @RequestBody FormerOrder order) {
    return history.partBack(id, order.base(), order.version());
  }

  @PostMapping("/stacks/{id}/back")
  @MayEdit
  Stacks.KeptStack stackBack(@PathVariable long id, @RequestBody FormerOrder order) {
    return history.stackBack(id, order.base(), order.version());
  }
}
