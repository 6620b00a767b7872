package arborline.core.designation;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Holder styles with their cutting edge angle. Source: ISO 5608, position 3; ISO 6261 takes part of
 * them.
 */
public enum HolderStyle {
  A("90", false, false),
  B("75", false, false),
  C("90", false, false),
  D("45", false, false),
  E("60", false, false),
  F("90", true, true),
  G("90", true, false),
  H("107.5", true, false),
  J("93", true, false),
  K("75", true, true),
  L("95", true, true),
  M("50", false, false),
  N("63", false, false),
  P("117.5", true, true),
  Q("107.5", true, true),
  R("75", true, false),
  S("45", true, true),
  T("60", true, false),
  U("93", true, true),
  V("72.5", false, false),
  W("60", true, true),
  /** Special: the maker says. */
  X("", true, true),
  Y("85", true, true);

  private final Optional<BigDecimal> edgeAngle;
  private final boolean offset;
  private final boolean bar;

  HolderStyle(String edgeAngle, boolean offset, boolean bar) {
    this.edgeAngle =
        edgeAngle.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(edgeAngle));
    this.offset = offset;
    this.bar = bar;
  }

  static Optional<HolderStyle> of(char letter) {
    for (HolderStyle style : values()) {
      if (style.name().charAt(0) == letter) {
        return Optional.of(style);
      }
    }
    return Optional.empty();
  }

  /** All letters that are known, or those of boring bars. */
  static String letters(boolean bars) {
    return Stream.of(values())
        .filter(style -> style.bar || !bars)
        .map(HolderStyle::name)
        .collect(Collectors.joining(" "));
  }

  /** KAPR in degrees; empty where it is special. */
  public Optional<BigDecimal> edgeAngle() {
    return edgeAngle;
  }

  /** True where the head stands out to one side, which gives it a hand. */
  public boolean offset() {
    return offset;
  }

  /** True where boring bars are made in this style. */
  public boolean bar() {
    return bar;
  }
}
