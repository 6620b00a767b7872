package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is passed over without being kept is exactly what would be read. */
class StatementScanTest {

  private static final List<String> STATEMENTS =
      List.of(
          "#12=CARTESIAN_POINT('',(0.,-1.5E-3,+7));",
          "#1=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.));",
          "#7 = TOOL_PROPERTY ( 'it''s; 1/2\"' , #3 , LENGTH_MEASURE( 5. ) , $ ) ;",
          "#99=EDGE_LOOP('',\r\n(#1,#2,\n #3));",
          "#5=A(((#6),(#7,())),.T.,\"0FF\",'\\X2\\00E9\\X0\\');",
          "#8=B(E5,E,1E5,'\u00e9');");

  private final Names names = new Names();

  private StatementScan scan(String text) {
    return new StatementScan(text.getBytes(StandardCharsets.UTF_8), names);
  }

  private static Statement read(String text) throws FaultyStatementException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    return new StatementParser(bytes, new Names()).statement(0, bytes.length, 1);
  }

  @Test
  void namesReferencesAndLinesOfAPlainStatementAreFound() {
    String text = "#70=(A('#1',(#2,\n#3))B(C(#4)));";
    StatementScan scan = scan(text);

    assertTrue(scan.passes(0));
    assertEquals(70, scan.id());
    assertEquals(text.length(), scan.end());
    assertEquals(1, scan.lines());
    assertEquals(List.of("A", "B"), names(scan));
    assertEquals(List.of(2L, 3L, 4L), references(scan));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "#1=A(",
        "#1=A('x);",
        "#1=A(#);",
        "#1=A(1,,2);",
        "#1=A(.5);",
        "#1=A(1 2);",
        "#1=(A()",
        "#1=();",
        "#=A();",
        "#0=A();",
        "#1=A() B();",
        "#1A();",
        "#1234567890123456789=A();",
        "#1=A(%);",
        "#1=A('one\ntwo');"
      })
  void whatIsNotPlainIsLeftToTheParser(String text) {
    assertFalse(scan(text).passes(0));
  }

  /** Signs are changed, left out and doubled by chance, from a fixed beginning. */
  @Test
  void whateverIsPassedTheParserReadsAlike() throws FaultyStatementException {
    Random chance = new Random(21);
    String signs = "#'(),.;=$*/\"\\ \n\r\tEeAZ_09-+!\u00e9";
    int passed = 0;
    for (int i = 0; i < 60_000; i++) {
      StringBuilder text = new StringBuilder(STATEMENTS.get(i % STATEMENTS.size()));
      for (int change = chance.nextInt(3); change >= 0; change--) {
        int at = 1 + chance.nextInt(text.length() - 1);
        switch (chance.nextInt(3)) {
          case 0 -> text.setCharAt(at, signs.charAt(chance.nextInt(signs.length())));
          case 1 -> text.deleteCharAt(at).append(' ');
          default -> text.insert(at, signs.charAt(chance.nextInt(signs.length())));
        }
      }
      StatementScan scan = scan(text.toString());
      if (scan.passes(0)) {
        passed++;
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        Statement read = read(new String(bytes, 0, scan.end(), StandardCharsets.UTF_8));
        assertEquals(read.id(), scan.id(), text::toString);
        assertEquals(
            read.entities().stream().map(Entity::name).toList(), names(scan), text::toString);
        assertEquals(read.references().toList(), references(scan), text::toString);
      }
    }
    assertTrue(passed > 5_000, "only " + passed + " were passed");
  }

  private List<String> names(StatementScan scan) {
    List<String> found = new ArrayList<>();
    for (int i = 0; i < scan.entities(); i++) {
      found.add(names.name(scan.entity(i)));
    }
    return found;
  }

  private static List<Long> references(StatementScan scan) {
    List<Long> references = new ArrayList<>();
    for (int i = 0; i < scan.references(); i++) {
      references.add(scan.reference(i));
    }
    return references;
  }
}
