package arborline.core.designation;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The designation that sizes of a holder or a boring bar give. Source: ISO 5608 and ISO 6261.
 *
 * @param clamping letter MTP
 * @param edgeAngle KAPR, degrees
 * @param clearance AN of the insert, degrees
 * @param hand R, L or N
 * @param section height and width of a square shank, mm; empty for a bar
 * @param diameter DMM of a bar, mm; empty for a square shank
 * @param length LF, mm
 * @param circle IC of the insert, mm
 */
public record ShankNamer(
    char clamping,
    InsertShape shape,
    BigDecimal edgeAngle,
    int clearance,
    char hand,
    Optional<ShankDesignation.Section> section,
    Optional<Integer> diameter,
    int length,
    BigDecimal circle) {

  /** Of boring bars a solid steel one is meant. */
  private static final char STEEL_BAR = 'S';

  /**
   * The designation. Where styles share the angle, a hand means one that stands out to its side,
   * and bars have styles of their own. What comes out is read back; nothing where it is none.
   */
  public Optional<String> text() {
    Optional<Character> relief = Clearance.letter(clearance);
    Optional<Character> reach = HolderLength.letter(length);
    Optional<String> size = InsertSize.ofCircle(shape, circle).map(InsertSize::metric);
    if (relief.isEmpty() || reach.isEmpty() || size.isEmpty()) {
      return Optional.empty();
    }
    return styles()
        .map(style -> written(style, relief.get(), reach.get(), size.get()))
        .filter(designation -> ShankReader.read(designation).valid())
        .findFirst();
  }

  private Stream<HolderStyle> styles() {
    boolean bar = diameter.isPresent();
    return List.of(HolderStyle.values()).stream()
        .filter(
            style -> style.edgeAngle().filter(angle -> angle.compareTo(edgeAngle) == 0).isPresent())
        .filter(style -> style.offset() == (hand != 'N'))
        .filter(style -> !bar || style.bar())
        .sorted(Comparator.comparing(style -> style.bar() != bar));
  }

  private String written(HolderStyle style, char relief, char reach, String size) {
    String head = "" + clamping + shape.name() + style.name() + relief + hand;
    return diameter
        .map(bar -> "%c%02d%c-%s%s".formatted(STEEL_BAR, bar, reach, head, size))
        .orElseGet(() ->
            section
                .map(shank ->
                    "%s %02d%02d %c%s"
                        .formatted(
                            head,
                            shank.height().intValueExact(),
                            shank.width().intValueExact(),
                            reach,
                            size))
                .orElse(""));
  }
}
