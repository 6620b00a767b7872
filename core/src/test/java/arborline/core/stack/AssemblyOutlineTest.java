package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;

class AssemblyOutlineTest {

  private static final Component CHUCK =
      new Component(
          "CHUCK",
          "Chuck",
          Component.Kind.HOLDER,
          "ST-JD-40:m",
          "CY-SF-10:f",
          List.of(new Frustum(new BigDecimal("80"), new BigDecimal("50"), new BigDecimal("40"))),
          Material.STEEL,
          new BigDecimal("30"));

  private static final Cutter MILL =
      new Cutter(
          "MILL",
          "CY-A-10:m",
          List.of(new Body(48, 10, 10), new Body(22, 10, 10)),
          Material.CARBIDE,
          22,
          10,
          22,
          0);

  @Test
  void theCutterStandsInFrontOfItsHolderWithItsEdgesLast() {
    Outline outline = AssemblyOutline.of(new Stack("ST-JD-40:f", List.of(CHUCK), MILL, 40));
    assertEquals(120, outline.length(), 1e-9);
    assertEquals(50, outline.diameter(), 1e-9);
    assertEquals(
        List.of(Part.Kind.BODY, Part.Kind.SHANK, Part.Kind.FLUTES),
        outline.parts().stream().map(Part::kind).toList());
    Part edges = outline.parts().getLast();
    assertEquals(new Point(98, 5), edges.profile().getFirst());
    assertEquals(new Point(120, 5), edges.profile().getLast());
  }
}
