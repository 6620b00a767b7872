package arborline.core.designation;

import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads insert designations of both systems. Blanks and letter case do not matter; what follows a
 * dash belongs to the maker and is left out.
 */
public final class InsertReader {

  private static final String TOLERANCES = "A C E F G H J K L M N U";
  private static final String TYPES = "A B C F G H J M N Q R T U W X";
  private static final String EDGES = "FETSKP";
  private static final String CHAMFERED = "TSKP";
  private static final String APPROACHES = "ADEFPZ";
  private static final String WIPERS = "ABCDEFGNPZ";
  private static final String HANDS = "RLN";

  /** Types whose chip breaker on both faces leaves no side for a clearance. */
  private static final String TWO_SIDED = "FGJU";

  private final String text;

  private InsertReader(String text) {
    this.text = text;
  }

  /** Reads one designation. */
  public static Decoded<InsertDesignation> read(String designation) {
    try {
      InsertDesignation read = new InsertReader(normal(designation)).read();
      return Decoded.of(read, remarks(read));
    } catch (WrongDesignation wrong) {
      return Decoded.wrong(wrong.code(), wrong.getMessage());
    }
  }

  private static String normal(String designation) {
    return withoutGroove(withType(plain(designation)));
  }

  /** In capitals, without blanks and without what belongs to the maker. */
  static String plain(String designation) {
    String plain = designation.replace(" ", "").toUpperCase(Locale.ROOT);
    int dash = plain.indexOf('-');
    return dash < 0 ? plain : plain.substring(0, dash);
  }

  /** Three letters are an older inch form: without a fourth there is neither hole nor breaker. */
  private static String withType(String text) {
    return letters(text, 0, 3) && digits(text, 3, 6)
        ? text.substring(0, 3) + "N" + text.substring(3)
        : text;
  }

  /** Without the maker's number of the groove behind the hand: the 11 of {@code L11}. */
  private static String withoutGroove(String text) {
    int hand = text.length() - 3;
    boolean groove =
        hand > 0
            && (text.charAt(hand) == 'R' || text.charAt(hand) == 'L')
            && digits(text, hand - 1, hand)
            && digits(text, hand + 1, hand + 3);
    return groove ? text.substring(0, hand + 1) : text;
  }

  private static List<Finding> remarks(InsertDesignation read) {
    boolean doubtful =
        TWO_SIDED.indexOf(read.type()) >= 0 && Clearance.angle(read.clearance()).orElse(0) > 0;
    return doubtful
        ? List.of(
            Finding.query(
                "insert-type-clearance",
                "type %s is two-sided, which does not go with clearance %s"
                    .formatted(read.type(), read.clearance()),
                "AN"))
        : List.of();
  }

  private InsertDesignation read() {
    if (text.length() < 6 || !letters(text, 0, 4)) {
      throw noPattern();
    }
    InsertShape shape =
        InsertShape.of(text.charAt(0))
            .orElseThrow(() -> undefined("shape", text.charAt(0), 1, InsertShape.letters()));
    char clearance = letter(1, "clearance", Clearance.LETTERS);
    char tolerance = letter(2, "tolerance", TOLERANCES);
    char type = letter(3, "type", TYPES);
    Sizes sizes = metricForm() ? metric(shape) : inch(shape);
    return tail(shape, clearance, tolerance, type, sizes);
  }

  private char letter(int at, String what, String allowed) {
    if (allowed.indexOf(text.charAt(at)) < 0) {
      throw undefined(what, text.charAt(at), at + 1, allowed);
    }
    return text.charAt(at);
  }

  /** Positions 5 to 7 and where they end. */
  private record Sizes(
      InsertDesignation.System system,
      InsertSize size,
      Thickness thickness,
      Corner corner,
      int end) {}

  private boolean metricForm() {
    return text.length() >= 10
        && sizeLike(4)
        && (text.charAt(6) == 'T' || digit(6))
        && digit(7)
        && text.indexOf('.') < 0
        && cornerEnd() > 0;
  }

  private boolean sizeLike(int at) {
    return digit(at + 1) && (digit(at) || text.startsWith("S4", at) || text.startsWith("L3", at));
  }

