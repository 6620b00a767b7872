package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.formula.FormulaOrder;
import arborline.core.formula.ValueFormula;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;

/** Works out the cells of a tool that follow from its other values. */
final class FormulaCells {

  private FormulaCells() {}

  /**
   * True for a cell with a formula, and for one whose text is a formula over properties: {@code
   * APMX + 2}.
   */
  static boolean holds(String symbol, Cell cell) {
    return cell.formula().isPresent()
        || lettered(cell.text()) && numeric(symbol) && overProperties(cell.text());
  }

  private static boolean lettered(String text) {
    for (int i = 0; i < text.length(); i++) {
      if (Character.isLetter(text.charAt(i))) {
        return true;
      }
    }
    return false;
  }

  private static boolean numeric(String symbol) {
    return Dictionary.standard().find(symbol).filter(Property::numeric).isPresent();
  }

  private static boolean overProperties(String text) {
    return ValueFormula.read(text)
        .formula()
        .map(ValueFormula::symbols)
        .filter(symbols -> !symbols.isEmpty() && symbols.stream().allMatch(FormulaCells::numeric))
        .isPresent();
  }

  /** The tool with what its formulas come to; what cannot be worked out is said. */
  static Tool worked(Tool tool, Map<String, Cell> cells, List<Finding> findings) {
    SortedMap<String, ValueFormula> formulas = new TreeMap<>();
    cells.forEach((symbol, cell) ->
        read(symbol, cell, findings).ifPresent(formula -> formulas.put(symbol, formula)));
    FormulaOrder order = FormulaOrder.of(formulas);
    for (List<String> circle : order.circles()) {
      findings.add(
          Finding.hold(
              "formula-circle",
              "%s: a circle; write one of them as a number".formatted(FormulaOrder.text(circle)),
              circle.toArray(String[]::new)));
    }
    Tool known = tool;
    for (String symbol : order.order()) {
      known = worked(known, symbol, formulas.get(symbol), cells.get(symbol), findings);
    }
    return known;
  }

  private static Optional<ValueFormula> read(String symbol, Cell cell, List<Finding> findings) {
    String text = cell.formula().orElse(cell.text());
    if (!numeric(symbol)) {
      findings.add(
          Finding.hold(
              "formula-unreadable",
              "%s '%s': only a number can follow from others by a formula".formatted(symbol, text),
              symbol));
      return Optional.empty();
    }
    ValueFormula.Read read = ValueFormula.read(text);
    if (read.formula().isEmpty()) {
      findings.add(
          Finding.hold(
              "formula-unreadable", "%s '%s': %s".formatted(symbol, text, read.fault()), symbol));
    }
    return read.formula();
  }

  private static Tool worked(
      Tool tool, String symbol, ValueFormula formula, Cell cell, List<Finding> findings) {
    Property property = Dictionary.standard().get(symbol);
    Unit unit =
        cell.unit().filter(property::accepts).orElseGet(() -> property.unit().orElseThrow());
    ValueFormula.Result result = formula.evaluate(values(tool), unit);
    if (result.quantity().isEmpty()) {
      findings.add(
          Finding.hold(
              "formula-fails",
              "%s = %s: %s".formatted(symbol, formula.text(), result.fault()),
              symbol));
      return tool;
    }
    return tool.with(
        property.symbol(),
        new Value.Measure(result.quantity().get(), cell.defaulted(), Optional.of(formula)));
  }

  /** Values that are written or follow by the class. */
  private static Function<String, Optional<Quantity>> values(Tool tool) {
    Map<String, Value> values = Completed.of(tool).tool().values();
    return symbol ->
        values.get(symbol) instanceof Value.Measure measure
            ? Optional.of(measure.quantity())
            : Optional.empty();
  }
}
