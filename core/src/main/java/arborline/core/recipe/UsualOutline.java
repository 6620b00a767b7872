package arborline.core.recipe;

import arborline.core.exchange.Cell;
import arborline.core.exchange.PartReading;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The outline that is usual for a holder of which only name and projection are known: flange, then
 * one cylinder as wide as the nut or the head. Source: usual outer sizes of ISO 15488 nuts and of
 * side-lock, shrink and hydraulic chucks; generic values, to be replaced by the holder's own.
 */
final class UsualOutline {

  /** Flange diameter and length in front of the gauge line by what is put into the spindle, mm. */
  private static final Map<String, List<Integer>> FLANGES =
      Map.of(
          "ST-30", List.of(46, 22),
          "ST-40", List.of(63, 27),
          "ST-50", List.of(100, 38),
          "HT-50", List.of(50, 26),
          "HT-63", List.of(63, 26),
          "HT-80", List.of(80, 26),
          "HT-100", List.of(100, 29));

  private static final TreeMap<Integer, Integer> NUTS =
      new TreeMap<>(Map.of(8, 12, 11, 19, 16, 28, 20, 34, 25, 42, 32, 50, 40, 63, 50, 78));
  private static final TreeMap<Integer, Integer> HEADS =
      new TreeMap<>(Map.of(6, 25, 8, 28, 10, 35, 12, 42, 14, 44, 16, 48, 20, 52, 25, 65, 32, 72));
  private static final TreeMap<Integer, Integer> SLIM =
      new TreeMap<>(Map.of(6, 27, 8, 27, 10, 32, 12, 32, 14, 34, 16, 34, 20, 42, 25, 53, 32, 53));
  private static final TreeMap<Integer, Integer> ARBORS =
      new TreeMap<>(Map.of(16, 38, 22, 48, 27, 58, 32, 78, 40, 88, 50, 110, 60, 130));

  private static final BigDecimal MM_PER_INCH = new BigDecimal("25.4");

  private UsualOutline() {}

  /** Cylinders as a part states them; nothing where too little is known. */
  static Optional<String> of(HolderName holder) {
    Cell length = holder.cells().get("LF");
    String[] machine = holder.cells().get(PartReading.MACHINE_SIDE).text().split("[-:]");
    List<Integer> flange = FLANGES.get(machine[0] + "-" + machine[2]);
    Cell work = holder.cells().get(PartReading.WORK_SIDE);
    if (length == null || work == null) {
      return Optional.empty();
    }
    BigDecimal stated = new BigDecimal(length.text());
    boolean inch = length.unit().filter(Unit.INCH::equals).isPresent();
    int projection = (inch ? stated.multiply(MM_PER_INCH) : stated).intValue();
    Integer head = head(work.text().split("[-:]"));
    if (head == null || projection <= 0) {
      return Optional.empty();
    }
    if (flange == null || projection <= flange.get(1)) {
      return Optional.of("%d x %d".formatted(projection, head));
    }
    return Optional.of(
        "%d x %d; %d x %d"
            .formatted(flange.get(1), flange.getFirst(), projection - flange.get(1), head));
  }

  private static Integer head(String[] work) {
    int size = new BigDecimal(work[2]).setScale(0, RoundingMode.CEILING).intValue();
    TreeMap<Integer, Integer> table =
        switch (work[0] + work[1]) {
          case "COA" -> NUTS;
          case "CYSF", "CYHY" -> SLIM;
          case "ARA" -> ARBORS;
          default -> HEADS;
        };
    Map.Entry<Integer, Integer> entry = table.ceilingEntry(size);
    return entry == null ? null : entry.getValue();
  }
}