  private int cornerEnd() {
    if (digit(8) && digit(9)) {
      return digit(10) ? 11 : 10;
    }
    boolean letters = letters(text, 8, 10);
    return text.startsWith("M0", 8) || letters ? 10 : -1;
  }

  private Sizes metric(InsertShape shape) {
    String sizeCode = text.substring(4, 6);
    String thicknessCode = text.substring(6, 8);
    int end = cornerEnd();
    String written = text.substring(8, end);
    InsertSize size = metricSize(shape, sizeCode, written);
    Thickness thickness =
        Thickness.metric(thicknessCode)
            .orElseThrow(() ->
                new WrongDesignation(
                    "insert-thickness",
                    "position 6: thickness code %s is not defined; allowed are %s"
                        .formatted(thicknessCode, String.join(" ", Thickness.metricCodes()))));
    return new Sizes(
        InsertDesignation.System.METRIC, size, thickness, corner(shape, size, written), end);
  }

  private static InsertSize metricSize(InsertShape shape, String code, String corner) {
    if (shape.round()) {
      if (!corner.equals("00") && !corner.equals("M0")) {
        throw new WrongDesignation(
            "insert-corner",
            "position 7: a round insert needs corner code 00 (inch-based) or M0 (metric), not "
                + corner);
      }
      boolean inchBased = corner.equals("00");
      return (inchBased
              ? InsertSize.metric(shape, code).or(() -> InsertSize.metricRound(code))
              : InsertSize.metricRound(code))
          .orElseThrow(() ->
              new WrongDesignation(
                  "insert-size",
                  "position 5: round size %s is not in the %s series"
                      .formatted(code, inchBased ? "inch-based" : "metric")));
    }
    if (!shape.regular()) {
      return InsertSize.edgeOnly(code);
    }
    return InsertSize.metric(shape, code)
        .orElseThrow(() ->
            new WrongDesignation(
                "insert-size",
                "position 5: size code %s does not exist for shape %s; allowed are %s"
                    .formatted(code, shape, String.join(" ", InsertSize.metricCodes(shape)))));
  }

  private static Corner corner(InsertShape shape, InsertSize size, String written) {
    if (shape.round()) {
      return Corner.round(
          written,
          size.inch().map(inches -> ""),
          size.edge().divide(java.math.BigDecimal.TWO).stripTrailingZeros());
    }
    if (written.equals("M0")) {
      throw new WrongDesignation(
          "insert-corner", "position 7: corner code M0 is reserved for round inserts");
    }
    return Character.isDigit(written.charAt(0)) ? Corner.metric(written) : facet(written);
  }

  private static Corner facet(String letters) {
    if (APPROACHES.indexOf(letters.charAt(0)) < 0) {
      throw new WrongDesignation(
          "insert-facet",
          "position 7: facet letter %s (approach) is not defined; allowed are A D E F P Z"
              .formatted(letters.charAt(0)));
    }
    if (WIPERS.indexOf(letters.charAt(1)) < 0) {
      throw new WrongDesignation(
          "insert-facet",
          "position 7: facet letter %s (wiper clearance) is not defined; allowed are A to G, N, P, Z"
              .formatted(letters.charAt(1)));
    }
    return Corner.facet(letters);
  }

  private Sizes inch(InsertShape shape) {
    int end = 4;
    while (end < text.length() && (digit(end) || text.charAt(end) == '.')) {
      end++;
    }
    String group = text.substring(4, end);
    if (group.length() < 2 || group.length() > 9 || shapeWithoutInch(shape)) {
      throw noPattern();
    }
    boolean facet = letters(text, end, end + 2);
    List<Sizes> splits = new ArrayList<>(2);
    if (shape.round()) {
      split(shape, group, end, false, splits);
    } else {
      split(shape, group, end, true, splits);
      if (splits.isEmpty() && facet) {
        split(shape, group, end, false, splits);
      }
    }
    if (splits.size() != 1) {
      throw group.length() >= 4 && group.indexOf('.') < 0 && metricLike(group)
          ? noPattern()
          : new WrongDesignation(
              "insert-sizes",
              "positions 5 to 7: number group %s %s allowed circle, thickness and radius values"
                  .formatted(
                      group, splits.isEmpty() ? "cannot be split into" : "splits twice into"));
    }
    return splits.getFirst();
  }

