package arborline.core.designation;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Reads designations of external holders (ISO 5608, in inches ANSI B212.5) and boring bars (ISO
 * 6261).
 */
public final class ShankReader {

  /** What makers put behind: {@code -M}, or the thickness {@code 04} of the insert. */
  private static final Pattern TAIL =
      Pattern.compile(
          "^([A-Z]{5}\\d{4}[A-Z-]\\d{2}|[A-Z]\\d{2}[A-Z]-?[A-Z]{5}\\d{2})(?:\\d{2}|-[A-Z0-9]{1,8})$");

  private static final String CLAMPINGS = "CMPSDW";
  private static final String BARS = "SABDCEFGHJ";
  private static final String TOLERANCES = "QFB";
  private static final List<Integer> SHANKS = List.of(8, 10, 12, 16, 20, 25, 32, 40, 50);
  private static final List<Integer> BAR_DIAMETERS =
      List.of(5, 6, 8, 10, 12, 16, 20, 25, 32, 40, 50, 60);

  private final String text;

  private ShankReader(String text) {
    this.text = text;
  }

  /** Reads one designation; blanks and letter case do not matter. */
  public static Decoded<ShankDesignation> read(String designation) {
    String plain =
        TAIL.matcher(designation.replace(" ", "").toUpperCase(Locale.ROOT)).replaceFirst("$1");
    try {
      ShankReader reader = new ShankReader(plain);
      boolean bar = plain.length() > 1 && Character.isDigit(plain.charAt(1));
      return Decoded.of(bar ? reader.bar() : reader.external(), List.of());
    } catch (WrongDesignation wrong) {
      return Decoded.wrong(wrong.code(), wrong.getMessage());
    }
  }

  private ShankDesignation external() {
    if (text.matches("[A-Z]{5}\\d{3}[A-Z]")) {
      return inches();
    }
    if (!text.matches("[A-Z]{5}\\d{4}[A-Z-]\\d{2}[A-Z]?")) {
      throw new WrongDesignation(
          "shank-pattern",
          "does not match 5 letters + h(2) + b(2) + length letter + insert size(2) [+Q/F/B]");
    }
    int height = number(5);
    int width = number(7);
    inSeries(height, SHANKS, "shank height", "position 6");
    inSeries(width, SHANKS, "shank width", "position 7");
    if (width > height) {
      throw new WrongDesignation(
          "shank-section", "position 7: shank width %d exceeds height %d".formatted(width, height));
    }
    ShankDesignation.Section section = ShankDesignation.Section.of(height, width);
    if (text.length() == 13 && TOLERANCES.indexOf(text.charAt(12)) < 0) {
      throw new WrongDesignation(
          "shank-tolerance",
          "position 10: tolerance letter %s is not Q, F or B".formatted(text.charAt(12)));
    }
    return head(
        0,
        text.substring(10, 12),
        Optional.of(section),
        Optional.empty(),
        length(9, text.substring(5, 9)));
  }

  /** {@code MCLNR 164D}: section in sixteenths, circle of the insert in eighths of an inch. */
  private ShankDesignation inches() {
    String size = text.substring(7, 8);
    String code =
        InsertShape.of(text.charAt(1))
            .flatMap(shape -> InsertSize.inch(shape, size))
            .map(InsertSize::metric)
            .orElseThrow(() ->
                new WrongDesignation(
                    "shank-insert-size",
                    "position 7: insert size %s does not exist in inches".formatted(size)));
    return head(
        0,
        code,
        Optional.of(InchShank.section(text.substring(5, 7))),
        Optional.empty(),
        Optional.of(InchShank.length(text.charAt(8))));
  }

  private ShankDesignation bar() {
    if (!text.matches("[A-Z]\\d{2}[A-Z]-?[A-Z]{5}\\d{2}")) {
      throw new WrongDesignation(
          "bar-pattern",
          "does not match bar letter + diameter(2) + length letter - 5 letters + insert size(2)");
    }
    if (BARS.indexOf(text.charAt(0)) < 0) {
      throw new WrongDesignation(
          "bar-type",
          "position 1: bar letter %s is not defined; allowed are S A B D C E F G H J"
              .formatted(text.charAt(0)));
    }
    inSeries(number(1), BAR_DIAMETERS, "bar diameter", "position 2");
    int from = text.length() - 7;
    ShankDesignation.Bar bar = new ShankDesignation.Bar(text.charAt(0), number(1));
    ShankDesignation read =
        head(
            from,
            text.substring(from + 5, from + 7),
            Optional.empty(),
            Optional.of(bar),
            length(3, ""));
    if (read.hand() == 'N') {
      throw new WrongDesignation(
          "shank-hand", "position 8: boring bar cannot be neutral: hand must be R or L");
    }
    if (!read.style().bar()) {
      throw new WrongDesignation(
          "shank-style",
          "position 6: style %s is not a boring-bar style; allowed are %s"
              .formatted(read.style(), HolderStyle.letters(true)));
    }
    return read;
  }

