package arborline.server.cutting;

import arborline.core.cutting.CutInput;
import arborline.core.cutting.CutRequest;
import arborline.core.cutting.StartingValues;
import arborline.core.finding.Finding;
import arborline.server.account.MayEdit;
import arborline.server.trail.Undoable;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1")
class CuttingLineController {

  private final CuttingLines lines;

  CuttingLineController(CuttingLines lines) {
    this.lines = lines;
  }

  /**
   * A line of cutting data.
   *
   * @param material id; blank where the line ignores the material
   * @param grade as its source names the material; blank where that is its own name
   * @param speed vc, m/min
   * @param feed per tooth in milling, else per revolution, mm
   * @param origin {@code proven}, {@code fixed}, {@code catalogue} or {@code calculated}
   * @param beforeSpeed what stood there before it was proven
   * @param version grows with each change
   * @param undo line of the trail that takes the last deed back; null where nothing was done
   */
  record CuttingLineView(
      long id,
      int version,
      long toolId,
      String material,
      String grade,
      String purpose,
      BigDecimal speed,
      BigDecimal feed,
      BigDecimal depth,
      BigDecimal width,
      String coolant,
      String origin,
      String by,
      Instant at,
      @Nullable String machine,
      @Nullable BigDecimal beforeSpeed,
      @Nullable BigDecimal beforeFeed,
      @Nullable Long undo) {

    static CuttingLineView of(CuttingLine line) {
      return of(line, null);
    }

    static CuttingLineView of(CuttingLines.Kept kept) {
      return of(kept.line(), kept.undo());
    }

    private static CuttingLineView of(CuttingLine line, @Nullable Long undo) {
      return new CuttingLineView(
          line.id,
          line.versionNo,
          line.toolId,
          line.material,
          line.grade,
          line.purpose,
          line.speed.stripTrailingZeros(),
          line.feed.stripTrailingZeros(),
          line.depth.stripTrailingZeros(),
          line.width.stripTrailingZeros(),
          line.coolant,
          line.origin.name().toLowerCase(Locale.ROOT),
          line.saidBy,
          line.saidAt,
          line.machine,
          line.beforeSpeed,
          line.beforeFeed,
          undo);
    }
  }

  /** Something that a form asks for. */
  record CutField(CutInput id, String title) {}

  /** Where to begin, and what a form asks for beside the speed. */
  record Beginning(CutRequest request, List<CutField> inputs, List<Finding> findings) {

    static Beginning of(StartingValues start) {
      return new Beginning(
          start.request(),
          start.inputs().stream().map(ask -> new CutField(ask, ask.title())).toList(),
          start.findings());
    }
  }

  /** Lines of a tool, and what was proven with others of the same geometry. */
  record CuttingSheet(List<CuttingLineView> items, List<CuttingLineView> elsewhere) {}

  @GetMapping("/tools/{id}/cutting")
  CuttingSheet of(@PathVariable long id) {
    return new CuttingSheet(
        lines.of(id).stream().map(CuttingLineView::of).toList(),
        lines.provenElsewhere(id).stream().map(CuttingLineView::of).toList());
  }

  /** Where to begin with the tool in a material. */
  @GetMapping("/tools/{id}/cutting/start")
  Beginning start(@PathVariable long id, @RequestParam String material) {
    return Beginning.of(lines.start(id, material));
  }

  @PostMapping("/tools/{id}/cutting/compute")
  CuttingLines.Computed compute(
      @PathVariable long id, @RequestBody CuttingLines.Question question) {
    return lines.compute(id, question);
  }

  @PostMapping("/tools/{id}/cutting")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  CuttingLineView keep(@PathVariable long id, @RequestBody CuttingLines.CuttingDraft draft) {
    return CuttingLineView.of(lines.keep(id, draft));
  }

  /**
   * Says what worked at a machine.
   *
   * @param version of the line that somebody looked at; refused where it is another one now
   */
  @PutMapping("/cutting/{id}/proven")
  @PreAuthorize("hasAuthority('PROVE')")
  CuttingLineView prove(
      @PathVariable long id, @RequestParam int version, @RequestBody CuttingLines.Proof proof) {
    return CuttingLineView.of(lines.prove(id, version, proof));
  }

  @DeleteMapping("/cutting/{id}")
  @MayEdit
  Undoable remove(@PathVariable long id) {
    return new Undoable(lines.remove(id));
  }
}
