package arborline.server.inspection;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Severity;
import arborline.server.account.MayReceive;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineLists;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/deliveries")
class CorrectionController {

  private static final int LONGEST_REASON = 250;
  private static final int MOST_CUTTING = 100;

  private final Correcting correcting;
  private final Deciding deciding;
  private final NamedShapes shapes;
  private final SolidEnds ends;
  private final LineStacks stacks;
  private final VendorDifferences differences;
  private final LineLists lists;
  private final Beside beside;
  private final LibraryComparison comparison;

  CorrectionController(
      Correcting correcting,
      Deciding deciding,
      LineLists lists,
      Beside beside,
      LibraryComparison comparison,
      NamedShapes shapes,
      SolidEnds ends,
      LineStacks stacks,
      VendorDifferences differences) {
    this.stacks = stacks;
    this.differences = differences;
    this.shapes = shapes;
    this.ends = ends;
    this.correcting = correcting;
    this.deciding = deciding;
    this.lists = lists;
    this.beside = beside;
    this.comparison = comparison;
  }

  /**
   * What a line says instead.
   *
   * @param kind what it is: {@code cutter}, {@code insert}, {@code holder}, {@code extension},
   *     {@code collet}, {@code arbor} or {@code aggregate}; null as before
   */
  record Corrections(Map<String, String> cells, @Nullable String kind) {}

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
      @PathVariable long id, @PathVariable long lineId, @RequestBody Corrections corrections)
      throws IOException {
    DeliveryLine line = correcting.correct(id, lineId, corrections.cells(), corrections.kind());
    if (corrections.kind() != null || corrections.cells().containsKey(RawItem.CLASS)) {
      shapes.remember(line);
    }
    return lists.view(line);
  }

  /**
   * Which end of a solid is the workpiece's.
   *
   * @param turned true for the other one than the one that is guessed
   */
  record EndOrder(@Nullable Boolean turned) {}

  /** Reads the solid of a line from one end or the other. */
  @PutMapping("/{id}/lines/{lineId}/end")
  @MayReceive
  LineLists.LineView turn(
      @PathVariable long id, @PathVariable long lineId, @RequestBody EndOrder order)
      throws IOException, InterruptedException {
    if (order.turned() == null) {
      throw Refusal.badRequest("turned is true or false");
    }
    RawItem item = ends.read(id, lineId, order.turned());
    DeliveryLine line = correcting.turn(id, lineId, item, order.turned());
    shapes.remember(line);
    return lists.view(line);
  }

  @PostMapping("/{id}/repair")
  @MayReceive
  @LongWork
  LineDeeds.Changed repair(@PathVariable long id, @RequestBody RepairOrder order) {
    return correcting.repair(id, order.choice(), order.repair());
  }

  @PostMapping("/{id}/look")
  @MayReceive
  @LongWork
  LineDeeds.Changed look(@PathVariable long id, @RequestBody LookOrder order) {
    if (order.finding() != null) {
      return deciding.look(id, new FindingChoice(order.finding(), order.severity()));
    }
    if (order.lines() == null) {
      throw Refusal.badRequest("say which lines or a finding were looked at");
    }
    return deciding.look(id, order.lines());
  }

  /**
   * Whose values stand where the shop has another tool under the code.
   *
   * @param answer {@code keep}, {@code replace} or {@code merge}
   * @param fields that come from the line when both are merged
   * @param lines null for all that have such a finding
   * @param finding {@code code-taken} where none is said, or {@code vendor-conflict}
   */
  record SettleOrder(
      @Nullable String answer,
      @Nullable List<String> fields,
      @Nullable List<Long> lines,
      @Nullable String finding) {

    FindingChoice choice() {
      String known = finding == null ? "code-taken" : finding;
      if (!List.of("code-taken", VendorVerdict.CONFLICT).contains(known)) {
        throw Refusal.badRequest("finding is code-taken or vendor-conflict");
      }
      return new FindingChoice(known, null);
    }
  }

  @PostMapping("/{id}/settle")
  @MayReceive
  @LongWork
  LineDeeds.Changed settle(@PathVariable long id, @RequestBody SettleOrder order) {
    return deciding.settle(
        id, order.lines(), order.choice(), LineChoice.of(order.answer(), order.fields()));
  }

  /**
   * Lets lines in that are held.
   *
   * @param reason why they are right all the same
   */
  record AllowOrder(
      @Nullable List<Long> lines,
      @Nullable String finding,
      @Nullable Severity severity,
      @Nullable String reason) {}

  @PostMapping("/{id}/allow")
  @MayReceive
  @LongWork
  LineDeeds.Changed allow(@PathVariable long id, @RequestBody AllowOrder order) {
    String reason = order.reason() == null ? "" : order.reason().strip();
    if (reason.isEmpty() || reason.length() > LONGEST_REASON) {
      throw Refusal.badRequest("give a reason of up to %d letters".formatted(LONGEST_REASON));
    }
    return deciding.allow(
        id,
        order.lines(),
        order.finding() == null ? null : new FindingChoice(order.finding(), order.severity()),
        reason);
  }

  /**
   * A stack of a line as it would stand.
   *
   * @param index which of its stacks, from 0
   * @param overhang how far its tool stands out, mm; as the line says where none is given
   */
  @GetMapping("/{id}/lines/{lineId}/stacks/{index}")
  LineStacks.PlannedShape stack(
      @PathVariable long id,
      @PathVariable long lineId,
      @PathVariable int index,
      @RequestParam(required = false) @Nullable BigDecimal overhang) {
    return stacks.of(id, lineId, index, overhang);
  }

  /**
   * How far a tool stands out.
   *
   * @param overhang mm
   */
  record OverhangOrder(@Nullable BigDecimal overhang) {}

  /** Says how far the tool of a stack stands out. */
  @PutMapping("/{id}/lines/{lineId}/stacks/{index}")
  @MayReceive
  LineDeeds.Changed overhang(
      @PathVariable long id,
      @PathVariable long lineId,
      @PathVariable int index,
      @RequestBody OverhangOrder order) {
    if (order.overhang() == null) {
      throw Refusal.badRequest("overhang is a length above 0 and up to 2000 mm");
    }
    return correcting.overhang(id, lineId, index, order.overhang());
  }

  /**
   * Cutting data of a tool that is to enter.
   *
   * @param lines cells of each line: {@code MATERIAL}, {@code VC}, {@code FEED} and so on
   */
  record CuttingOrder(@Nullable List<@Nullable Map<String, String>> lines) {}

  /** Gives a tool cutting data before it enters, in place of what came with it. */
  @PutMapping("/{id}/lines/{lineId}/cutting")
  @MayReceive
  LineDeeds.Changed cutting(
      @PathVariable long id, @PathVariable long lineId, @RequestBody CuttingOrder order) {
    if (order.lines() == null
        || order.lines().size() > MOST_CUTTING
        || order.lines().contains(null)) {
      throw Refusal.badRequest("give up to %d lines of cutting data".formatted(MOST_CUTTING));
    }
    return correcting.cutting(id, lineId, order.lines());
  }

  /** What a vendor changed of the item of a line, beside what the shop has. */
  @GetMapping("/{id}/lines/{lineId}/vendor")
  VendorDifferences.VendorDifference vendor(@PathVariable long id, @PathVariable long lineId) {
    return differences.of(id, lineId);
  }

  /** What stands beside a line: the shop's tool under its code, and others that look like it. */
  @GetMapping("/{id}/lines/{lineId}/beside")
  Slice<Beside.Neighbour> beside(@PathVariable long id, @PathVariable long lineId) {
    return Slice.all(beside.of(id, lineId));
  }

  /**
   * How a delivery stands to a library: new, changed, same and missing tools.
   *
   * @param library the one with most codes in common where none is named
   */
  @GetMapping("/{id}/compare")
  LibraryComparison.Compared compare(
      @PathVariable long id, @RequestParam(required = false) @Nullable Long library) {
    correcting.known(id);
    return comparison.of(id, library);
  }
}
