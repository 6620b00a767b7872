package arborline.core.solid;

import java.util.ArrayList;
import java.util.List;

/** Holders, extensions and collets among turned shapes. */
final class HolderShapes {

  private static final double COLLET_ANGLE = 8;

  private HolderShapes() {}

  static List<SolidProposal> of(TurnedShape shape) {
    List<SolidProposal> proposals = new ArrayList<>();
    if (shape.connection().isPresent()) {
      proposals.add(holder(shape));
    } else if (shape.bore().isPresent()) {
      List<Span> spans = Span.of(shape.profile());
      boolean through = shape.boreMachineEnd().isPresent();
      boolean narrows =
          spans.stream()
              .anyMatch(span ->
                  span.cone()
                      && Math.abs(span.angle() + COLLET_ANGLE) < 0.5
                      && span.length() > 0.3 * shape.length());
      double bore = shape.bore().getAsDouble();
      if (through && narrows) {
        proposals.add(sizes(shape).add("DCONWS", bore).as("collet", "", 0.85));
      }
      boolean wall = bore > 0.3 * shape.diameter() && shape.length() > 1.2 * shape.diameter();
      if (wall) {
        double shank = spans.getLast().cylinder() ? spans.getLast().r1() : lastCylinder(spans);
        Dimensions sizes = sizes(shape).add("DCONWS", bore);
        proposals.add(
            (shank > 0 ? sizes.add("DMM", 2 * shank) : sizes)
                .as("extension", "", narrows ? 0.3 : 0.6));
      } else if (bore > 0.15 * shape.diameter() && shape.length() < 0.6 * shape.diameter()) {
        proposals.add(
            new Dimensions()
                .add("IC", shape.diameter())
                .add("S", shape.length())
                .add("D1", bore)
                .as("insert", "insert", 0.6));
      }
    }
    return proposals;
  }

  private static double lastCylinder(List<Span> spans) {
    return spans.reversed().stream()
        .filter(Span::cylinder)
        .mapToDouble(Span::r0)
        .findFirst()
        .orElse(0);
  }

  private static Dimensions sizes(TurnedShape shape) {
    return new Dimensions().add("OAL", shape.length()).add("BD", shape.diameter());
  }

  private static SolidProposal holder(TurnedShape shape) {
    Dimensions sizes = sizes(shape).text("CCMS", shape.connection().orElseThrow());
    shape.gauge().ifPresent(gauge -> sizes.add("LF", gauge));
    shape.bore().ifPresent(bore -> sizes.add("DCONWS", bore));
    return sizes.as("holder", "", shape.bore().isPresent() ? 0.95 : 0.7);
  }
}
