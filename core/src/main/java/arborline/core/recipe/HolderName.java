package arborline.core.recipe;

import arborline.core.connection.Connection;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A holder by its trade name: {@code BT40-ER16-100} is a 7/24 taper 40 with a collet seat 16 that
 * projects 100 mm. The last number is the projection from the gauge plane.
 *
 * @param kind holder or arbor
 * @param cells what the name says
 */
record HolderName(ItemKind kind, SortedMap<String, Cell> cells) {

  private static final Pattern TAPER = Pattern.compile("(BT|SK|CAT|CV|DV|BBT)-?(30|40|45|50|60)");
  private static final Pattern HOLLOW =
      Pattern.compile("HSK-?([A-FT])-?(\\d{2,3})|HSK-?(\\d{2,3})-?([A-FT])");
  private static final Pattern POLYGON = Pattern.compile("PSC-?(\\d{2,3})");
  private static final Pattern MORSE = Pattern.compile("(?:MT|MK)-?([0-6])");
  private static final Pattern TAKES =
      Pattern.compile(
          "(ER|EM|SL|WN|WE|SLN|SF|SR|TSF|HY|HC|HG|SMA|FMB|FMA|SMH)-?(\\d{1,2}(?:\\.\\d+)?)");
  private static final Pattern LENGTH =
      Pattern.compile("[-x/ ](\\d{1,3}(?:\\.\\d+)?)\\s*(?:MM|\")?$");

  /** Projections of inch tapers below this are inches. */
  private static final BigDecimal SHORT = BigDecimal.valueOf(20);

  private static final Map<String, String> FORMS =
      Map.of("BT", "J", "BBT", "J", "SK", "A", "DV", "A", "CAT", "U", "CV", "U");

  /** Reads a trade name; nothing where it is none. */
  static Optional<HolderName> read(String name) {
    String text = name.strip().toUpperCase(Locale.ROOT).replaceAll("\\s+", "-");
    Optional<String> machineSide = machineSide(text);
    Matcher takes = TAKES.matcher(text);
    if (machineSide.isEmpty() || !takes.find()) {
      return Optional.empty();
    }
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put(PartReading.MACHINE_SIDE, Cell.of(machineSide.get()));
    workSide(takes.group(1), takes.group(2), cells);
    Matcher length = LENGTH.matcher(text);
    if (length.find() && length.start() >= takes.end() - 1) {
      boolean inch = text.startsWith("C") && new BigDecimal(length.group(1)).compareTo(SHORT) < 0;
      cells.put("LF", Cell.of(length.group(1), inch ? Unit.INCH : Unit.MILLIMETRE));
    }
    boolean arbor = takes.group(1).startsWith("SM") || takes.group(1).startsWith("FM");
    return Optional.of(new HolderName(arbor ? ItemKind.ARBOR : ItemKind.HOLDER, cells));
  }

  private static Optional<String> machineSide(String text) {
    Matcher taper = TAPER.matcher(text);
    if (taper.lookingAt()) {
      return known("ST-%s-%s:m".formatted(FORMS.get(taper.group(1)), taper.group(2)));
    }
    Matcher hollow = HOLLOW.matcher(text);
    if (hollow.lookingAt()) {
      boolean first = hollow.group(1) != null;
      return known(
          "HT-%s-%s:m"
              .formatted(
                  first ? hollow.group(1) : hollow.group(4),
                  first ? hollow.group(2) : hollow.group(3)));
    }
    Matcher polygon = POLYGON.matcher(text);
    if (polygon.lookingAt()) {
      return known("PT-C-%s:m".formatted(polygon.group(1)));
    }
    Matcher morse = MORSE.matcher(text);
    return morse.lookingAt() ? known("MT-A-%s:m".formatted(morse.group(1))) : Optional.empty();
  }

  private static Optional<String> known(String code) {
    return Connection.read(code).connection().map(Connection::code);
  }

  private static void workSide(String form, String size, SortedMap<String, Cell> cells) {
    String code =
        switch (form) {
          case "ER" -> "CO-A-%s:f".formatted(size);
          case "EM", "SL", "WN", "SLN" -> "CY-SL-%s:f".formatted(size);
          case "WE" -> "CY-IN-%s:f".formatted(size);
          case "SF", "SR", "TSF" -> "CY-SF-%s:f".formatted(size);
          case "HY", "HC", "HG" -> "CY-HY-%s:f".formatted(size);
          default -> "AR-A-%s:m".formatted(size);
        };
    known(code).ifPresent(sound -> cells.put(PartReading.WORK_SIDE, Cell.of(sound)));
    if (!form.equals("ER")) {
      cells.put("DCONWS", Cell.of(size, Unit.MILLIMETRE));
    }
  }
}
