package arborline.server.table;

import arborline.core.table.DraftOfRow;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.tool.ClassSheet;
import arborline.core.tool.ToolClasses;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolDraft;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The tools that a control knows, as it was read last. */
@RestController
@RequestMapping("/api/v1/machines/{id}/table")
class ControlToolController {

  private final Reconciliations reconciliations;
  private final ControlTools tools;

  ControlToolController(Reconciliations reconciliations, ControlTools tools) {
    this.reconciliations = reconciliations;
    this.tools = tools;
  }

  /** All tools that the control knows; nothing where it was never read. */
  @GetMapping("/tools")
  ControlTools.@Nullable ToolsOfControl tools(@PathVariable String id) {
    return reconciliations.lastKnown(id).map(compared -> tools.of(id, compared)).orElse(null);
  }

  /**
   * A tool of the control as it would be typed into a library.
   *
   * @param code as the control shows it
   * @param toolClass id of its class; null for the likely one
   */
  @GetMapping("/draft")
  ToolDraft draft(
      @PathVariable String id,
      @RequestParam String code,
      @RequestParam(required = false) @Nullable String toolClass) {
    Reconciliations.Compared compared =
        reconciliations
            .lastKnown(id)
            .orElseThrow(() -> Refusal.conflict("the control was never read; read it first"));
    TableEntry row =
        ControlTools.rows(compared.reading().table())
            .map(ControlTools.Shown::row)
            .filter(entry -> code.equalsIgnoreCase(entry.get(TableField.TOOL)))
            .findFirst()
            .orElseThrow(() -> Refusal.notFound("the control has no tool '%s'".formatted(code)));
    String wanted = toolClass == null ? DraftOfRow.likelyClass(row) : toolClass;
    ClassSheet sheet =
        ToolClasses.named(wanted)
            .orElseThrow(() -> Refusal.badRequest("there is no tool class '" + wanted + "'"))
            .sheet();
    DraftOfRow known = DraftOfRow.of(compared.terms(), row, sheet);
    Map<String, ToolDraft.Typed> values = new HashMap<>();
    known
        .values()
        .forEach((symbol, text) -> values.put(symbol, new ToolDraft.Typed(text, null, false)));
    String name = Optional.ofNullable(row.get(TableField.NAME)).orElse("");
    return new ToolDraft(
        row.get(TableField.TOOL),
        name,
        sheet.id(),
        values,
        known.note().isEmpty()
            ? Map.of()
            : Map.of("", "At the control of %s: %s".formatted(id, known.note())));
  }
}
