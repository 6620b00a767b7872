package arborline.core.designation;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * The parts of the designation of an external holder (ISO 5608) or a boring bar (ISO 6261).
 *
 * @param clamping letter of the way the insert is held
 * @param clearance letter of the insert's clearance
 * @param hand R, L or N
 * @param section of an external holder; empty for a bar
 * @param bar of a boring bar; empty for an external holder
 * @param length LF in mm; empty where it is special
 * @param sizeCode edge size of the insert as written
 * @param corner angle of the corner that cuts, degrees; empty for a round insert
 */
public record ShankDesignation(
    char clamping,
    InsertShape shape,
    HolderStyle style,
    char clearance,
    char hand,
    Optional<Section> section,
    Optional<Bar> bar,
    Optional<BigDecimal> length,
    String sizeCode,
    Optional<BigDecimal> circle,
    Optional<Integer> corner) {

  /** Shank height H and width B, mm. */
  public record Section(BigDecimal height, BigDecimal width) {

    static Section of(int height, int width) {
      return new Section(BigDecimal.valueOf(height), BigDecimal.valueOf(width));
    }
  }

  /**
   * A round shank.
   *
   * @param type letter of its material and coolant
   * @param diameter DMM, mm
   */
  public record Bar(char type, int diameter) {}

  private static final BigDecimal HALF_TURN = BigDecimal.valueOf(180);
  private static final BigDecimal RIGHT = BigDecimal.valueOf(90);

  /** PSIR in degrees, negative where the edge leans back. */
  public Optional<BigDecimal> lead() {
    return style.edgeAngle().map(RIGHT::subtract);
  }

  /** 180 - KAPR - corner angle in degrees: what keeps the trailing edge off the work. */
  public Optional<BigDecimal> endClearance() {
    return style
        .edgeAngle()
        .flatMap(kapr ->
            corner.map(angle -> HALF_TURN.subtract(kapr).subtract(BigDecimal.valueOf(angle))));
  }
}
