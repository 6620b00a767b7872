package arborline.server.inspection;

import arborline.core.finding.Severity;
import arborline.server.account.MayReceive;
import arborline.server.delivery.LineLists;
import arborline.server.support.Refusal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/deliveries")
class CorrectionController {

  private final Correcting correcting;
  private final LineLists lists;

  CorrectionController(Correcting correcting, LineLists lists) {
    this.correcting = correcting;
    this.lists = lists;
  }

  record Corrections(Map<String, String> cells) {}

  /**
   * @param severity of the findings that are meant; null for any
   */
  record RepairOrder(String finding, String repair, @Nullable Severity severity) {

    FindingChoice choice() {
      return new FindingChoice(finding, severity);
    }
  }

  /** Either lines or a finding. */
  record LookOrder(
      @Nullable List<Long> lines, @Nullable String finding, @Nullable Severity severity) {}

  @PatchMapping("/{id}/lines/{lineId}")
  @MayReceive
  LineLists.LineView correct(
      @PathVariable long id, @PathVariable long lineId, @RequestBody Corrections corrections) {
    return lists.view(correcting.correct(id, lineId, corrections.cells()));
  }

  @PostMapping("/{id}/repair")
  @MayReceive
  Correcting.Changed repair(@PathVariable long id, @RequestBody RepairOrder order) {
    return correcting.repair(id, order.choice(), order.repair());
  }

  @PostMapping("/{id}/look")
  @MayReceive
  Correcting.Changed look(@PathVariable long id, @RequestBody LookOrder order) {
    if (order.finding() != null) {
      return correcting.look(id, new FindingChoice(order.finding(), order.severity()));
    }
    if (order.lines() == null) {
      throw Refusal.badRequest("say which lines or a finding were looked at");
    }
    return correcting.look(id, order.lines());
  }
}
