package arborline.server.explain;

import arborline.core.table.ControlTerms;
import arborline.core.table.Decision;
import arborline.core.table.PlaceReport;
import arborline.core.table.Reconciler;
import arborline.core.table.RowWrite;
import arborline.core.table.TableField;
import arborline.core.table.ToolTables;
import arborline.core.table.WritePlan;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is proposed for each place of a tool table, and why. */
@RestController
@RequestMapping("/api/v1/explain")
class ReconciliationController {

  /**
   * What is proposed for a place.
   *
   * @param does {@code send}, {@code take}, {@code leave} or {@code ask}, under the name {@code do}
   * @param why code of the reason
   * @param sentence the same in words
   * @param writes what a sending changes, as the control shows it; null where nothing is sent
   */
  record PlaceProposal(
      @JsonProperty("do") String does,
      String why,
      String sentence,
      @Nullable Map<String, String> writes) {}

  /** By place, in the order of places. */
  @PostMapping("/reconciliation")
  Map<String, PlaceProposal> reconcile(@RequestBody TableInput input) {
    TableInputReader reader = new TableInputReader(input);
    ControlTerms terms = reader.terms();
    ToolTables tables = reader.tables();
    WritePlan writes = new WritePlan(tables, terms);
    Map<TableField, String> names = FieldNames.shown(terms);
    Map<String, PlaceProposal> proposals = new LinkedHashMap<>();
    for (PlaceReport report : Reconciler.reconcile(tables, terms)) {
      Decision proposed = report.why().proposed();
      proposals.put(
          report.place(),
          new PlaceProposal(
              proposed.name().toLowerCase(Locale.ROOT),
              report.why().code(),
              report.reason(),
              proposed == Decision.SEND
                  ? writes
                      .of(report, Decision.SEND)
                      .write()
                      .map(write -> written(write, terms, names))
                      .orElse(null)
                  : null));
    }
    return proposals;
  }

  /** A field that is to be not set is written as nothing. */
  private static Map<String, String> written(
      RowWrite write, ControlTerms terms, Map<TableField, String> names) {
    Map<String, String> written = new LinkedHashMap<>();
    for (TableField field : terms.fields()) {
      if (write.fields().contains(field) && names.containsKey(field)) {
        written.put(names.get(field), Optional.ofNullable(write.target().get(field)).orElse(""));
      }
    }
    return written;
  }
}
