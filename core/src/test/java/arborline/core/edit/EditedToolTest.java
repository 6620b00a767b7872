package arborline.core.edit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.formula.ValueFormula;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class EditedToolTest {

  private static Tool mill(String values) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.CODE, Cell.of("EM-10"));
    cells.put(RawItem.NAME, Cell.of("End mill 10"));
    cells.put(RawItem.CLASS, Cell.of("end-mill-flat"));
    for (String value : values.split(" ")) {
      cells.put(value.split("=")[0], Cell.of(value.split("=")[1]));
    }
    return Interpreter.interpret(new RawItem(1, cells, List.of())).tool();
  }

  private static final Tool MILL = mill("DC=10 APMX=22 DMM=10 OAL=72 NOF=4");

  private static EditedTool formula(Tool tool, String symbol, String text) {
    return EditedTool.of(
        tool,
        new SetByFormula(symbol, ValueFormula.read(text).formula().orElseThrow(), Unit.MILLIMETRE));
  }

  private static EditedTool set(Tool tool, String symbol, String text) {
    return EditedTool.of(tool, new SetValue(symbol, text, Optional.empty()));
  }

  @Test
  void aValueIsWrittenAsPeopleWriteIt() {
    EditedTool edited = set(MILL, "OAL", "3 1/4 in");
    assertEquals("72 mm", edited.before());
    assertEquals("82.55", edited.tool().orElseThrow().size("OAL").toPlainString());
    assertEquals("80.5", set(MILL, "OAL", "80,5").tool().orElseThrow().size("OAL").toPlainString());
  }

  @Test
  void aNumberWithoutAUnitIsInTheOneThatIsSaid() {
    EditedTool edited = EditedTool.of(MILL, new SetValue("OAL", "3", Optional.of(Unit.INCH)));
    assertEquals("76.2", edited.tool().orElseThrow().size("OAL").toPlainString());
  }

  @Test
  void aFormulaIsWorkedOutForEachTool() {
    EditedTool edited = formula(MILL, "LU", "APMX + 2");
    assertEquals("24", edited.tool().orElseThrow().size("LU").toPlainString());
    assertEquals("", edited.before());
    assertEquals("24 mm", edited.after());
  }

  @Test
  void whatAFormulaNeedsAndAToolHasNotIsSaid() {
    assertEquals("RE has no number", formula(MILL, "LU", "RE * 2").why());
    assertEquals("it divides by zero", formula(MILL, "LU", "APMX / (DC - DMM)").why());
    assertEquals("NONSENSE has no number", formula(MILL, "LU", "NONSENSE + 1").why());
  }

  @Test
  void whatTheRulesHoldAgainstAToolIsNotDone() {
    EditedTool edited = set(MILL, "APMX", "90");
    assertTrue(edited.tool().isEmpty());
    assertTrue(edited.why().contains("90"), edited.why());
  }

  @Test
  void whatIsAsItIsToBeIsNotChanged() {
    EditedTool edited = set(MILL, "NOF", "4");
    assertTrue(edited.tool().isEmpty());
    assertEquals("", edited.why());
  }

  @Test
  void anEmptyValueTakesItAway() {
    Tool coated = mill("DC=10 APMX=22 DMM=10 OAL=72 NOF=4 COATING=TiAlN");
    EditedTool edited = set(coated, "COATING", " ");
    assertTrue(edited.tool().orElseThrow().word("COATING").isEmpty());
    assertEquals("", edited.after());
  }

  @Test
  void aWordThatIsNoNumberIsRefused() {
    EditedTool edited = set(MILL, "OAL", "long");
    assertTrue(edited.tool().isEmpty());
    assertTrue(edited.why().contains("long"), edited.why());
  }

  @Test
  void wordsInNamesAreReplacedAsTheyStand() {
    EditedTool edited = EditedTool.of(MILL, new ReplaceInName("end MILL", "Mill $1", false));
    assertEquals("Mill $1 10", edited.tool().orElseThrow().name());
    assertTrue(EditedTool.of(MILL, new ReplaceInName("end MILL", "x", true)).tool().isEmpty());
  }

  @Test
  void aNameIsNeitherEmptiedNorMadeTooLong() {
    assertEquals(
        "nothing would be left of the name",
        EditedTool.of(MILL, new ReplaceInName("End mill 10", " ", true)).why());
    assertTrue(
        EditedTool.of(MILL, new ReplaceInName("10", "1".repeat(300), true))
            .why()
            .contains("more than 200 characters"));
  }

  @Test
  void theCodeStaysWhateverTheNameBecomes() {
    EditedTool edited = EditedTool.of(MILL, new ReplaceInName("End", "Face", true));
    assertEquals("EM-10", edited.tool().orElseThrow().code());
  }
}
