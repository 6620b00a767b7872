package arborline.core.part21;

import arborline.core.connection.Joint;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * An assembly of a property file as a stack of its cutter: the parts from the machine side on, the
 * spindle's side of its connection, and how far the cutter stands out.
 */
final class AssemblyParts {

  private static final String LENGTH = "LF";
  private static final String PROTRUDING = "LPR";

  /** Lengths that differ less are written with other decimals, mm. */
  private static final BigDecimal SAME = new BigDecimal("0.05");

  /** What holds more parts than this is no stack; it keeps them as its file has them. */
  private static final int MOST_ORDERED = 40;

  private final ExchangedItem assembly;
  private final Map<String, ExchangedItem> items;

  /**
   * An assembly of a file.
   *
   * @param items of the file, {@link #byId}
   */
  AssemblyParts(ExchangedItem assembly, Map<String, ExchangedItem> items) {
    this.assembly = assembly;
    this.items = items;
  }

  /** The first item of each id. */
  static Map<String, ExchangedItem> byId(List<ExchangedItem> all) {
    Map<String, ExchangedItem> items = new HashMap<>();
    all.forEach(item -> items.putIfAbsent(item.id(), item));
    return items;
  }

  /** The stack; nothing where none of its parts is a cutter. */
  Optional<RawItem> stack() {
    Optional<ExchangedItem.Part> cutter = cutter();
    if (cutter.isEmpty()) {
      return Optional.empty();
    }
    List<ExchangedItem.Part> holding =
        ordered(assembly.parts().stream().filter(part -> kind(part) != ItemKind.CUTTER).toList());
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.NAME, Cell.of(assembly.id()));
    if (!assembly.machineSide().isBlank()) {
      cells.put(StackReading.SEAT, Cell.of(assembly.machineSide().replaceFirst(":m$", ":f")));
    }
    whole().ifPresent(length -> cells.put(StackReading.LENGTH, millimetres(length)));
    if (!assembly.models().isEmpty()) {
      cells.put(RawItem.ATTACHMENT, Cell.of(PathList.text(assembly.models())));
    }
    overhang(cutter.get(), holding)
        .ifPresent(length -> cells.put(StackReading.OVERHANG, millimetres(length)));
    return Optional.of(
        new RawItem(
            assembly.line(),
            ItemKind.STACK,
            cutter.get().id(),
            cells,
            holding.stream().map(ExchangedItem.Part::id).toList(),
            List.of()));
  }

  /**
   * A question where the length of the whole is not where the cutter's tip stands by its place,
   * which is written at its own zero or at its tip.
   */
  Optional<Finding> contradicted() {
    Optional<BigDecimal> whole = whole();
    Optional<BigDecimal> place = cutter().flatMap(ExchangedItem.Part::position);
    Optional<BigDecimal> tip = cutter().flatMap(this::end);
    if (whole.isEmpty() || place.isEmpty() || tip.isEmpty()) {
      return Optional.empty();
    }
    boolean agrees = same(whole.get(), tip.get()) || same(whole.get(), place.get());
    return agrees
        ? Optional.empty()
        : Optional.of(
            Finding.query(
                "assembly-length",
                "%s is said to be %s mm long, and by the places of its parts the tip stands at %s mm: look which is right"
                    .formatted(assembly.id(), plain(whole.get()), plain(tip.get())),
                StackReading.OVERHANG));
  }

  private static boolean same(BigDecimal one, BigDecimal other) {
    return one.subtract(other).abs().compareTo(SAME) <= 0;
  }

  private static Cell millimetres(BigDecimal length) {
    return Cell.of(plain(length), Unit.MILLIMETRE);
  }

  private static String plain(BigDecimal length) {
    return length.stripTrailingZeros().toPlainString();
  }

  private Optional<BigDecimal> whole() {
    return value(assembly, PROTRUDING).or(() -> value(assembly, LENGTH));
  }

  private Optional<ExchangedItem.Part> cutter() {
    return assembly.parts().stream().filter(part -> kind(part) == ItemKind.CUTTER).findFirst();
  }

  private ItemKind kind(ExchangedItem.Part part) {
    ExchangedItem item = items.get(part.id());
    return item == null ? ItemKind.HOLDER : item.kind();
  }

  /** Each part behind the one that takes it; as the file has them where connections say less. */
  private List<ExchangedItem.Part> ordered(List<ExchangedItem.Part> parts) {
    if (parts.size() > MOST_ORDERED) {
      return parts;
    }
    List<ExchangedItem.Part> left = new ArrayList<>(parts);
    List<ExchangedItem.Part> ordered = new ArrayList<>();
    String socket = assembly.machineSide().replaceFirst(":m$", ":f");
    while (!left.isEmpty()) {
      String open = socket;
      Optional<ExchangedItem.Part> next =
          left.stream().filter(part -> Joint.of(open, machineSide(part)).mates()).findFirst();
      ExchangedItem.Part taken = next.orElseGet(() -> first(left));
      left.remove(taken);
      ordered.add(taken);
      socket = workSide(taken);
    }
    return ordered;
  }

  /** The part that none of the others takes. */
  private ExchangedItem.Part first(List<ExchangedItem.Part> parts) {
    return parts.stream()
        .filter(part ->
            parts.stream().noneMatch(other -> Joint.of(workSide(other), machineSide(part)).mates()))
        .findFirst()
        .orElse(parts.getFirst());
  }

  private String workSide(ExchangedItem.Part part) {
    ExchangedItem item = items.get(part.id());
    return item == null ? "" : item.workSide();
  }

  private String machineSide(ExchangedItem.Part part) {
    ExchangedItem item = items.get(part.id());
    return item == null ? "" : item.machineSide();
  }

  /**
   * From the face of the last part that has a length to the tip of the cutter, mm: by the places of
   * the parts, else by the length of the whole.
   */
  private Optional<BigDecimal> overhang(
      ExchangedItem.Part cutter, List<ExchangedItem.Part> holding) {
    Optional<BigDecimal> tip = whole().or(() -> end(cutter));
    Optional<BigDecimal> face = face(holding);
    return tip.flatMap(at -> face.map(at::subtract)).filter(length -> length.signum() > 0);
  }

  private Optional<BigDecimal> face(List<ExchangedItem.Part> holding) {
    BigDecimal sum = BigDecimal.ZERO;
    for (ExchangedItem.Part part : holding) {
      if (kind(part) != ItemKind.COLLET) {
        Optional<BigDecimal> length = length(part);
        if (length.isEmpty()) {
          return Optional.empty();
        }
        sum = part.position().orElse(sum).add(length.get());
      }
    }
    return Optional.of(sum).filter(at -> at.signum() > 0);
  }

  private Optional<BigDecimal> end(ExchangedItem.Part part) {
    return part.position().flatMap(at -> length(part).map(at::add));
  }

  private Optional<BigDecimal> length(ExchangedItem.Part part) {
    return value(items.get(part.id()), PROTRUDING).or(() -> value(items.get(part.id()), LENGTH));
  }

  private static Optional<BigDecimal> value(ExchangedItem item, String symbol) {
    return item == null ? Optional.empty() : Optional.ofNullable(item.values().get(symbol));
  }
}
