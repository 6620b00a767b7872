package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.UnitKind;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever is typed wrong into a numeric field of a class is said at that field. */
class WrongNumbersTest {

  static Stream<ToolClass> classes() {
    return ToolClasses.all().stream();
  }

  private static List<Property> numbers(ToolClass toolClass) {
    return toolClass.sheet().symbols().stream()
        .map(Dictionary.standard()::get)
        .filter(Property::numeric)
        .toList();
  }

  private static List<Finding> inspected(ToolClass toolClass, String symbol, String text) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.CODE, Cell.of("T-1"));
    cells.put(RawItem.CLASS, Cell.of(toolClass.sheet().id()));
    cells.put(symbol, Cell.of(text));
    return Inspector.inspect(new RawItem(1, cells, List.of())).findings();
  }

  /** The one complaint that keeps the line out and is about this field. */
  private static Finding held(ToolClass toolClass, String symbol, String text) {
    List<Finding> holds =
        inspected(toolClass, symbol, text).stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .filter(finding -> finding.properties().contains(symbol))
            .toList();
    assertFalse(holds.isEmpty(), "%s %s=%s".formatted(toolClass.sheet().id(), symbol, text));
    return holds.getFirst();
  }

  @ParameterizedTest
  @MethodSource("classes")
  void aWordIsNotANumber(ToolClass toolClass) {
    for (Property property : numbers(toolClass)) {
      for (String text : List.of("ten", "10 mm 1/2 in", "1/0", "--5", "1e", "NaN", "10 parsecs")) {
        Finding finding = held(toolClass, property.symbol(), text);
        assertEquals("not-a-number", finding.code(), property.symbol() + "=" + text);
        assertTrue(finding.message().contains("'" + text + "'"), finding.message());
      }
    }
  }

  @ParameterizedTest
  @MethodSource("classes")
  void aBillionIsBeyondReason(ToolClass toolClass) {
    for (Property property : numbers(toolClass)) {
      for (String text : List.of("1000000000", "1e9")) {
        Finding finding = held(toolClass, property.symbol(), text);
        assertTrue(
            List.of("size-absurd", "not-a-number").contains(finding.code()), finding.toString());
      }
    }
  }

  @ParameterizedTest
  @MethodSource("classes")
  void aLengthNeedsToBeSomething(ToolClass toolClass) {
    List<String> mayBeNothing =
        List.of("RE", "REL", "RER", "CHW", "DCN", "PL", "BCH", "BS", "FOCUS", "WF");
    for (Property property : numbers(toolClass)) {
      if (property.length() && !mayBeNothing.contains(property.symbol())) {
        assertEquals("size-not-positive", held(toolClass, property.symbol(), "0").code());
        assertEquals("size-not-positive", held(toolClass, property.symbol(), "-12.5").code());
      }
    }
  }

  @ParameterizedTest
  @MethodSource("classes")
  void aCountIsWhole(ToolClass toolClass) {
    for (Property property : numbers(toolClass)) {
      if (property.unit().orElseThrow().kind() == UnitKind.COUNT) {
        assertEquals("count-not-whole", held(toolClass, property.symbol(), "2.5").code());
      }
    }
  }

  @ParameterizedTest
  @MethodSource("classes")
  void aMeasureOfAnotherKindIsRefused(ToolClass toolClass) {
    for (Property property : numbers(toolClass)) {
      boolean length = property.unit().orElseThrow().kind() == UnitKind.LENGTH;
      String text = length ? "30 deg" : "30 mm";
      held(toolClass, property.symbol(), text);
    }
  }

  @ParameterizedTest
  @MethodSource("classes")
  void whatIsRequiredIsMissedAndSaidAtItsField(ToolClass toolClass) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.CODE, Cell.of("T-1"));
    cells.put(RawItem.CLASS, Cell.of(toolClass.sheet().id()));
    for (String symbol : toolClass.sheet().required()) {
      cells.put(symbol, Cell.of(" "));
    }
    List<String> missed =
        Inspector.inspect(new RawItem(1, cells, List.of())).findings().stream()
            .filter(finding ->
                finding.code().startsWith("missing.") || finding.code().startsWith("implied."))
            .peek(finding ->
                assertEquals(
                    List.of(finding.code().substring(finding.code().indexOf('.') + 1)),
                    finding.properties()))
            .map(finding -> finding.properties().getFirst())
            .sorted()
            .toList();
    assertEquals(toolClass.sheet().required().stream().sorted().toList(), missed);
  }
}
