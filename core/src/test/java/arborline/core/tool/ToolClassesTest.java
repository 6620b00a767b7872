package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.property.Dictionary;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ToolClassesTest {

  static Stream<ToolClass> classes() {
    return ToolClasses.all().stream();
  }

  @Test
  void everyKindOfWorkHasItsClasses() {
    for (Process process : Process.values()) {
      assertTrue(
          classes().anyMatch(toolClass -> toolClass.sheet().process() == process), process.name());
    }
    assertEquals(54, ToolClasses.all().size());
  }

  @Test
  void noNameStandsForTwoClasses() {
    List<String> names =
        classes()
            .flatMap(toolClass ->
                Stream.concat(
                        Stream.of(toolClass.sheet().id(), toolClass.sheet().title()),
                        toolClass.sheet().aliases().stream())
                    .distinct())
            .toList();
    assertEquals(names.stream().distinct().count(), names.size());
  }

  @ParameterizedTest
  @MethodSource("classes")
  void symbolsAreInTheDictionaryAndDefaultsBelongToTheClass(ToolClass toolClass) {
    ClassSheet sheet = toolClass.sheet();
    assertTrue(sheet.symbols().stream().allMatch(s -> Dictionary.standard().find(s).isPresent()));
    assertTrue(sheet.symbols().containsAll(sheet.defaults().keySet()));
  }

  @ParameterizedTest
  @MethodSource("classes")
  void findsClassByIdTitleAndAlias(ToolClass toolClass) {
    ClassSheet sheet = toolClass.sheet();
    Stream.concat(Stream.of(sheet.id(), sheet.title().toUpperCase()), sheet.aliases().stream())
        .forEach(name -> assertEquals(toolClass, ToolClasses.named(name).orElseThrow()));
  }

  @ParameterizedTest
  @MethodSource("classes")
  void outlineStaysFiniteAndOrderedForAnyDimensions(ToolClass toolClass) {
    Random random = new Random(11);
    for (int round = 0; round < 200; round++) {
      TreeMap<String, Cell> cells = new TreeMap<>();
      for (String symbol : toolClass.sheet().symbols()) {
        boolean numeric = Dictionary.standard().get(symbol).numeric();
        if (numeric && random.nextInt(4) > 0) {
          cells.put(symbol, Cell.of(Integer.toString(random.nextInt(1, 200))));
        }
      }
      Tool tool = Interpreter.interpret(new RawItem(1, cells, List.of())).tool();
      Outline outline = toolClass.outline(tool);
      for (Part part : outline.parts()) {
        for (Point point : part.profile()) {
          assertTrue(Double.isFinite(point.z()) && Double.isFinite(point.r()));
          assertTrue(part.flat() || point.r() >= 0, tool.toString());
          assertTrue(part.flat() || point.z() <= outline.length() + 1e-9, tool.toString());
        }
      }
    }
  }
}
