package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StatementsTest {

  private static final Map<TableField, String> STATED =
      Map.of(TableField.ORIENTATION, "3", TableField.HOOD, "70", TableField.PITCH, "1.5");
  private static final List<TableField> KEPT =
      List.of(TableField.X, TableField.ORIENTATION, TableField.HOOD, TableField.SET);

  @Test
  void aControlIsToldWhatItKeepsAndNoMore() {
    assertEquals(
        entry("TOOL=A ORIENTATION=3 HOOD=70"), Statements.joined(entry("TOOL=A"), STATED, KEPT));
  }

  @Test
  void aMeasuredToolIsSet() {
    assertEquals("yes", Statements.joined(entry("TOOL=A X=50"), STATED, KEPT).get(TableField.SET));
    assertEquals(null, Statements.joined(entry("TOOL=A"), STATED, KEPT).get(TableField.SET));
  }

  @Test
  void whatWasTakenFromTheControlGoesBeforeWhatIsStated() {
    assertEquals(
        "2",
        Statements.joined(entry("TOOL=A ORIENTATION=2"), STATED, KEPT).get(TableField.ORIENTATION));
  }

  @Test
  void thePlanKeepsOnlyWhatIsNotStatedAnyway() {
    TableEntry joined = Statements.joined(entry("TOOL=A X=50 HOOD=60"), STATED, KEPT);
    assertEquals(entry("TOOL=A X=50 HOOD=60"), Statements.parted(joined, STATED));
    assertEquals(entry("TOOL=A X=50"), Statements.forgotten(joined));
  }
}
