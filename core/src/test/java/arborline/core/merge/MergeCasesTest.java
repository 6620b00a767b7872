package arborline.core.merge;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Worked cases of merged libraries: what comes out, to the letter, and what is asked. */
class MergeCasesTest {

  @TestFactory
  Stream<DynamicTest> everyLibraryIsMergedAsWorkedOut() throws IOException {
    try (InputStream file = getClass().getResourceAsStream("/vectors/merge.json")) {
      JsonNode cases = JsonMapper.builder().build().readTree(file).get("cases");
      List<DynamicTest> tests = new ArrayList<>();
      for (JsonNode worked : cases) {
        tests.add(
            DynamicTest.dynamicTest(
                worked.get("id").asString() + " " + worked.get("title").asString(),
                () -> check(worked.get("input"), worked.get("truth"))));
      }
      return tests.stream();
    }
  }

  private static void check(JsonNode input, JsonNode truth) {
    LibraryMerge.Merged merged =
        LibraryMerge.merge(
            library(input.get("base")), library(input.get("theirs")), library(input.get("ours")));
    assertEquals(library(truth.get("merged")), merged.tools());
    assertEquals(
        conflicts(truth.get("conflicts")),
        new TreeSet<>(merged.conflicts().stream().map(MergeConflict::toString).toList()));
  }

  private static SortedMap<String, MergeTool> library(JsonNode tools) {
    SortedMap<String, MergeTool> library = new TreeMap<>();
    tools.propertyStream().forEach(tool -> library.put(tool.getKey(), tool(tool.getValue())));
    return library;
  }

  private static MergeTool tool(JsonNode tool) {
    SortedMap<String, MergeField> fields = new TreeMap<>();
    fields.put("class", new PlainText(tool.get("class").asString()));
    tool.get("values")
        .propertyStream()
        .forEach(value -> fields.put("values." + value.getKey(), amount(value.getValue())));
    tool.get("cutting")
        .propertyStream()
        .forEach(line -> fields.put("cutting." + line.getKey(), line(line.getValue())));
    return new MergeTool(
        fields,
        parts(tool.get("parts")),
        Optional.ofNullable(tool.get("was")).map(JsonNode::asString));
  }

  private static Amount amount(JsonNode amount) {
    return new Amount(amount.get("text").asString(), amount.get("unit").asString());
  }

  private static CuttingLineField line(JsonNode line) {
    return new CuttingLineField(
        line.get("origin").asString(),
        Optional.of(amount(line.get("vc"))),
        Optional.of(amount(line.get("fz"))),
        Optional.ofNullable(line.get("by")).map(JsonNode::asString));
  }

  private static PartCodes parts(JsonNode parts) {
    return new PartCodes(parts.valueStream().map(JsonNode::asString).toList());
  }

  private static TreeSet<String> conflicts(JsonNode conflicts) {
    TreeSet<String> all = new TreeSet<>();
    for (JsonNode conflict : conflicts) {
      String field = conflict.get("field").asString();
      Map<String, Optional<MergeContent>> sides = new HashMap<>();
      for (String side : List.of("base", "theirs", "ours")) {
        sides.put(
            side,
            Optional.of(conflict.get(side))
                .filter(content -> !content.isNull())
                .map(content -> content(field, content)));
      }
      all.add(
          new MergeConflict(
                  conflict.get("code").asString(),
                  field,
                  sides.get("base"),
                  sides.get("theirs"),
                  sides.get("ours"))
              .toString());
    }
    return all;
  }

  private static MergeContent content(String field, JsonNode content) {
    return switch (field) {
      case "*" -> tool(content);
      case "parts" -> parts(content);
      case "code" -> new CodeText(content.asString());
      case "class" -> new PlainText(content.asString());
      default -> field.startsWith("cutting.") ? line(content) : amount(content);
    };
  }
}
