package arborline.core.library;

import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What somebody typed into the search field: words, and conditions such as {@code dia 6..12},
 * {@code flutes 3} or {@code reach>30}.
 *
 * @param words each must occur in code or name, of the tool or of what holds it
 */
public record SearchText(List<String> words, List<Condition> conditions) {

  private static final Map<String, String> SYMBOLS =
      Map.ofEntries(
          Map.entry("dia", "DC"),
          Map.entry("d", "DC"),
          Map.entry("flutes", "NOF"),
          Map.entry("reach", "LU"),
          Map.entry("depth", "APMX"),
          Map.entry("radius", "RE"),
          Map.entry("length", "OAL"),
          Map.entry("shank", "DMM"),
          Map.entry("point", "SIG"),
          Map.entry("pitch", "TP"));
  private static final String NUMBER = "(?:\\d+\\s)?[\\d.,/]+\\s?(?:mm|in|\")?";
  private static final Pattern CONDITION =
      Pattern.compile(
          "(?<!\\S)("
              + String.join("|", SYMBOLS.keySet())
              + ")\\s*(?:(<=?|>=?|=|\\s)\\s*("
              + NUMBER
              + ")(?:\\s*\\.\\.\\s*("
              + NUMBER
              + "))?)(?=\\s|$)",
          Pattern.CASE_INSENSITIVE);

  /**
   * A range for a property.
   *
   * @param least lower bound in mm, degrees or pieces; empty where there is none
   * @param most upper bound; both are included
   */
  public record Condition(String symbol, Optional<BigDecimal> least, Optional<BigDecimal> most) {}

  /** What conditions besides that of the diameter can name: ISO 13399 symbols, in order. */
  public static SortedSet<String> symbols() {
    SortedSet<String> symbols = new TreeSet<>(SYMBOLS.values());
    symbols.remove("DC");
    return symbols;
  }

  public static SearchText parse(String text) {
    List<Condition> conditions = new ArrayList<>();
    StringBuilder rest = new StringBuilder();
    Matcher matcher = CONDITION.matcher(text);
    int end = 0;
    while (matcher.find()) {
      Optional<Condition> condition = condition(matcher);
      if (condition.isPresent()) {
        conditions.add(condition.get());
        rest.append(text, end, matcher.start()).append(' ');
        end = matcher.end();
      }
    }
    rest.append(text.substring(end));
    List<String> words =
        rest.toString().isBlank() ? List.of() : List.of(rest.toString().strip().split("\\s+"));
    return new SearchText(words, List.copyOf(conditions));
  }

  private static Optional<Condition> condition(Matcher parts) {
    String symbol = SYMBOLS.get(parts.group(1).toLowerCase(Locale.ROOT));
    String from = parts.group(3);
    String to = parts.group(4);
    if (to == null && from.contains("..")) {
      to = from.substring(from.indexOf("..") + 2);
      from = from.substring(0, from.indexOf(".."));
    }
    Optional<BigDecimal> first = size(from);
    Optional<BigDecimal> second = to == null ? first : size(to);
    if (first.isEmpty() || second.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        switch (parts.group(2).strip()) {
          case "<", "<=" -> new Condition(symbol, Optional.empty(), second);
          case ">", ">=" -> new Condition(symbol, first, Optional.empty());
          default ->
              first.get().compareTo(second.get()) <= 0
                  ? new Condition(symbol, first, second)
                  : new Condition(symbol, second, first);
        });
  }

  private static Optional<BigDecimal> size(String text) {
    return EntryParser.parse(text, Unit.MILLIMETRE) instanceof Entry.Understood understood
        ? Optional.of(understood.quantity()).map(SearchText::canonical)
        : Optional.empty();
  }

  private static BigDecimal canonical(Quantity quantity) {
    return quantity.in(Unit.MILLIMETRE);
  }
}
