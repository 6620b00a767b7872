package arborline.server.cutting;

import arborline.core.cutting.CuttingEntry;
import arborline.core.cutting.CuttingField;
import arborline.core.formula.ValueFormula;
import arborline.server.support.Json;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Lines of cutting data as files carry them, and back. */
final class CuttingEntries {

  private CuttingEntries() {}

  static CuttingEntry of(CuttingLine line, Json json) {
    return new CuttingEntry(
        line.material,
        line.grade,
        line.purpose,
        line.speed,
        line.feed,
        line.depth,
        line.width,
        line.coolant,
        line.origin,
        line.saidBy,
        Optional.ofNullable(line.saidAt),
        Optional.ofNullable(line.machine).orElse(""),
        Optional.ofNullable(line.beforeSpeed),
        Optional.ofNullable(line.beforeFeed),
        formulas(line.formulas, json));
  }

  private static SortedMap<CuttingField, ValueFormula> formulas(@Nullable String text, Json json) {
    SortedMap<CuttingField, ValueFormula> formulas = new TreeMap<>();
    if (text != null) {
      Map<?, ?> written = json.read(text, Map.class);
      written.forEach((field, formula) ->
          ValueFormula.read(formula.toString())
              .formula()
              .ifPresent(read -> formulas.put(CuttingField.valueOf(field.toString()), read)));
    }
    return formulas;
  }

  /**
   * Puts an entry into a line.
   *
   * @param author who stands by it where the entry names nobody
   * @param at when, where the entry says nothing
   */
  static void to(CuttingLine line, CuttingEntry entry, String author, Instant at, Json json) {
    line.material = entry.material();
    line.grade = entry.grade();
    line.purpose = entry.purpose();
    line.speed = entry.speed();
    line.feed = entry.feed();
    line.depth = entry.depth();
    line.width = entry.width();
    line.coolant = entry.coolant();
    line.origin = entry.origin();
    line.saidBy = entry.author().isEmpty() ? author : entry.author();
    line.saidAt = entry.at().orElse(at);
    line.machine = entry.machine().isEmpty() ? null : entry.machine();
    line.beforeSpeed = entry.beforeSpeed().map(BigDecimal::stripTrailingZeros).orElse(null);
    line.beforeFeed = entry.beforeFeed().map(BigDecimal::stripTrailingZeros).orElse(null);
    if (!entry.formulas().isEmpty()) {
      Map<String, String> formulas = new TreeMap<>();
      entry.formulas().forEach((field, formula) -> formulas.put(field.name(), formula.text()));
      line.formulas = json.text(formulas);
    }
  }
}
