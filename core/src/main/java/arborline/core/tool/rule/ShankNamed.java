package arborline.core.tool.rule;

import arborline.core.designation.InsertShape;
import arborline.core.designation.ShankDesignation.Section;
import arborline.core.designation.ShankNamer;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Where the sizes of a holder or bar are given and its designation is not, they give it. Source:
 * ISO 5608 and ISO 6261.
 */
public final class ShankNamed implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    boolean sized =
        Stream.of("KAPR", "LF", "IC").allMatch(symbol -> tool.size(symbol) != null)
            && tool.word("MTP").filter(letter -> letter.length() == 1).isPresent()
            && tool.word("HAND").filter(letter -> letter.length() == 1).isPresent();
    return tool.has("SHANK") || !sized
        ? Optional.empty()
        : shape(tool).flatMap(shape -> namer(tool, shape).text()).map(ShankNamed::offer);
  }

  private static ShankNamer namer(Tool tool, InsertShape shape) {
    Optional<Integer> height = whole(tool, "H");
    Optional<Integer> width = whole(tool, "B");
    return new ShankNamer(
        Character.toUpperCase(tool.word("MTP").orElseThrow().charAt(0)),
        shape,
        tool.size("KAPR"),
        whole(tool, "AN").orElse(0),
        Character.toUpperCase(tool.word("HAND").orElseThrow().charAt(0)),
        height.flatMap(high ->
            width.map(wide -> new Section(BigDecimal.valueOf(high), BigDecimal.valueOf(wide)))),
        height.isPresent() ? Optional.empty() : whole(tool, "DMM"),
        whole(tool, "LF").orElse(0),
        tool.size("IC"));
  }

  private static Optional<InsertShape> shape(Tool tool) {
    return tool.word("SC")
        .flatMap(letter ->
            Stream.of(InsertShape.values())
                .filter(shape -> shape.name().equalsIgnoreCase(letter))
                .findFirst());
  }

  private static Optional<Integer> whole(Tool tool, String symbol) {
    BigDecimal size = tool.size(symbol);
    return size == null || size.stripTrailingZeros().scale() > 0 || size.abs().compareTo(MOST) > 0
        ? Optional.empty()
        : Optional.of(size.intValueExact());
  }

  private static final BigDecimal MOST = new BigDecimal("9999");

  private static Finding offer(String designation) {
    return Finding.note(
            "holder-named", "these sizes are those of holder %s".formatted(designation), "SHANK")
        .withRepair(
            Repair.of("holder-named", "name it by its sizes", Map.of("SHANK", designation)));
  }
}
