package arborline.server.recipe;

import arborline.core.exchange.Adjustment;
import arborline.core.exchange.Column;
import arborline.core.exchange.ColumnSample;
import arborline.core.exchange.RawItem;
import arborline.core.quantity.Unit;
import arborline.core.recipe.SplitPattern;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What somebody decided about one column.
 *
 * @param symbol of a property or of one of our own columns; empty or {@code NOTE} to keep its cells
 *     as a note
 * @param unit null for the usual one
 * @param split how cells are taken apart: {@code D{DC}xL{LU}}
 * @param factor by which numbers are multiplied, as a decimal
 * @param behind sign with which cells are put behind those of an earlier column of that symbol
 * @param words what stands for a cell, by the cell
 */
public record ColumnDecision(
    @Nullable String symbol,
    @Nullable String unit,
    @Nullable String split,
    @Nullable String factor,
    @Nullable String behind,
    @Nullable Map<String, String> words) {

  private static final int LONGEST = 200;
  private static final int MOST_WORDS = 500;
  private static final int LONGEST_SIGN = 5;

  /**
   * The column with this decision.
   *
   * @throws Refusal where something in it cannot be
   */
  public Column column(String header, ColumnSample sample, String evidence) {
    String wanted = symbol == null ? "" : symbol.strip();
    Column read = wanted.isEmpty() ? note(header) : Column.of(wanted);
    boolean unknown =
        RawItem.isNote(read.symbol())
            && !wanted.isEmpty()
            && !wanted.toUpperCase(java.util.Locale.ROOT).startsWith(RawItem.NOTE);
    if (unknown || wanted.length() > LONGEST) {
      throw refused(header, "'%s' is not a symbol that we know".formatted(shortened(wanted)));
    }
    return new Column(
        header, read.symbol(), unit(header, read), evidence, adjustment(header), sample);
  }

  private static Column note(String header) {
    return new Column(header, RawItem.NOTE, Optional.empty(), "");
  }

  private static String shortened(String text) {
    return text.length() > LONGEST ? text.substring(0, LONGEST) : text;
  }

  private static Refusal refused(String header, String why) {
    return Refusal.badRequest("column %s: %s".formatted(shortened(header), why));
  }

  private Optional<Unit> unit(String header, Column read) {
    if (unit == null || unit.isBlank()) {
      return read.unit();
    }
    Optional<Unit> stated = Unit.named(unit);
    boolean fits =
        stated.isPresent()
            && read.unit().filter(own -> own.kind() == stated.get().kind()).isPresent();
    if (!fits) {
      throw refused(header, "%s is not measured in %s".formatted(read.symbol(), shortened(unit)));
    }
    return stated;
  }

  private Adjustment adjustment(String header) {
    Map<String, String> known = words == null ? Map.of() : words;
    boolean tooMuch =
        known.size() > MOST_WORDS
            || known.entrySet().stream()
                .anyMatch(word ->
                    word.getValue() == null
                        || word.getKey().length() > LONGEST
                        || word.getValue().length() > LONGEST);
    if (tooMuch) {
      throw refused(header, "at most %d words of up to %d letters".formatted(MOST_WORDS, LONGEST));
    }
    String sign = behind == null ? null : shortened(behind);
    if (sign != null && sign.length() > LONGEST_SIGN) {
      throw refused(header, "at most %d signs between joined cells".formatted(LONGEST_SIGN));
    }
    return new Adjustment(
        pattern(header), factor(header), Optional.ofNullable(sign), new TreeMap<>(known));
  }

  private Optional<String> pattern(String header) {
    if (split == null || split.isBlank()) {
      return Optional.empty();
    }
    try {
      SplitPattern.of(split.strip());
      return Optional.of(split.strip());
    } catch (IllegalArgumentException wrong) {
      throw refused(header, "'%s': %s".formatted(shortened(split), wrong.getMessage()));
    }
  }

  private Optional<BigDecimal> factor(String header) {
    if (factor == null || factor.isBlank()) {
      return Optional.empty();
    }
    String plain = factor.strip().replace(',', '.');
    if (!plain.matches("\\d{1,9}(?:\\.\\d{1,9})?") || new BigDecimal(plain).signum() == 0) {
      throw refused(
          header, "'%s' is no factor: write a number such as 0.001".formatted(shortened(factor)));
    }
    return Optional.of(new BigDecimal(plain));
  }

  /** The decision that a column holds. */
  public static ColumnDecision of(Column column) {
    Adjustment adjustment = column.adjustment();
    return new ColumnDecision(
        column.symbol(),
        column.unit().map(Unit::code).orElse(null),
        adjustment.split().orElse(null),
        adjustment.factor().map(BigDecimal::toPlainString).orElse(null),
        adjustment.behind().orElse(null),
        adjustment.words().isEmpty() ? null : adjustment.words());
  }
}
