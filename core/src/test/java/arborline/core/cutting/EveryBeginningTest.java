package arborline.core.cutting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Motion;
import arborline.core.tool.Sample;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every class that cuts, in every material, with edges of carbide and of high-speed steel, begins
 * within what machining handbooks call usual: m/min, and mm at a diameter of 10 mm (63 mm for
 * discs), a corner radius of 0.8 mm, a groove of 3 mm. A dash stands where no handbook says
 * anything.
 */
class EveryBeginningTest {

  private static final Map<String, Map<String, String>> RANGES = ranges();

  /** The columns of the table that a class is looked up in. */
  private record Columns(String speed, String feed, String sizes) {}

  private static Columns columns(ToolClass known) {
    return switch (known.sheet().id()) {
      case "reamer" -> new Columns("ream", "fn-ream", "DC=10 NOF=6");
      case "drill-deep-hole" -> new Columns("deep", "fn-deep", "DC=10 NOF=1");
      case "slot-mill-disc", "saw-blade" ->
          new Columns("mill", "fz-disc", "DC=63 CW=3 DCONMS=22 NOF=16");
      case "turning-grooving", "turning-face-grooving" ->
          new Columns("groove", "fn-groove", "CW=3 RE=0.2");
      case "turning-threading" -> new Columns("thread", "", "TPN=1 TP=1.5");
      default ->
          switch (known.sheet().motion()) {
            case MILLS -> new Columns("mill", "fz", "DC=10 NOF=4");
            case DRILLS -> new Columns("drill", "fn-drill", "DC=10 NOF=2");
            case TAPS -> new Columns("tap", "", "TD=10 TP=1.5");
            case TURNS -> new Columns("turn", "fn-turn", "RE=0.8 DMIN=32");
            case STANDS -> throw new IllegalArgumentException(known.sheet().id());
          };
    };
  }

  private static Map<String, Map<String, String>> ranges() {
    try (InputStream table =
        EveryBeginningTest.class.getResourceAsStream("/vectors/usual-ranges.tsv")) {
      List<String[]> lines =
          new String(table.readAllBytes(), StandardCharsets.UTF_8)
              .lines()
              .map(line -> line.split("\t"))
              .toList();
      Map<String, Map<String, String>> ranges = new HashMap<>();
      for (String[] line : lines.subList(1, lines.size())) {
        Map<String, String> cells = new HashMap<>();
        for (int cell = 1; cell < line.length; cell++) {
          cells.put(lines.getFirst()[cell], line[cell]);
        }
        ranges.put(line[0], cells);
      }
      return ranges;
    } catch (IOException unreadable) {
      throw new IllegalStateException(unreadable);
    }
  }

  private static Optional<UsualRange> range(String material, String column) {
    String cell = RANGES.get(material).getOrDefault(column, "-");
    if (cell.equals("-")) {
      return Optional.empty();
    }
    String[] ends = cell.split("-");
    return Optional.of(new UsualRange(Double.parseDouble(ends[0]), Double.parseDouble(ends[1])));
  }

  static Stream<ToolClass> cutting() {
    return ToolClasses.all().stream().filter(known -> known.sheet().motion() != Motion.STANDS);
  }

  @Test
  void everyMaterialHasItsRanges() {
    assertEquals(
        WorkMaterials.all().stream().map(WorkMaterial::id).sorted().toList(),
        RANGES.keySet().stream().sorted().toList());
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("cutting")
  void carbideBeginsAsHandbooksSay(ToolClass known) {
    Columns columns = columns(known);
    CuttingMethod method = method(known, columns, "HC");
    for (WorkMaterial material : WorkMaterials.all()) {
      CutRequest begun = StartingValues.of(method, material).request();
      within(known, material, columns.speed(), begun.speed());
      within(known, material, columns.feed(), begun.feed());
    }
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("cutting")
  void highSpeedSteelBeginsAsHandbooksSay(ToolClass known) {
    Columns columns = columns(known);
    for (String steel : List.of("HSS", "HSS-E")) {
      CuttingMethod method = method(known, columns, steel);
      for (WorkMaterial material : WorkMaterials.all()) {
        CutRequest begun = StartingValues.of(method, material).request();
        within(known, material, columns.speed() + "-hss", begun.speed());
      }
    }
  }

  private static CuttingMethod method(ToolClass known, Columns columns, String substrate) {
    String tool =
        "CLASS=%s %s SUBSTRATE=%s".formatted(known.sheet().id(), columns.sizes(), substrate);
    return CuttingMethod.of(Sample.tool(tool)).orElseThrow();
  }

  private static void within(ToolClass known, WorkMaterial material, String column, double begun) {
    range(material.id(), column)
        .ifPresent(usual ->
            assertTrue(
                begun >= usual.low() && begun <= usual.high(),
                () ->
                    "%s in %s, %s: %s is not %s"
                        .formatted(known.sheet().id(), material.name(), column, begun, usual)));
  }
}