  private ShankDesignation head(
      int from,
      String sizeCode,
      Optional<ShankDesignation.Section> section,
      Optional<ShankDesignation.Bar> bar,
      Optional<BigDecimal> length) {
    int position = bar.isPresent() ? 4 : 1;
    char clamping = text.charAt(from);
    if (CLAMPINGS.indexOf(clamping) < 0) {
      throw undefined("clamping", clamping, position, "C D M P S W");
    }
    char shapeLetter = text.charAt(from + 1);
    InsertShape shape =
        InsertShape.of(shapeLetter)
            .orElseThrow(
                () -> undefined("shape", shapeLetter, position + 1, InsertShape.letters()));
    char styleLetter = text.charAt(from + 2);
    HolderStyle style =
        HolderStyle.of(styleLetter)
            .orElseThrow(() ->
                undefined(
                    "style", styleLetter, position + 2, HolderStyle.letters(bar.isPresent())));
    char clearance = text.charAt(from + 3);
    if (!Clearance.known(clearance)) {
      throw undefined("clearance", clearance, position + 3, Clearance.LETTERS);
    }
    char hand = text.charAt(from + 4);
    if ("RLN".indexOf(hand) < 0) {
      throw new WrongDesignation(
          "shank-hand",
          "position %d: hand letter %s is not R, L or N".formatted(position + 4, hand));
    }
    ShankDesignation read =
        new ShankDesignation(
            clamping,
            shape,
            style,
            clearance,
            hand,
            section,
            bar,
            length,
            sizeCode,
            circle(shape, sizeCode),
            corner(shape, style));
    neutralOnlyWhereSymmetric(read);
    clearBehind(read);
    return read;
  }

  private Optional<BigDecimal> length(int at, String section) {
    char letter = text.charAt(at);
    if (letter == '-') {
      return Optional.of(
          HolderLength.ofSection(section)
              .map(BigDecimal::valueOf)
              .orElseThrow(() ->
                  new WrongDesignation(
                      "shank-length",
                      "position 8: section %s has no standard length: give a length letter"
                          .formatted(section))));
    }
    if (!HolderLength.known(letter)) {
      throw undefined("length", letter, at == 3 ? 3 : 8, HolderLength.ALL);
    }
    return HolderLength.of(letter).map(BigDecimal::valueOf);
  }

  /** Round and unsymmetric inserts do not give away their circle by the size code. */
  private static Optional<BigDecimal> circle(InsertShape shape, String code) {
    if (shape.round()) {
      if (InsertSize.metric(shape, code).isEmpty() && InsertSize.metricRound(code).isEmpty()) {
        throw noSize(shape, code);
      }
      return Optional.empty();
    }
    if (!shape.regular()) {
      return Optional.empty();
    }
    return InsertSize.metric(shape, code).orElseThrow(() -> noSize(shape, code)).circle();
  }

  private static WrongDesignation noSize(InsertShape shape, String code) {
    return new WrongDesignation(
        "shank-insert-size",
        "position 9: insert size %s does not exist for shape %s; allowed are %s"
            .formatted(code, shape, String.join(" ", InsertSize.metricCodes(shape))));
  }

  /** An 80 degree insert presents its 100 degree corner in styles B, K and R. */
  private static Optional<Integer> corner(InsertShape shape, HolderStyle style) {
    if (shape.round()) {
      return Optional.empty();
    }
    boolean blunt =
        shape == InsertShape.C
            && (style == HolderStyle.B || style == HolderStyle.K || style == HolderStyle.R);
    return Optional.of(blunt ? 180 - shape.angle() : shape.angle());
  }

  private static void neutralOnlyWhereSymmetric(ShankDesignation read) {
    if (read.hand() != 'N') {
      return;
    }
    if (read.style().offset()) {
      throw new WrongDesignation(
          "shank-hand", "offset style %s must be R or L, not neutral".formatted(read.style()));
    }
    double halved = (180 - read.shape().angle()) / 2.0;
    double stated = read.style().edgeAngle().orElseThrow().doubleValue();
    if (!read.shape().round() && Math.abs(stated - halved) > 0.6) {
      throw new WrongDesignation(
          "shank-hand",
          "style %s with shape %s is not symmetric (KAPR %s, needs %s): hand must be R or L"
              .formatted(read.style(), read.shape(), read.style().edgeAngle().get(), halved));
    }
  }

  private static void clearBehind(ShankDesignation read) {
    read.endClearance()
        .filter(clearance -> clearance.signum() <= 0)
        .ifPresent(clearance -> {
          throw new WrongDesignation(
              "shank-end-clearance",
              "%s + %d >= 180: trailing edge would rub (end clearance %s)"
                  .formatted(
                      read.style().edgeAngle().orElseThrow().toPlainString(),
                      read.corner().orElseThrow(),
                      clearance.toPlainString()));
        });
  }

  private int number(int at) {
    return Integer.parseInt(text, at, at + 2, 10);
  }

  private static void inSeries(int size, List<Integer> series, String what, String position) {
    if (!series.contains(size)) {
      throw new WrongDesignation(
          "shank-size", "%s: %s %d not in the series %s".formatted(position, what, size, series));
    }
  }

  private static WrongDesignation undefined(
      String what, char letter, int position, String allowed) {
    return new WrongDesignation(
        "shank-" + what,
        "position %d: %s letter %s is not defined; allowed are %s"
            .formatted(position, what, letter, allowed));
  }
}