  private static boolean shapeWithoutInch(InsertShape shape) {
    return !shape.regular();
  }

  /** Looks like the beginning of metric sizes whose corner is missing. */
  private static boolean metricLike(String group) {
    return group.charAt(0) == '0' || group.startsWith("1") || group.startsWith("2")
        ? group.length() == 4
        : false;
  }

  private void split(
      InsertShape shape, String group, int end, boolean withRadius, List<Sizes> found) {
    for (int one = 1; one < group.length() && one <= 3; one++) {
      Optional<InsertSize> size = InsertSize.inch(shape, group.substring(0, one));
      if (size.isEmpty()) {
        continue;
      }
      for (int two = one + 1; two <= group.length() && two <= one + 3; two++) {
        Optional<Thickness> thickness = Thickness.inch(group.substring(one, two));
        if (thickness.isPresent()) {
          rest(shape, size.get(), thickness.get(), group.substring(two), end, withRadius)
              .ifPresent(found::add);
        }
      }
    }
  }

  private Optional<Sizes> rest(
      InsertShape shape,
      InsertSize size,
      Thickness thickness,
      String rest,
      int end,
      boolean withRadius) {
    if (withRadius) {
      return Corner.inch(rest)
          .map(corner -> new Sizes(InsertDesignation.System.INCH, size, thickness, corner, end));
    }
    if (!rest.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        shape.round()
            ? new Sizes(
                InsertDesignation.System.INCH, size, thickness, corner(shape, size, "00"), end)
            : new Sizes(
                InsertDesignation.System.INCH,
                size,
                thickness,
                facet(text.substring(end, end + 2)),
                end + 2));
  }

  private InsertDesignation tail(
      InsertShape shape, char clearance, char tolerance, char type, Sizes sizes) {
    String rest = text.substring(sizes.end());
    boolean handOnly = rest.length() == 1 && HANDS.indexOf(rest.charAt(0)) >= 0;
    String edge = rest.isEmpty() || handOnly ? "" : rest.substring(0, 1);
    String land = land(edge, rest);
    String hand = rest.substring(edge.length() + land.length());
    if (!edge.isEmpty() && EDGES.indexOf(edge) < 0) {
      throw new WrongDesignation(
          "insert-edge",
          "position 8: cutting-edge condition %s is not defined; allowed are F E T S K P"
              .formatted(edge));
    }
    if (!hand.isEmpty() && (hand.length() > 1 || HANDS.indexOf(hand) < 0)) {
      throw new WrongDesignation(
          "insert-hand", "position 9: hand %s is not defined; allowed are R L N".formatted(hand));
    }
    return new InsertDesignation(
        sizes.system(),
        shape,
        clearance,
        tolerance,
        type,
        sizes.size(),
        sizes.thickness(),
        sizes.corner(),
        edge,
        land,
        hand);
  }

  /** Five digits behind a chamfered edge: width in 1/100 mm and angle in degrees. */
  private static String land(String edge, String rest) {
    boolean chamfered = !edge.isEmpty() && CHAMFERED.indexOf(edge) >= 0;
    return chamfered && digits(rest, 1, 6) ? rest.substring(1, 6) : "";
  }

  private boolean digit(int at) {
    return digits(text, at, at + 1);
  }

  private static boolean digits(String text, int from, int to) {
    return within(text, from, to, '0', '9');
  }

  private static boolean letters(String text, int from, int to) {
    return within(text, from, to, 'A', 'Z');
  }

  private static boolean within(String text, int from, int to, char least, char most) {
    if (to > text.length()) {
      return false;
    }
    for (int i = from; i < to; i++) {
      if (text.charAt(i) < least || text.charAt(i) > most) {
        return false;
      }
    }
    return true;
  }

  private static WrongDesignation undefined(
      String what, char letter, int position, String allowed) {
    return new WrongDesignation(
        "insert-" + what,
        "position %d: %s letter %s is not defined; allowed are %s"
            .formatted(position, what, letter, allowed));
  }

  private static WrongDesignation noPattern() {
    return new WrongDesignation(
        "insert-pattern",
        "does not match the metric pattern 4 letters + size(2) + thickness(2) + corner(2..3),"
            + " nor the inch pattern 4 letters + circle, thickness, radius");
  }
}
