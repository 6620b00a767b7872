package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Severity;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.tool.ToolClasses;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The libraries of the demo are sound, and show every class. */
class DemoFilesTest {

  private static final Path LIBRARIES = Path.of("../demo/libraries");

  static List<Path> files() throws IOException {
    try (Stream<Path> files = Files.list(LIBRARIES)) {
      return files.sorted().toList();
    }
  }

  private static List<Inspected> read(Path file) throws IOException {
    byte[] content = Files.readAllBytes(file);
    try (Grouping source =
        new Grouping(
            BundleFormats.named("csv")
                .orElseThrow()
                .open(new ByteArrayInputStream(content), content, TableReading.propose(content)))) {
      return source.all().stream().map(Inspector::inspect).toList();
    }
  }

  @ParameterizedTest
  @MethodSource("files")
  void everyToolIsWithoutComplaint(Path file) throws IOException {
    for (Inspected inspected : read(file)) {
      assertEquals(
          List.of(),
          inspected.findings().stream().filter(f -> f.severity() != Severity.NOTE).toList(),
          inspected.tool().code());
    }
  }

  @Test
  void everyClassIsShownAndNoCodeGivenTwice() throws IOException {
    Set<String> classes = new HashSet<>();
    Set<String> codes = new HashSet<>();
    int tools = 0;
    for (Path file : files()) {
      for (Inspected inspected : read(file)) {
        classes.add(inspected.tool().toolClass());
        assertTrue(codes.add(inspected.tool().code()), inspected.tool().code());
        tools++;
      }
    }
    assertTrue(tools > 340, tools + " tools");
    assertEquals(
        List.of(),
        ToolClasses.all().stream()
            .map(toolClass -> toolClass.sheet().id())
            .filter(id -> !classes.contains(id))
            .toList());
  }

  @Test
  void thereAreNinetyInserts() throws IOException {
    assertEquals(90, read(LIBRARIES.resolve("ossel-inserts.csv")).size());
  }
}
