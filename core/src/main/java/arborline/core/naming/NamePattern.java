package arborline.core.naming;

import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A pattern from which codes or names are made: text with fields in braces, such as {@code EM{DC
 * 2.1}[-R{RE}]-{NO 3}}. A field is the symbol of a property, {@code CLASS}, {@code KIND} or {@code
 * NO}; then perhaps the unit, then perhaps the digits before and after the point. What stands in
 * square brackets appears only where all its properties have values. The syntax is described in
 * docs/naming.md.
 */
public final class NamePattern {

  /** Symbol of the running number. */
  public static final String RUNNING = "NO";

  private final List<Piece> pieces;

  private NamePattern(List<Piece> pieces) {
    this.pieces = List.copyOf(pieces);
  }

  /**
   * A pattern, or why it is none.
   *
   * @param fault place, reason and remedy
   */
  public record Read(Optional<NamePattern> pattern, Optional<String> fault) {}

  /**
   * What a pattern makes of a tool.
   *
   * @param text empty where something is missing
   * @param missing symbols that the tool lacks
   */
  public record Filled(Optional<String> text, List<String> missing) {}

  public static Read read(String text) {
    try {
      return new Read(
          Optional.of(new NamePattern(new PatternReader(text).read())), Optional.empty());
    } catch (PatternReader.Unreadable fault) {
      return new Read(Optional.empty(), Optional.of(fault.getMessage()));
    }
  }

  /** True where the pattern counts. */
  public boolean running() {
    return pieces.stream().anyMatch(Piece.Running.class::isInstance);
  }

  /** Fills the pattern, with a running number where it has one. */
  public Filled fill(Tool tool, int number) {
    List<String> missing = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    for (LinearMatch.Step step : steps(tool, missing)) {
      text.append(
          switch (step) {
            case LinearMatch.Step.Fixed fixed -> fixed.text();
            case LinearMatch.Step.Digits digits -> padded(number, digits.least());
          });
    }
    return new Filled(
        missing.isEmpty() ? Optional.of(text.toString().strip()) : Optional.empty(), missing);
  }

  /** True where a text is what the pattern makes of the tool, whatever its running number. */
  public boolean fits(Tool tool, String actual) {
    List<String> missing = new ArrayList<>();
    List<LinearMatch.Step> steps = steps(tool, missing);
    return missing.isEmpty() && LinearMatch.matches(stripped(steps), actual);
  }

  /** What the pattern is for a tool: fixed texts and running numbers. */
  private List<LinearMatch.Step> steps(Tool tool, List<String> missing) {
    List<LinearMatch.Step> steps = new ArrayList<>();
    add(pieces, Completed.of(tool).tool(), steps, missing);
    return steps;
  }

  private static void add(
      List<Piece> pieces, Tool tool, List<LinearMatch.Step> steps, List<String> missing) {
    for (Piece piece : pieces) {
      switch (piece) {
        case Piece.Literal literal -> steps.add(new LinearMatch.Step.Fixed(literal.text()));
        case Piece.Running running -> steps.add(new LinearMatch.Step.Digits(running.digits()));
        case Piece.Field field ->
            FieldText.of(field, tool)
                .map(text -> steps.isEmpty() ? capital(text) : text)
                .ifPresentOrElse(
                    text -> steps.add(new LinearMatch.Step.Fixed(text)),
                    () -> missing.add(field.symbol()));
        case Piece.Group group -> {
          List<LinearMatch.Step> inner = new ArrayList<>(steps);
          List<String> absent = new ArrayList<>();
          add(group.pieces(), tool, inner, absent);
          if (absent.isEmpty()) {
            steps.addAll(inner.subList(steps.size(), inner.size()));
          }
        }
      }
    }
  }

  /** Blanks at the ends of what a pattern makes do not count. */
  private static List<LinearMatch.Step> stripped(List<LinearMatch.Step> steps) {
    List<LinearMatch.Step> stripped = new ArrayList<>(steps);
    while (!stripped.isEmpty()
        && stripped.getFirst() instanceof LinearMatch.Step.Fixed first
        && first.text().isBlank()) {
      stripped.removeFirst();
    }
    while (!stripped.isEmpty()
        && stripped.getLast() instanceof LinearMatch.Step.Fixed last
        && last.text().isBlank()) {
      stripped.removeLast();
    }
    if (!stripped.isEmpty() && stripped.getFirst() instanceof LinearMatch.Step.Fixed first) {
      stripped.set(0, new LinearMatch.Step.Fixed(first.text().stripLeading()));
    }
    if (!stripped.isEmpty() && stripped.getLast() instanceof LinearMatch.Step.Fixed last) {
      stripped.set(stripped.size() - 1, new LinearMatch.Step.Fixed(last.text().stripTrailing()));
    }
    return stripped;
  }

  private static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  private static String padded(int number, int digits) {
    String text = Integer.toString(number);
    return "0".repeat(Math.max(0, digits - text.length())) + text;
  }
}
