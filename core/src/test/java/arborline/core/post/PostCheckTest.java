package arborline.core.post;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PostCheckTest {

  private static final Post POST =
      new Post(
          "Heron post",
          new PostNumbers(1, 99),
          OffsetForm.SAME_AS_NUMBER,
          null,
          16,
          "A-Z0-9 .",
          true,
          Map.of(Process.MILLING, List.of("DC", "LU")));

  private static Tool tool(String toolClass, String name, String... symbols) {
    Map<String, Value> values = new HashMap<>();
    for (String symbol : symbols) {
      values.put(symbol, new Value.Measure(Quantity.of("10", Unit.MILLIMETRE), false));
    }
    return Tool.of("T", name, toolClass, values);
  }

  private static List<String> of(Post post, Tool tool, int number, Integer orientation) {
    return PostCheck.of(
            post, new PostedTool(tool, number, List.of(number), Optional.ofNullable(orientation)))
        .stream()
        .map(Finding::message)
        .toList();
  }

  @Test
  void valuesThatThePostNeedsAreNamedWhereTheyAreMissing() {
    assertEquals(List.of(), of(POST, tool("end-mill-flat", "MILL 10", "DC", "LU"), 5, null));
    assertEquals(
        List.of("Heron post needs LU, which is not stated"),
        of(POST, tool("t-slot-mill", "MILL 10", "DC"), 5, null));
  }

  @Test
  void numbersAndOffsetsHaveToBeSomeThatItWrites() {
    assertEquals(
        List.of("number 120 is none that Heron post writes (1 to 99)"),
        of(POST, tool("end-mill-flat", "MILL", "DC", "LU"), 120, null));
    PostedTool apart =
        new PostedTool(
            tool("end-mill-flat", "MILL", "DC", "LU"), 5, List.of(5, 25), Optional.empty());
    assertEquals(
        "offset 25 is not its number, 5, as Heron post has it",
        PostCheck.of(POST, apart).getFirst().message());
  }

  @Test
  void turningToolsNeedATipOrientation() {
    assertEquals(
        List.of("Heron post needs a tip orientation; choose how it is mounted"),
        of(POST, tool("turning-external", "PCLNR"), 5, null));
    assertEquals(List.of(), of(POST, tool("turning-external", "PCLNR"), 5, 3));
  }

  @Test
  void aNameThatTheControlCannotShowIsAskedAbout() {
    List<Finding> findings =
        PostCheck.of(
            POST,
            new PostedTool(
                tool("end-mill-flat", "Fräser, lang", "DC", "LU"),
                5,
                List.of(5),
                Optional.empty()));
    assertEquals(List.of("post-comment"), findings.stream().map(Finding::code).toList());
  }

  @Test
  void faultsOfAPostAreNamed() {
    assertEquals(List.of(), PostFaults.of(POST));
    Post wrong =
        new Post(
            " ",
            new PostNumbers(9, 1),
            null,
            null,
            -1,
            "z-a",
            false,
            Map.of(Process.TURNING, List.of("WIDTH")));
    assertEquals(
        List.of(
            "name: 1 to 80 characters",
            "numbers: from 0 or more up to its last number",
            "offsetForm: choose how offset numbers stand in programs",
            "commentLength: 0 to 200",
            "commentCharacters: this is no list of characters",
            "needed.TURNING: 'WIDTH' is no property of ISO 13399"),
        PostFaults.of(wrong));
  }
}
