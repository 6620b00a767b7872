package arborline.core.tool.outline;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.tool.Sample;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class OutlineTest {

  private static Outline outline(String text) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (String pair : text.split(" ")) {
      cells.put(pair.split("=")[0], Cell.of(pair.split("=")[1]));
    }
    return Silhouettes.of(Interpreter.interpret(new RawItem(1, cells, List.of())).tool())
        .orElseThrow();
  }

  private static Point tip(Outline outline) {
    return outline.parts().getLast().profile().getLast();
  }

  @Test
  void flatEndMillIsAsLongAndAsWideAsItSays() {
    Outline mill = outline("CLASS=end-mill-flat DC=10 APMX=22 DMM=12 OAL=83");
    assertEquals(83, mill.length());
    assertEquals(12, mill.diameter());
    assertEquals(new Point(83, 5), tip(mill));
  }

  @Test
  void ballEndsOnTheAxis() {
    assertEquals(0, tip(outline("CLASS=end-mill-ball DC=10 RE=5 APMX=22 DMM=10 OAL=72")).r(), 1e-9);
  }

  @ParameterizedTest
  @CsvSource({"90, 5", "118, 3.0043", "140, 1.8199"})
  void drillPointIsAsLongAsItsAngleMakesIt(String angle, double length) {
    Outline drill = outline("CLASS=drill-twist DC=10 SIG=%s LCF=50 DMM=10 OAL=89".formatted(angle));
    List<Point> edge = drill.parts().getLast().profile();
    Point corner = edge.stream().filter(p -> Math.abs(p.r() - 5) < 1e-9).toList().getLast();
    assertEquals(length, 89 - corner.z(), 1e-3);
    assertEquals(new Point(89, 0), edge.getLast());
  }

  @Test
  void neckIsDrawnThinnerThanTheEdges() {
    Outline necked =
        outline("CLASS=end-mill-corner-radius DC=10 RE=1 APMX=12 DMM=10 DN=9 LN=40 OAL=90");
    Part neck =
        necked.parts().stream().filter(p -> p.kind() == Part.Kind.NECK).findFirst().orElseThrow();
    assertEquals(4.5, neck.profile().getFirst().r());
  }

  @Test
  void listsGetTheShapeWithoutDimensions() {
    Outline mill = outline("CLASS=end-mill-flat DC=10 APMX=22 DMM=12 OAL=83");
    assertTrue(mill.marks().stream().anyMatch(mark -> mark.symbol().equals("DC")));
    assertEquals(List.of(), mill.bare().marks());
    assertEquals(mill.parts(), mill.bare().parts());
  }

  static Stream<ToolClass> classes() {
    return ToolClasses.all().stream();
  }

  /** Whatever is left out, an outline stays inside its own box and never turns back. */
  @ParameterizedTest
  @MethodSource("classes")
  void everyClassDrawsFromADiameterAlone(ToolClass toolClass) {
    Outline drawn = outline("CLASS=%s DC=8 DCX=8".formatted(toolClass.sheet().id()));
    assertTrue(drawn.length() > 0 && !drawn.parts().isEmpty());
    double z = 0;
    for (Part part : drawn.parts().stream().filter(part -> !part.flat()).toList()) {
      for (Point point : part.profile()) {
        assertTrue(point.z() >= z - 1e-9 && point.z() <= drawn.length() + 1e-9, drawn.toString());
        assertTrue(point.r() >= 0 && 2 * point.r() <= drawn.diameter() + 1e-9);
        z = point.z();
      }
    }
  }

  @Test
  void insertStandsInItsShankInTrueShape() {
    Outline tool =
        outline("CLASS=turning-external KAPR=95 EPSR=80 IC=12.7 RE=0.8 H=25 B=25 WF=32 LF=150");
    List<Point> insert = tool.parts().getLast().profile();
    assertEquals(new Point(150, 19.5), insert.getFirst());
    double edge = Math.hypot(insert.get(1).z() - 150, insert.get(1).r() - 19.5);
    assertEquals(12.896, edge, 0.001);
    assertTrue(tool.parts().stream().allMatch(Part::flat));
  }

  @Test
  void leftHandIsTheMirrorOfRight() {
    String both = "CLASS=turning-external KAPR=93 EPSR=55 IC=12.7 RE=0.8 H=25 B=25 WF=32 LF=150";
    List<Point> right = outline(both + " HAND=R").parts().getLast().profile();
    List<Point> left = outline(both + " HAND=L").parts().getLast().profile();
    for (int i = 0; i < right.size(); i++) {
      assertEquals(right.get(i).z(), left.get(i).z(), 1e-9);
      assertEquals(right.get(i).r(), -left.get(i).r(), 1e-9);
    }
  }

  private static Mark mark(Outline outline, String symbol) {
    return outline.marks().stream()
        .filter(mark -> mark.symbol().equals(symbol))
        .findFirst()
        .orElseThrow();
  }

  private static Part part(Outline outline, Part.Kind kind) {
    return outline.parts().stream().filter(p -> p.kind() == kind).findFirst().orElseThrow();
  }

  @Test
  void lengthsAreMarkedFromTheTip() {
    Outline mill =
        outline("CLASS=end-mill-flat DC=10 APMX=12 DMM=12 DN=9 LN=40 LU=38 LCF=15 OAL=90");
    assertEquals(new Mark("LN", Mark.Kind.ALONG, 50, 90, 0), mark(mill, "LN"));
    assertEquals(new Mark("LU", Mark.Kind.ALONG, 52, 90, 0), mark(mill, "LU"));
    assertEquals(new Mark("LCF", Mark.Kind.ALONG, 75, 90, 0), mark(mill, "LCF"));
    assertEquals(new Mark("OAL", Mark.Kind.ALONG, 0, 90, 0), mark(mill, "OAL"));
    assertEquals(new Mark("DMM", Mark.Kind.ACROSS, 20, 20, 6), mark(mill, "DMM"));
    assertEquals(new Mark("DN", Mark.Kind.ACROSS, 64, 64, 4.5), mark(mill, "DN"));
    assertEquals(new Point(50, 4.5), part(mill, Part.Kind.NECK).profile().getFirst());
    assertEquals(new Point(78, 4.5), part(mill, Part.Kind.NECK).profile().getLast());
    assertEquals(new Point(50, 6), part(mill, Part.Kind.SHANK).profile().getLast());
  }

  @Test
  void flutesReachBehindTheEdges() {
    Outline mill = outline("CLASS=end-mill-flat DC=10 APMX=12 DMM=12 LCF=30 OAL=90");
    assertEquals(new Point(60, 5), part(mill, Part.Kind.FLUTES).profile().getFirst());
    assertEquals(new Point(78, 5), part(mill, Part.Kind.FLUTES).profile().getLast());
    assertTrue(mill.marks().stream().noneMatch(mark -> mark.symbol().equals("LN")));
  }

  @Test
  void aLengthThatNobodyStatedIsEstimatedFromTheDiameter() {
    assertEquals(45, outline("CLASS=end-mill-flat DC=10").length());
    assertEquals(82, outline("CLASS=end-mill-flat DC=10 APMX=80").length());
  }

  @Test
  void aToolThatIsGivenByItsFunctionalLengthIsMarkedSo() {
    assertEquals(
        new Mark("LF", Mark.Kind.ALONG, 0, 60, 0),
        mark(outline("CLASS=face-mill DC=50 LF=60 APMX=9 DCONMS=22 NOF=5"), "LF"));
    assertEquals(
        new Mark("OAL", Mark.Kind.ALONG, 0, 90, 0),
        mark(outline("CLASS=end-mill-flat DC=10 APMX=12 DMM=12 OAL=90 LF=85"), "OAL"));
  }

  @Test
  void whatHasNoLengthOrDiameterIsNotDrawn() {
    Tool tool = Sample.tool("CLASS=end-mill-flat DC=10");
    Outline none =
        OutlineBuilder.of(tool, 40)
            .straight(Part.Kind.SHANK, 10, 10, 8)
            .straight(Part.Kind.SHANK, 0, 10, 0)
            .straight(Part.Kind.BODY, 10, 40, 8)
            .build();
    assertEquals(
        List.of(new Part(Part.Kind.BODY, List.of(new Point(10, 4), new Point(40, 4)))),
        none.parts());
    assertEquals(8, none.diameter());
  }

  @Test
  void aCornerIsAQuarterOfACircle() {
    List<Point> corner = OutlineBuilder.corner(50, 6, 2);
    assertEquals(11, corner.size());
    assertEquals(new Point(48, 6), corner.getFirst());
    assertEquals(50, corner.getLast().z(), 1e-9);
    assertEquals(4, corner.getLast().r(), 1e-9);
    for (Point point : corner) {
      assertEquals(2, Math.hypot(point.z() - 48, point.r() - 4), 1e-9);
    }
  }
}
