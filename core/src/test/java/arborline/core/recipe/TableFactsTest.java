package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.quantity.Unit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** In which unit a list without units is, and how it writes decimals. */
class TableFactsTest {

  private static final List<ColumnRole> COLUMNS =
      List.of(
          column("Code", Meaning.CODE),
          column("D", Meaning.DIAMETER),
          column("OAL", Meaning.LENGTH_OVERALL));

  private static ColumnRole column(String header, Meaning meaning) {
    return new ColumnRole(header, meaning, Optional.empty(), Optional.empty(), "");
  }

  private static TableFacts facts(String title, String... rows) {
    List<SourceRow> read =
        List.of(rows).stream().map(row -> new SourceRow(1, List.of(row.split(";")))).toList();
    return TableFacts.of(title.isEmpty() ? List.of() : List.of(title), COLUMNS, read);
  }

  @Test
  void whatATitleSaysCounts() {
    assertEquals(Unit.INCH, facts("End mills, inch series", "A;8;63").unit());
    assertEquals(Unit.MILLIMETRE, facts("Fr\u00e4ser in mm", "A;1/2;3").unit());
  }

  @Test
  void fractionsAreInches() {
    assertEquals(Unit.INCH, facts("", "A;1/2;3", "B;3/8;2 1/2", "C;1/4;2-1/2").unit());
  }

  @Test
  void noToolInMillimetresIsThatShort() {
    assertEquals(Unit.INCH, facts("", "A;.5;3.0", "B;.375;2.5", "C;.25;2.5").unit());
    assertEquals(Unit.MILLIMETRE, facts("", "A;12;83", "B;10;72", "C;8;63").unit());
  }

  @Test
  void twoLengthsAloneTellNothing() {
    TableFacts facts = facts("", "A;5;3", "B;4;3");
    assertEquals(Unit.MILLIMETRE, facts.unit());
  }

  @Test
  void theSignOfMostDecimalsIsThatOfAll() {
    assertEquals(',', facts("", "A;12,5;83", "B;10,2;72,5", "C;8;63").decimal());
    assertEquals('.', facts("", "A;12.5;83", "B;10.2;72,5", "C;8.1;63").decimal());
    assertEquals('.', facts("", "A;12;83").decimal());
  }

  @Test
  void whatMayPartThousandsTellsNoSign() {
    assertEquals('.', facts("", "A;1,500;83", "B;1,250;72", "C;8.5;63").decimal());
  }

  @Test
  void aTitleNamesTheClass() {
    assertEquals("drill-twist", facts("Twist drills, carbide", "A;8;63").toolClass());
    assertEquals("", facts("List of hall 2", "A;8;63").toolClass());
  }

  @Test
  void numbersOfAWorkbookHaveAPoint() {
    assertEquals('.', facts("", "A;12,5;83").withPoint().decimal());
  }
}
