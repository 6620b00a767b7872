package arborline.core.tool.rule;

import arborline.core.designation.Clearance;
import arborline.core.designation.InsertDesignation;
import arborline.core.designation.InsertProperties;
import arborline.core.designation.InsertShape;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Where the sizes of an insert are given and its designation is not, they give it. Tolerance and
 * type are no sizes: the usual ones, M and G, are offered. Source: ISO 1832.
 */
public final class InsertNamed implements Rule {

  private static final char USUAL_TOLERANCE = 'M';
  private static final char USUAL_TYPE = 'G';

  @Override
  public Optional<Finding> check(Tool tool) {
    boolean sized = Stream.of("IC", "S", "RE").allMatch(symbol -> tool.size(symbol) != null);
    if (tool.has("MIID") || !sized) {
      return Optional.empty();
    }
    Optional<Character> clearance = Clearance.letter((int) Math.round(tool.approx("AN", 0)));
    return shape(tool)
        .filter(shape -> clearance.isPresent())
        .flatMap(shape ->
            InsertProperties.designate(
                shape,
                clearance.get(),
                USUAL_TOLERANCE,
                USUAL_TYPE,
                tool.size("IC"),
                tool.size("S"),
                tool.size("RE")))
        .flatMap(InsertDesignation::metric)
        .map(InsertNamed::offer);
  }

  private static Finding offer(String designation) {
    return Finding.note(
            "insert-named", "these sizes are those of insert %s".formatted(designation), "MIID")
        .withRepair(Repair.of("insert-named", "name it by its sizes", Map.of("MIID", designation)));
  }

  private static Optional<InsertShape> shape(Tool tool) {
    return tool.word("SC")
        .flatMap(letter ->
            Stream.of(InsertShape.values())
                .filter(shape -> shape.name().equalsIgnoreCase(letter))
                .findFirst());
  }
}
