package arborline.core.cutting;

import arborline.core.quantity.Unit;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A number of a line of cutting data, by the symbol that it has in files and formulas. */
public enum CuttingField {
  VC(Unit.METRE_PER_MINUTE, "cutting speed"),
  /** Per tooth in milling, else per revolution. */
  FEED(Unit.MILLIMETRE, "feed"),
  FZ(Unit.MILLIMETRE, "feed per tooth"),
  FN(Unit.MILLIMETRE, "feed per revolution"),
  N(Unit.REVOLUTION_PER_MINUTE, "rotation"),
  VF(Unit.MILLIMETRE_PER_MINUTE, "feed rate"),
  AP(Unit.MILLIMETRE, "depth of cut"),
  AE(Unit.MILLIMETRE, "width of cut"),
  BEFOREVC(Unit.METRE_PER_MINUTE, "cutting speed before"),
  BEFOREFEED(Unit.MILLIMETRE, "feed before");

  private final Unit unit;
  private final String title;

  CuttingField(Unit unit, String title) {
    this.unit = unit;
    this.title = title;
  }

  /** In which it is counted where nothing else is written. */
  public Unit unit() {
    return unit;
  }

  public String title() {
    return title;
  }

  private static final Map<String, CuttingField> NAMES =
      Arrays.stream(values()).collect(Collectors.toMap(CuttingField::name, field -> field));

  /** Finds a field by its symbol, in any letter case. */
  public static Optional<CuttingField> named(String symbol) {
    CuttingField known = NAMES.get(symbol);
    return known != null || symbol.isEmpty()
        ? Optional.ofNullable(known)
        : Optional.ofNullable(NAMES.get(symbol.toUpperCase(Locale.ROOT)));
  }
}
