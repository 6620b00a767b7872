package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** Something that must hold between properties, asked once all of them are there. */
abstract class Relation implements Rule {

  private final String code;
  private final Severity severity;
  private final Predicate<Tool> holds;
  private final Function<Tool, String> otherwise;
  private final List<String> symbols;

  Relation(
      String code,
      Severity severity,
      Predicate<Tool> holds,
      Function<Tool, String> otherwise,
      String... symbols) {
    this.code = code;
    this.severity = severity;
    this.holds = holds;
    this.otherwise = otherwise;
    this.symbols = List.of(symbols);
  }

  @Override
  public final Optional<Finding> check(Tool tool) {
    for (String symbol : symbols) {
      if (!tool.has(symbol)) {
        return Optional.empty();
      }
    }
    return holds.test(tool)
        ? Optional.empty()
        : Optional.of(
            Finding.of(code, severity, otherwise.apply(tool), symbols.toArray(String[]::new)));
  }

  /** A sentence with its numbers. */
  static String sentence(String sentence, Object... numbers) {
    return String.format(Locale.ROOT, sentence, numbers);
  }
}
