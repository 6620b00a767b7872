package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.StringJoiner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files with solids that are broken, hostile or strange: each is answered with what is wrong. */
class BadSolidsTest {

  private static String hex() throws IOException {
    return new String(SolidShapesTest.file("hex.step"), StandardCharsets.US_ASCII);
  }

  private static SolidReading read(String text) throws IOException {
    return SolidReading.read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static String data(String statements) {
    return "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('AUTOMOTIVE_DESIGN'));\nENDSEC;\nDATA;\n"
        + statements
        + "\nENDSEC;\nEND-ISO-10303-21;\n";
  }

  private static List<String> codes(SolidReading reading) {
    return reading.findings().stream().map(SolidFinding::code).distinct().toList();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "solid cube\nfacet normal 0 0 1", "\u0000\u0000\u0000", "PK\u0003\u0004"})
  void whatIsNoExchangeFileIsRefused(String text) {
    UnreadableFileException refused = assertThrows(UnreadableFileException.class, () -> read(text));
    assertTrue(refused.getMessage().startsWith("line 1:"), refused.getMessage());
  }

  @Test
  void aFileWithoutASolidSaysSo() throws IOException {
    SolidReading read = read(data("#1=CARTESIAN_POINT('',(0.,0.,0.));"));
    assertEquals(List.of("no-solid"), codes(read));
    assertEquals(0, read.bodies());
    assertTrue(read.turned().isEmpty());
  }

  @Test
  void aDanglingReferenceCostsItsFaceAndIsNamedWithItsLine() throws IOException {
    String text = hex().replaceFirst("(?m)^#\\d+ = CYLINDRICAL_SURFACE\\(.*\\);\n", "");
    SolidReading read = read(text);
    assertTrue(codes(read).contains("dangling-reference"));
    SolidFinding left =
        read.findings().stream()
            .filter(finding -> finding.code().equals("face-not-read"))
            .findFirst()
            .orElseThrow();
    assertTrue(left.message().contains("stands nowhere"), left.message());
    assertTrue(left.line() > 0, left.toString());
  }

  @Test
  void aMissingEndOfSectionIsAFindingOnly() throws IOException {
    String text = hex();
    int end = text.lastIndexOf("ENDSEC;");
    SolidReading read = read(text.substring(0, end) + text.substring(end + 7));
    assertTrue(codes(read).contains("missing-endsec"));
    assertEquals(65, read.turned().orElseThrow().length(), 1e-6);
  }

  @Test
  void assembliesThatHoldThemselvesEnd() throws IOException {
    SolidReading read =
        read(
            data(
                """
                #1=SHAPE_REPRESENTATION('',(#10),#9);
                #2=SHAPE_REPRESENTATION('',(#10),#9);
                #10=AXIS2_PLACEMENT_3D('',#11,$,$);
                #11=CARTESIAN_POINT('',(0.,0.,0.));
                #20=(REPRESENTATION_RELATIONSHIP('','',#1,#2)
                  REPRESENTATION_RELATIONSHIP_WITH_TRANSFORMATION(#30)
                  SHAPE_REPRESENTATION_RELATIONSHIP());
                #21=(REPRESENTATION_RELATIONSHIP('','',#2,#1)
                  REPRESENTATION_RELATIONSHIP_WITH_TRANSFORMATION(#30)
                  SHAPE_REPRESENTATION_RELATIONSHIP());
                #30=ITEM_DEFINED_TRANSFORMATION('','',#10,#10);\
                """));
    assertTrue(codes(read).contains("assembly-cycle"), codes(read).toString());
  }

