package arborline.core.recipe;

import arborline.core.exchange.ColumnSample;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * What the numbers of a column look like whose header nobody knows. It is asked, never taken by
 * itself: a count of pieces looks like teeth.
 */
final class ColumnProfile {

  private static final Set<String> POINT_ANGLES =
      Set.of("60", "82", "90", "100", "118", "120", "130", "135", "140", "142", "150");
  private static final int FEWEST = 3;
  private static final int MOST_TEETH = 12;
  private static final BigDecimal TWO = BigDecimal.valueOf(2);

  private ColumnProfile() {}

  static ColumnSample of(
      List<ColumnRole> roles, List<SourceRow> below, int column, List<String> samples) {
    ColumnRole role = roles.get(column);
    boolean known = role.meaning() != Meaning.NOTE || role.symbol().isPresent();
    List<String> cells =
        below.stream().map(row -> row.cell(column)).filter(cell -> !cell.isEmpty()).toList();
    if (known || cells.size() < FEWEST) {
      return new ColumnSample(samples, Optional.empty(), "");
    }
    Optional<Integer> diameters = place(roles, Meaning.DIAMETER, Meaning.DIAMETER_CUTTING);
    if (diameters.isPresent()
        && !has(roles, "RE", Meaning.RADIUS)
        && half(below, column, diameters.get())) {
      return new ColumnSample(
          samples,
          Optional.of("RE"),
          "always half of %s: a radius".formatted(roles.get(diameters.get()).header()));
    }
    if (cells.stream().allMatch(POINT_ANGLES::contains)
        && !has(roles, "SIG", Meaning.ANGLE_POINT)) {
      return new ColumnSample(samples, Optional.of("SIG"), "such numbers are point angles");
    }
    boolean counts =
        cells.stream().allMatch(cell -> cell.matches("\\d{1,2}") && teeth(Integer.parseInt(cell)));
    if (counts && !running(cells) && !has(roles, "NOF", Meaning.TEETH)) {
      return new ColumnSample(samples, Optional.of("NOF"), "small whole numbers: perhaps teeth");
    }
    return new ColumnSample(samples, Optional.empty(), "");
  }

  /** True for numbers of lines: each one more than the one before. */
  private static boolean running(List<String> cells) {
    int first = Integer.parseInt(cells.getFirst());
    return IntStream.range(0, cells.size())
        .allMatch(i -> Integer.parseInt(cells.get(i)) == first + i);
  }

  private static boolean teeth(int count) {
    return count > 0 && count <= MOST_TEETH;
  }

  private static Optional<Integer> place(List<ColumnRole> roles, Meaning one, Meaning other) {
    return IntStream.range(0, roles.size())
        .filter(i -> roles.get(i).meaning() == one || roles.get(i).meaning() == other)
        .boxed()
        .findFirst();
  }

  private static boolean has(List<ColumnRole> roles, String symbol, Meaning meaning) {
    return roles.stream()
        .anyMatch(
            role -> role.meaning() == meaning || role.symbol().filter(symbol::equals).isPresent());
  }

  private static boolean half(List<SourceRow> below, int column, int whole) {
    long pairs =
        below.stream()
            .filter(row -> !row.cell(column).isEmpty() && !row.cell(whole).isEmpty())
            .count();
    return pairs >= FEWEST
        && below.stream()
            .filter(row -> !row.cell(column).isEmpty() && !row.cell(whole).isEmpty())
            .allMatch(row -> half(row.cell(column), row.cell(whole)));
  }

  private static boolean half(String part, String whole) {
    String one = part.replace(',', '.');
    String other = whole.replace(',', '.');
    String plain = "\\d{1,6}(?:\\.\\d{1,6})?";
    return one.matches(plain)
        && other.matches(plain)
        && new BigDecimal(one).multiply(TWO).compareTo(new BigDecimal(other)) == 0;
  }
}
