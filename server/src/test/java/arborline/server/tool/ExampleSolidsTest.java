package arborline.server.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.solid.ModelComparison;
import arborline.core.solid.SolidReading;
import arborline.core.stack.StepSolid;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The solid that is written of a tool of any class says no size otherwise than the tool. */
class ExampleSolidsTest {

  /** Bodies that are only estimated where no size of them is given. */
  private static final Set<String> ESTIMATED = Set.of("aggregate", "shoulder-mill");

  static Stream<ToolClass> turnedClasses() {
    return ToolClasses.all().stream()
        .filter(toolClass -> !ESTIMATED.contains(toolClass.sheet().id()))
        .filter(toolClass -> !toolClass.outline(ExampleTools.of(toolClass)).parts().isEmpty())
        .filter(toolClass ->
            toolClass.outline(ExampleTools.of(toolClass)).parts().stream().noneMatch(Part::flat));
  }

  /** The tool with the sizes that its class asks for; the example has more than it needs. */
  private static RawItem required(ToolClass toolClass, Tool tool) {
    SortedMap<String, Cell> cells = new TreeMap<>(RawItem.of(tool).cells());
    cells.keySet().retainAll(toolClass.sheet().required());
    return new RawItem(0, cells, List.of());
  }

  @ParameterizedTest
  @MethodSource("turnedClasses")
  void itsOwnSolidContradictsNoSize(ToolClass toolClass) throws IOException {
    Tool tool = ExampleTools.of(toolClass);
    Outline outline = toolClass.outline(tool);
    List<Point> half = outline.parts().stream().flatMap(part -> part.profile().stream()).toList();
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "example", half, Instant.EPOCH);
    SolidReading read = SolidReading.read(file.toString().getBytes(StandardCharsets.US_ASCII));
    assertEquals(
        List.of(),
        ModelComparison.of(required(toolClass, tool), read).stream().map(Finding::message).toList(),
        () -> toolClass.sheet().id() + ": " + read.turned());
    assertEquals(outline.length(), read.turned().orElseThrow().length(), 0.001);
  }
}