  @Test
  void mappedItemsThatMultiplyWithoutEndStop() throws IOException {
    StringBuilder text = new StringBuilder();
    for (int level = 0; level < 40; level++) {
      int id = 100 * (level + 1);
      text.append("#%d=SHAPE_REPRESENTATION('',(#%d,#%d),#9);%n".formatted(id, id + 1, id + 2));
      for (int copy = 1; copy <= 2; copy++) {
        text.append("#%d=MAPPED_ITEM('',#%d,#10);%n".formatted(id + copy, id + 3));
      }
      text.append("#%d=REPRESENTATION_MAP(#10,#%d);%n".formatted(id + 3, id + 100));
    }
    text.append("#4100=SHAPE_REPRESENTATION('',(#10),#9);\n");
    text.append("#10=AXIS2_PLACEMENT_3D('',#11,$,$);\n#11=CARTESIAN_POINT('',(0.,0.,0.));");
    assertFalse(codes(read(data(text.toString()))).isEmpty());
  }

  @Test
  void curvesInOneAnotherEnd() throws IOException {
    String text =
        hex()
            .replaceFirst(
                "CIRCLE\\('',#(\\d+),[0-9.]+\\)", "TRIMMED_CURVE('',#999999,(),(),.T.,.T.)")
            .replaceFirst(
                "ENDSEC;\\s*END-ISO",
                "#999999=TRIMMED_CURVE('',#999999,(),(),.T.,.T.);\nENDSEC;\nEND-ISO");
    assertTrue(
        read(text).findings().stream()
            .anyMatch(finding -> finding.message().contains("in one another")));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "1.E308",
        "-5.",
        "0.",
        "99999999999999999999999999999999999999.",
        "$",
        "'five'",
        "NAN",
        "1.E999999999"
      })
  void sizesThatAreNoneCostTheirFaceOnly(String size) throws IOException {
    String text =
        hex()
            .replaceFirst(
                "(CYLINDRICAL_SURFACE\\('',#\\d+,)[0-9.]+\\)",
                "$1" + size.replace("$", "\\$") + ")");
    SolidReading read = read(text);
    assertTrue(
        codes(read).contains("face-not-read") || codes(read).contains("garbage"),
        read.findings().toString());
  }

  @Test
  void hugeNumbersOfInstancesAreNamed() {
    String line = "#99999999999999999999=CARTESIAN_POINT('',(0.,0.,0.));";
    assertTrue(
        assertDoesNotFail(data(line)).findings().stream().anyMatch(finding -> finding.line() == 6),
        () -> assertDoesNotFail(data(line)).findings().toString());
  }

  private static SolidReading assertDoesNotFail(String text) {
    try {
      return read(text);
    } catch (IOException failed) {
      throw new AssertionError(failed);
    }
  }

  @Test
  void anEntityNameOfAMegabyteIsRead() throws IOException {
    assertEquals(List.of("no-solid"), codes(read(data("#1=" + "A".repeat(1024 * 1024) + "();"))));
  }

  @Test
  void aFaceWithoutEdgesOrWithEdgesOfNoLengthDoesNoHarm() throws IOException {
    SolidReading read =
        read(
            data(
                """
                #1=MANIFOLD_SOLID_BREP('',#2);
                #2=CLOSED_SHELL('',(#3,#4));
                #3=ADVANCED_FACE('',(),#10,.T.);
                #4=ADVANCED_FACE('',(#5),#10,.T.);
                #5=FACE_BOUND('',#6,.T.);
                #6=EDGE_LOOP('',(#7));
                #7=ORIENTED_EDGE('',*,*,#8,.T.);
                #8=EDGE_CURVE('',#9,#9,#11,.T.);
                #9=VERTEX_POINT('',#12);
                #10=CYLINDRICAL_SURFACE('',#13,5.);
                #11=LINE('',#12,#14);
                #12=CARTESIAN_POINT('',(5.,0.,0.));
                #13=AXIS2_PLACEMENT_3D('',#15,$,$);
                #14=VECTOR('',#16,1.);
                #15=CARTESIAN_POINT('',(0.,0.,0.));
                #16=DIRECTION('',(1.,0.,0.));\
                """));
    assertEquals(1, read.bodies());
    assertTrue(codes(read).contains("unit-not-written"));
  }

  @Test
  void aShellThatIsNotThereIsNamed() throws IOException {
    assertTrue(codes(read(data("#1=MANIFOLD_SOLID_BREP('',#2);"))).contains("no-shell"));
  }

  @Test
  void splinesWhoseKnotsDoNotFitAreNamed() throws IOException {
    SolidReading read =
        read(
            hex()
                .replaceFirst(
                    "CIRCLE\\('',#(\\d+),[0-9.]+\\)",
                    "B_SPLINE_CURVE_WITH_KNOTS('',3,(#1,#1),.UNSPECIFIED.,.F.,.F.,(4,4),(0.,1.),.U.)"));
    assertTrue(
        read.findings().stream().anyMatch(finding -> finding.code().endsWith("-not-read")),
        read.findings().toString());
  }

  @Test
  void manyRodsBesideEachOtherAreNotTurnedAroundOneAxis() throws IOException {
    Rods rods = new Rods();
    for (int i = 0; i < 40; i++) {
      rods.with(List.of(new Point(0, 5), new Point(10, 5)), 20.0 * i);
    }
    SolidReading read = rods.read();
    assertEquals(40, read.bodies());
    assertTrue(read.turned().isEmpty());
    assertTrue(codes(read).contains("not-turned"));
  }

  @Test
  void freeFacesOfAllBodiesTogetherAreBounded() throws IOException {
    List<Point> stepped = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      stepped.add(new Point(i, 1 + i % 2));
      stepped.add(new Point(i + 1, 1 + i % 2));
    }
    Rods rods = new Rods().with(List.of(new Point(0, 400), new Point(400, 400)), 0);
    for (int i = 0; i < 80; i++) {
      rods.with(stepped, 2.0 * i);
    }
    SolidReading read = rods.read();
    assertEquals(800, read.turned().orElseThrow().diameter(), 1e-3);
    assertTrue(codes(read).contains("many-free-faces"));
  }

  @Test
  void ofNestedRodsTheOutermostAreTheContour() throws IOException {
    Rods rods = new Rods();
    for (int i = 0; i < 30; i++) {
      double r = 5 - 0.1 * i;
      rods.with(List.of(new Point(0, r), new Point(10 + i, r)), 0);
    }
    TurnedShape shape = rods.read().turned().orElseThrow();
    assertEquals(10, shape.diameter(), 1e-3);
    assertEquals(39, shape.length(), 1e-3);
  }

  @Test
  void aCurveOfAnAbsurdDegreeIsAStraightLine() throws IOException {
    String text =
        hex()
            .replaceFirst(
                "LINE\\('',(#\\d+),#\\d+\\)",
                "BEZIER_CURVE('',2000000000,($1,$1),.UNSPECIFIED.,.F.,.F.)");
    SolidReading read = read(text);
    assertTrue(codes(read).contains("curve-not-read"), codes(read).toString());
    assertEquals(read(hex()).bodies(), read.bodies());
  }

  @Test
  void aFaceThatItsShellNamesTwiceIsReadOnce() throws IOException {
    String text = hex().replaceFirst("_SHELL\\('',\\((#\\d+),", "_SHELL('',($1,$1,$1,");
    assertEquals(read(hex()), read(text));
  }

  @Test
  void aFaceWithMoreEdgesThanAToolHasIsLeftOut() throws IOException {
    assertEquals(
        List.of("more than 20000 edges around a face"), leftOut(facesOnOneLoop(1, 20_001)));
  }

  @Test
  void facesThatShareOneLongLoopAreReadAsLongAsTheirEdgesAreNotTooMany() throws IOException {
    assertEquals(List.of(), leftOut(facesOnOneLoop(25, 10_000)));
    assertEquals(
        List.of("the faces before it have 250000 edges already"),
        leftOut(facesOnOneLoop(26, 10_000)));
  }

  @Test
  void facesThatNoAxisCouldBeTakenForAreNamed() throws IOException {
    SolidReading most = read(barrelOfPins(3999));
    assertFalse(codes(most).contains("too-many-axes"));
    SolidReading read = read(barrelOfPins(4001));
    assertEquals(
        List.of(
            "the faces are turned around more than 4000 axes: 2 faces met after those did not"
                + " count when the axis of the part was looked for"),
        read.findings().stream()
            .filter(finding -> finding.code().equals("too-many-axes"))
            .map(SolidFinding::message)
            .toList());
    assertEquals(most.turned(), read.turned());
  }

  /** A shell of a round face with so many smaller ones in it, each around an axis of its own. */
  private static String barrelOfPins(int count) {
    StringBuilder text = new StringBuilder("#1=MANIFOLD_SOLID_BREP('',#2);\n");
    StringJoiner shell = new StringJoiner(",", "#2=CLOSED_SHELL('',(", "));");
    shell.add(roundFace(text, 100, 0, 20_000));
    for (int i = 1; i <= count; i++) {
      shell.add(roundFace(text, 100 * (i + 1), 3 * i, 1));
    }
    return data(text.append(shell).toString());
  }

  /** Writes a cylinder from z = 0 to z = 10 around a place on x, mm; answers the face's name. */
  private static String roundFace(StringBuilder text, int id, int x, int radius) {
    text.append(
        "#%d=ADVANCED_FACE('',(#%d,#%d),#%d,.T.);%n".formatted(id, id + 1, id + 11, id + 20));
    text.append("#%d=CYLINDRICAL_SURFACE('',#%d,%d.);%n".formatted(id + 20, id + 5, radius));
    for (int at = id; at <= id + 10; at += 10) {
      text.append("#%d=FACE_BOUND('',#%d,.T.);%n".formatted(at + 1, at + 2));
      text.append("#%d=EDGE_LOOP('',(#%d));%n".formatted(at + 2, at + 3));
      text.append("#%d=ORIENTED_EDGE('',*,*,#%d,.T.);%n".formatted(at + 3, at + 4));
      text.append(
          "#%d=EDGE_CURVE('',#%d,#%d,#%d,.T.);%n".formatted(at + 4, at + 8, at + 8, at + 9));
      text.append("#%d=AXIS2_PLACEMENT_3D('',#%d,$,$);%n".formatted(at + 5, at + 6));
      text.append("#%d=CARTESIAN_POINT('',(%d.,0.,%d.));%n".formatted(at + 6, x, at - id));
      text.append("#%d=CARTESIAN_POINT('',(%d.,0.,%d.));%n".formatted(at + 7, x + radius, at - id));
      text.append("#%d=VERTEX_POINT('',#%d);%n".formatted(at + 8, at + 7));
      text.append("#%d=CIRCLE('',#%d,%d.);%n".formatted(at + 9, at + 5, radius));
    }
    return "#" + id;
  }

  private static List<String> leftOut(String text) throws IOException {
    return read(text).findings().stream()
        .filter(finding -> finding.code().equals("face-not-read"))
        .map(finding -> finding.message().replaceAll("^.*?[A-Z_]+: ", ""))
        .toList();
  }

  /** Faces of a rod that are bounded by one loop of as many edges. */
  private static String facesOnOneLoop(int faces, int edges) {
    StringBuilder text =
        new StringBuilder(
            """
            #1=MANIFOLD_SOLID_BREP('',#2);
            #3=CYLINDRICAL_SURFACE('',#4,5.);
            #4=AXIS2_PLACEMENT_3D('',#5,$,$);
            #5=CARTESIAN_POINT('',(0.,0.,0.));
            #6=CIRCLE('',#4,5.);
            #7=VERTEX_POINT('',#8);
            #8=CARTESIAN_POINT('',(5.,0.,0.));
            #9=EDGE_CURVE('',#7,#7,#6,.T.);
            #10=FACE_BOUND('',#11,.T.);
            """);
    text.append("#11=EDGE_LOOP('',(#9").append(",#9".repeat(edges - 1)).append("));\n");
    StringJoiner shell = new StringJoiner(",", "#2=CLOSED_SHELL('',(", "));");
    for (int id = 100; id < 100 + faces; id++) {
      text.append("#%d=ADVANCED_FACE('',(#10),#3,.T.);%n".formatted(id));
      shell.add("#" + id);
    }
    return data(text.append(shell).toString());
  }
}
