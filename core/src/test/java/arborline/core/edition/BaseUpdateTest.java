package arborline.core.edition;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.edition.BaseUpdate.Kind;
import arborline.core.edition.BaseUpdate.OwnTool;
import arborline.core.edition.BaseUpdate.Step;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.merge.MergeAnswers;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class BaseUpdateTest {

  private static final String ENDING = "-H";

  private static FrozenEntry mill(String code, String dc, String length, String... lines) {
    Tool tool =
        Tool.of(
            code,
            "Mill " + dc,
            "end-mill-flat",
            Map.of(
                "DC", new Value.Measure(Quantity.of(dc, Unit.MILLIMETRE), false),
                "OAL", new Value.Measure(Quantity.of(length, Unit.MILLIMETRE), false)));
    List<RawItem> cutting = new ArrayList<>();
    for (String speed : lines) {
      cutting.add(
          RawItem.cutting(
              0,
              code,
              new TreeMap<>(
                  Map.of(
                      "MATERIAL", Cell.of("CuSn12"),
                      "PURPOSE", Cell.of("rough"),
                      "ORIGIN", Cell.of("fixed"),
                      "VC", Cell.of(speed, Unit.METRE_PER_MINUTE)))));
    }
    FrozenTool bare = FrozenTool.of(new Bundle(tool, OptionalInt.of(7)));
    return new FrozenEntry(new FrozenTool(bare.tool(), cutting, List.of()), 7, "Everyday");
  }

  private static OwnTool own(long id, long base, FrozenEntry entry) {
    return new OwnTool(id, base == 0 ? OptionalLong.empty() : OptionalLong.of(base), entry);
  }

  private static BaseUpdate.Outcome of(
      Map<Long, FrozenEntry> before, Map<Long, FrozenEntry> now, OwnTool... ours) {
    return BaseUpdate.of(before, now, List.of(ours), ENDING, MergeAnswers.NONE);
  }

  private static String text(FrozenEntry entry, String symbol) {
    return entry.tool().tool().text(symbol);
  }

  @Test
  void aFrozenToolComesBackFromItsFields() {
    FrozenEntry entry = mill("EM-10", "10", "72", "180", "200");
    FrozenEntry again = FrozenEntry.of(entry.fields(), "EM-10");
    assertEquals(entry.tool().text(), again.tool().text());
    assertEquals(7, again.number());
    assertEquals("Everyday", again.section());
    assertEquals(ItemKind.CUTTING, again.tool().cutting().getFirst().kind());
  }

  @Test
  void whatOnlyTheBaseChangedArrivesAndWhatIsOursStays() {
    BaseUpdate.Outcome outcome =
        of(
            Map.of(1L, mill("EM-10", "10", "72", "180")),
            Map.of(1L, mill("EM-10", "10", "80", "180"), 2L, mill("EM-12", "12", "83")),
            own(11, 1, mill("EM-10-H", "10", "72", "150")));
    assertEquals(List.of(), outcome.open());
    Step changed = outcome.steps().getFirst();
    assertEquals(Kind.CHANGED, changed.kind());
    assertEquals(OptionalLong.of(11), changed.toolId());
    FrozenEntry after = changed.after().orElseThrow();
    assertEquals("EM-10-H", after.tool().code());
    assertEquals("80", text(after, "OAL"));
    assertEquals("150", after.tool().cutting().getFirst().text("VC"));
    Step added = outcome.steps().get(1);
    assertEquals(Kind.ADDED, added.kind());
    assertEquals(OptionalLong.of(2), added.base());
    assertEquals("EM-12-H", added.code());
  }

  @Test
  void bothChangedIsAskedAndOursStandsUntilItIsAnswered() {
    Map<Long, FrozenEntry> before = Map.of(1L, mill("EM-10", "10", "72"));
    Map<Long, FrozenEntry> now = Map.of(1L, mill("EM-10", "10", "80"));
    OwnTool ours = own(11, 1, mill("EM-10-H", "10", "75"));
    BaseUpdate.Outcome asked = of(before, now, ours);
    assertEquals(List.of(), asked.steps());
    BaseUpdate.Open open = asked.open().getFirst();
    assertEquals("EM-10", open.conflict().code());
    assertEquals("values.OAL", open.conflict().field());
    assertEquals(OptionalLong.of(11), open.toolId());
    assertEquals("80", text(open.theirs().orElseThrow(), "OAL"));
    BaseUpdate.Outcome answered =
        BaseUpdate.of(
            before,
            now,
            List.of(ours),
            ENDING,
            MergeAnswers.NONE.with("EM-10", "values.OAL", MergeAnswers.Side.THEIRS));
    assertEquals(List.of(), answered.open());
    assertEquals("80", text(answered.steps().getFirst().after().orElseThrow(), "OAL"));
  }

  @Test
  void goesOutWithTheBaseUnlessItWasChangedHere() {
    Map<Long, FrozenEntry> before = Map.of(1L, mill("EM-10", "10", "72"));
    BaseUpdate.Outcome same = of(before, Map.of(), own(11, 1, mill("EM-10-H", "10", "72")));
    assertEquals(Kind.REMOVED, same.steps().getFirst().kind());
    BaseUpdate.Outcome changed = of(before, Map.of(), own(11, 1, mill("EM-10-H", "10", "75")));
    assertEquals(List.of(), changed.steps());
    assertEquals("*", changed.open().getFirst().conflict().field());
  }

  @Test
  void staysOutWhereItWasTakenOutHere() {
    Map<Long, FrozenEntry> before = Map.of(1L, mill("EM-10", "10", "72"));
    assertEquals(new BaseUpdate.Outcome(List.of(), List.of()), of(before, before));
  }

  @Test
  void followsARenamedCodeAndKeepsOneOfOurOwn() {
    Map<Long, FrozenEntry> before = Map.of(1L, mill("EM-10", "10", "72"));
    Map<Long, FrozenEntry> renamed = Map.of(1L, mill("MILL-10", "10", "72"));
    BaseUpdate.Outcome followed = of(before, renamed, own(11, 1, mill("EM-10-H", "10", "72")));
    assertEquals("MILL-10-H", followed.steps().getFirst().after().orElseThrow().tool().code());
    BaseUpdate.Outcome own = of(before, before, own(11, 1, mill("HERON-10", "10", "72")));
    assertEquals(List.of(), own.steps());
    BaseUpdate.Outcome both = of(before, renamed, own(11, 1, mill("HERON-10", "10", "72")));
    assertEquals("code", both.open().getFirst().conflict().field());
    assertEquals(OptionalLong.of(11), both.open().getFirst().toolId());
  }

  @Test
  void whatWasAddedHereStays() {
    Map<Long, FrozenEntry> before = Map.of(1L, mill("EM-10", "10", "72"));
    BaseUpdate.Outcome outcome =
        of(
            before,
            Map.of(),
            own(11, 1, mill("EM-10-H", "10", "72")),
            own(12, 0, mill("Q", "3", "50")));
    assertEquals(List.of("EM-10-H"), outcome.steps().stream().map(Step::code).toList());
  }

  @Test
  void nothingNewChangesNothingAndAnUntouchedLibraryBecomesTheNewerEdition() {
    Random random = new Random(14);
    for (int round = 0; round < 300; round++) {
      Map<Long, FrozenEntry> before = library(random);
      Map<Long, FrozenEntry> now = new HashMap<>(before);
      now.replaceAll((id, entry) -> random.nextBoolean() ? entry : random(random, id));
      now.keySet().removeIf(id -> random.nextInt(5) == 0);
      now.put(90L, random(random, 90));
      OwnTool[] untouched =
          before.entrySet().stream()
              .map(one ->
                  own(
                      100 + one.getKey(),
                      one.getKey(),
                      FrozenEntry.of(
                          one.getValue().fields(), one.getValue().tool().code() + ENDING)))
              .toArray(OwnTool[]::new);
      assertEquals(new BaseUpdate.Outcome(List.of(), List.of()), of(before, before, untouched));
      BaseUpdate.Outcome outcome = of(before, now, untouched);
      assertEquals(List.of(), outcome.open());
      Map<Long, FrozenEntry> becomes = new HashMap<>();
      for (OwnTool one : untouched) {
        becomes.put(one.base().getAsLong(), one.entry());
      }
      for (Step step : outcome.steps()) {
        long base = step.base().getAsLong();
        step.after().ifPresentOrElse(after -> becomes.put(base, after), () -> becomes.remove(base));
      }
      assertEquals(now.keySet(), becomes.keySet());
      now.forEach((id, entry) -> {
        FrozenEntry mine = becomes.get(id);
        assertEquals(entry.tool().code() + ENDING, mine.tool().code());
        assertTrue(FieldChange.between(entry.fields(), mine.fields()).isEmpty());
      });
    }
  }

  private static Map<Long, FrozenEntry> library(Random random) {
    Map<Long, FrozenEntry> library = new HashMap<>();
    for (long id = 1; id < 8; id++) {
      library.put(id, random(random, id));
    }
    return library;
  }

  private static FrozenEntry random(Random random, long id) {
    return mill(
        "EM-" + id,
        Integer.toString(random.nextInt(3, 6)),
        Integer.toString(random.nextInt(70, 73)),
        Integer.toString(random.nextInt(100, 102)));
  }

  @Test
  void aBundleBringsTheToolBack() {
    FrozenEntry entry = mill("EM-10", "10", "72", "180");
    assertEquals(Optional.of("EM-10"), Optional.of(entry.bundle().item().text(RawItem.CODE)));
    assertEquals(1, entry.bundle().cutting().size());
  }
}
