package arborline.core.duplicate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class DuplicateGroupsTest {

  private static ComparedTool tool(long id, String code, String... values) {
    return sold(id, code, "", "", values);
  }

  private static ComparedTool sold(
      long id, String code, String vendor, String item, String... values) {
    Map<String, Value> all = new TreeMap<>();
    for (String value : values) {
      String[] pair = value.split("=");
      all.put(pair[0], value(pair[0], pair[1]));
    }
    return ComparedTool.of(id, Tool.of(code, "", "end-mill-flat", all), vendor, item);
  }

  private static Value value(String symbol, String text) {
    if (Tolerance.kind(symbol).isEmpty()) {
      return new Value.Word(text, false);
    }
    Unit unit = symbol.equals("NOF") ? Unit.ONE : text.endsWith("in") ? Unit.INCH : Unit.MILLIMETRE;
    return new Value.Measure(Quantity.of(text.replace("in", ""), unit), false);
  }

  private static List<List<Long>> found(KeptApart apart, ComparedTool... tools) {
    return DuplicateGroups.find(List.of(tools), Tolerance.USUAL, apart, pairs -> {}).stream()
        .map(group -> group.stream().map(DuplicateGroups.Member::id).toList())
        .toList();
  }

  private static List<List<Long>> found(ComparedTool... tools) {
    return found(new KeptApart(), tools);
  }

  private static final String[] MILL = {"DC=12.7", "DMM=12.7", "APMX=26", "OAL=83", "NOF=4"};

  @Test
  void oneShapeUnderTwoCodesIsFoundWhateverTheUnit() {
    assertEquals(
        List.of(List.of(1L, 2L)),
        found(
            tool(1, "A-1", MILL),
            tool(2, "B-7", "DC=0.5in", "DMM=0.5in", "APMX=26.01", "OAL=83", "NOF=4"),
            tool(3, "C-9", "DC=12.7", "DMM=12.7", "APMX=26.1", "OAL=83", "NOF=4")));
  }

  @Test
  void anotherFluteCountOrHandIsAnotherTool() {
    assertEquals(
        List.of(),
        found(
            tool(1, "A-1", "DC=10", "DMM=10", "APMX=22", "OAL=72", "NOF=3", "HAND=R"),
            tool(2, "A-2", "DC=10", "DMM=10", "APMX=22", "OAL=72", "NOF=4", "HAND=R"),
            tool(3, "A-3", "DC=10", "DMM=10", "APMX=22", "OAL=72", "NOF=3", "HAND=L")));
  }

  @Test
  void oneCodeSpeltOtherwiseIsFoundThoughLittleIsSaidOfIt() {
    assertEquals(
        List.of(List.of(1L, 2L)),
        found(tool(1, "MC-4010-08", MILL), tool(2, "mc4010/8", "DC=12.7"), tool(3, "MC-4010-80")));
  }

  @Test
  void oneCodeSpeltOtherwiseIsFoundThoughOneSizeIsAnother() {
    String[] longer = {"DC=12.7", "DMM=12.7", "APMX=26", "OAL=84", "NOF=4"};
    assertEquals(
        List.of(List.of(1L, 2L)), found(tool(1, "MM-FL08", MILL), tool(2, "mm.fl-8", longer)));
    assertEquals(List.of(), found(tool(1, "MM-FL08", MILL), tool(2, "MX-FL08", longer)));
  }

  @Test
  void oneItemOfAVendorIsFoundAndTwoItemsOfOneShapeAreLessSure() {
    ComparedTool first = sold(1, "A-1", "MARRAM", "4010", MILL);
    ComparedTool again = sold(2, "B-7", "MARRAM", "4010", "DC=12.7");
    ComparedTool other = sold(3, "C-9", "MARRAM", "4011", MILL);
    assertEquals(List.of(List.of(1L, 2L)), found(first, again));
    assertTrue(
        Resemblance.of(first, other, Tolerance.USUAL).percent()
            < Resemblance.of(first, tool(4, "D", MILL), Tolerance.USUAL).percent());
  }

  @Test
  void reasonsForAndAgainstAreNamed() {
    Resemblance both =
        Resemblance.of(
            tool(1, "A-01", "DC=10", "APMX=20", "OAL=70", "COATING=TIN"),
            tool(2, "A1", "DC=10", "APMX=22", "OAL=70", "COATING=ALN"),
            Tolerance.USUAL);
    assertEquals(
        List.of(
            Resemblance.Kind.SAME_CODE_SPELT_OTHERWISE,
            Resemblance.Kind.OTHER_SIZES,
            Resemblance.Kind.OTHER_WORDS),
        both.reasons().stream().map(Resemblance.Reason::kind).toList());
    assertTrue(both.reasons().get(1).symbols().contains("APMX"));
    assertEquals(List.of("COATING"), both.reasons().get(2).symbols());
  }

  @Test
  void whatIsKeptApartIsNeverTogether() {
    KeptApart apart = new KeptApart();
    apart.add(2, 3);
    assertEquals(
        List.of(List.of(1L, 2L)),
        found(apart, tool(1, "A", MILL), tool(2, "B", MILL), tool(3, "C", MILL)));
  }

  @Test
  void manyOfOneShapeAreOneGroup() {
    ComparedTool[] many = new ComparedTool[500];
    for (int i = 0; i < many.length; i++) {
      many[i] = tool(i + 1, "N" + i, MILL);
    }
    List<List<Long>> groups = found(many);
    assertEquals(1, groups.size());
    assertEquals(500, groups.getFirst().size());
  }

  /** Compared with all pairs: no two tools that resemble each other are parted before. */
  @Test
  void nothingThatAllPairsWouldFindIsMissed() {
    Random random = new Random(4);
    List<ComparedTool> tools = new ArrayList<>();
    for (int i = 0; i < 600; i++) {
      int size = 4 + random.nextInt(5);
      String shift = random.nextInt(4) == 0 ? ".015" : "";
      List<String> values =
          new ArrayList<>(
              List.of(
                  "DC=" + size + shift,
                  "APMX=" + (10 + random.nextInt(4)),
                  "DMM=" + (6 + random.nextInt(3)),
                  "NOF=" + (2 + random.nextInt(3))));
      if (random.nextInt(20) > 0) {
        values.add("OAL=" + (60 + random.nextInt(3)));
      }
      tools.add(tool(i + 1, "R-" + random.nextInt(2000), values.toArray(String[]::new)));
    }
    Set<String> expected = new TreeSet<>();
    for (ComparedTool one : tools) {
      for (ComparedTool two : tools) {
        if (one.id() < two.id()
            && Resemblance.of(one, two, Tolerance.USUAL).percent() >= Resemblance.ASKED) {
          expected.add(one.id() + " " + two.id());
        }
      }
    }
    Set<String> found = new TreeSet<>();
    AtomicLong visited = new AtomicLong();
    CandidatePairs.visit(
        tools,
        Tolerance.USUAL,
        (one, two) -> {
          visited.incrementAndGet();
          if (Resemblance.of(one, two, Tolerance.USUAL).percent() >= Resemblance.ASKED) {
            found.add(Math.min(one.id(), two.id()) + " " + Math.max(one.id(), two.id()));
          }
        });
    assertTrue(expected.size() > 100, "the case has duplicates: " + expected.size());
    assertEquals(expected, found);
    assertTrue(visited.get() < 600L * 599 / 2 / 4, "fewer than all pairs: " + visited.get());
  }
}
