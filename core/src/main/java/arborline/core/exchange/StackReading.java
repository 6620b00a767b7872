package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import arborline.core.stack.PlannedStack;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Stacks out of cells, and back. */
public final class StackReading {

  public static final String SEAT = "SEAT";

  /** How far the whole is said to stand out of the spindle, as its vendor wrote it. */
  public static final String LENGTH = "LPR";

  public static final String OVERHANG = "OVERHANG";
  private static final BigDecimal LONGEST = BigDecimal.valueOf(2000);
  private static final int MOST_PARTS = 20;
  private static final int LONGEST_NAME = 100;
  private static final int LONGEST_SEAT = 40;

  private StackReading() {}

  /**
   * What was understood.
   *
   * @param stack nothing where the file names no part, or what it says of it cannot be
   */
  public record Interpreted(Optional<PlannedStack> stack, List<Finding> findings) {}

  public static Interpreted interpret(RawItem raw) {
    String name = raw.text(RawItem.NAME);
    if (raw.parts().isEmpty()) {
      return refused(
          Finding.query("stack-empty", "stack of line %d names no part".formatted(raw.line())));
    }
    if (raw.parts().size() > MOST_PARTS) {
      return refused(
          Finding.hold(
              "stack-parts",
              "stack of line %d has %d parts; %d are possible"
                  .formatted(raw.line(), raw.parts().size(), MOST_PARTS)));
    }
    if (raw.text(SEAT).length() > LONGEST_SEAT) {
      return refused(
          Finding.hold(
              "stack-seat",
              "stack of line %d: '%s' is no connection".formatted(raw.line(), raw.text(SEAT)),
              SEAT));
    }
    Optional<BigDecimal> overhang = overhang(raw);
    if (overhang.isEmpty()) {
      return refused(
          Finding.hold(
              "stack-overhang",
              "stack of line %d: overhang '%s' is no length of 0 to 2000 mm"
                  .formatted(raw.line(), raw.text(OVERHANG)),
              OVERHANG));
    }
    return new Interpreted(
        Optional.of(
            new PlannedStack(
                name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name,
                raw.text(SEAT),
                overhang.get(),
                raw.parts())),
        raw.findings());
  }

  private static Interpreted refused(Finding finding) {
    return new Interpreted(Optional.empty(), List.of(finding));
  }

  private static Optional<BigDecimal> overhang(RawItem raw) {
    Cell cell = raw.cells().get(OVERHANG);
    if (cell == null || cell.text().isBlank()) {
      return Optional.of(BigDecimal.ZERO);
    }
    return EntryParser.parse(cell.text(), cell.unit().orElse(Unit.MILLIMETRE))
            instanceof Entry.Understood understood
        ? Optional.of(understood.quantity().in(Unit.MILLIMETRE))
            .filter(length -> length.signum() >= 0 && length.compareTo(LONGEST) <= 0)
        : Optional.empty();
  }

  /** The cells that bring a stack back. */
  public static RawItem of(PlannedStack stack, String owner) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    if (!stack.name().isBlank()) {
      cells.put(RawItem.NAME, Cell.of(stack.name()));
    }
    if (!stack.seat().isBlank()) {
      cells.put(SEAT, Cell.of(stack.seat()));
    }
    if (stack.overhang().signum() != 0) {
      cells.put(OVERHANG, Cell.of(stack.overhang().toPlainString(), Unit.MILLIMETRE));
    }
    return new RawItem(0, ItemKind.STACK, owner, cells, stack.parts(), List.of());
  }
}
