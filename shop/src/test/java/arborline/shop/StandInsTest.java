package arborline.shop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What controls keep, forget and refuse in ways of their own. */
class StandInsTest {

  @TempDir Path folder;

  private <T> StateFile<T> memory(String name, Class<T> type) {
    return new StateFile<>(folder.resolve(name), name + ".json", type);
  }

  private LatheControl lathe() {
    return new LatheControl(memory("l1-cormorant", LatheState.class));
  }

  @Test
  void theLatheForgetsWhatIsSetWithThePowerAndGeometryThatIsTakenInSetsIt() {
    LatheControl lathe = lathe();
    lathe.take("offsets.nc", "%\nG21 G90\nG10 P10601 X150. Z50. R0.2 Q2\nM30\n%\n");
    assertTrue(lathe.state().at(601).set());
    assertTrue(lathe.document("offsets.nc").contains("G10 P10601 X150.000 Z50.000 R0.200 Q2\n"));
    lathe.panel("{\"power\":true}");
    assertFalse(lathe.state().at(601).set());
    assertFalse(lathe().document("assets").contains("MEASURED"), "also after a restart");
    lathe.panel("{\"number\":602,\"values\":{\"Z\":60.1}}");
    assertTrue(lathe.state().at(602).set(), "touched off");
  }

  @Test
  void theLatheHasAToolInOneStationOnlyAndOffsetsOfItsRange() {
    LatheControl lathe = lathe();
    lathe.take("numbers.tsv", "station\tnumber\tprogram\n4\t601\t4\n");
    String numbers = lathe.document("numbers.tsv");
    assertTrue(numbers.contains("\n4\t601\t4\n"), numbers);
    assertTrue(numbers.contains("\n1\t-\t-\n"), numbers);
    assertThrows(RefusedException.class, () -> lathe.take("offsets.nc", "G10 P10700 X1.\n"));
    assertThrows(RefusedException.class, () -> lathe.take("numbers.tsv", "17\t601\t1\n"));
    assertFalse(lathe.take("else.nc", ""));
  }

  @Test
  void aTableOfAnOldRevisionIsRefusedAndEveryWritingHasANewOne() {
    RevisedControl mill = new RevisedControl(memory("x1-kittiwake", RevisedState.class));
    long revision = mill.state().revision();
    String order =
        "{\"revision\":%d,\"clear\":[\"20\"],\"set\":[{\"place\":\"36\",\"tool\":\"A\",\"number\":5,"
            + "\"edges\":[{\"length\":120.5}]}]}";
    assertTrue(mill.take("tooltable.json", order.formatted(revision)));
    assertTrue(mill.document("tooltable.json").contains("\"length\":120.5"));
    assertFalse(mill.state().tools().containsKey("20"));
    RefusedException old =
        assertThrows(
            RefusedException.class, () -> mill.take("tooltable.json", order.formatted(revision)));
    assertEquals(
        "revision %d was written on, it is %d now".formatted(revision, revision + 1),
        old.getMessage());
    assertThrows(
        RefusedException.class,
        () -> mill.take("tooltable.json", order.formatted(revision + 1).replace("36", "37")));
  }

  @Test
  void filesOfTheRouterAreSavedOneByOne() {
    SavedControl router = new SavedControl(memory("r1-pelican", SavedState.class));
    assertTrue(router.agrees());
    router.panel("{\"file\":\"MACHINE.LST\",\"cells\":[\"3\",\"55.000\",\"on\"]}");
    assertFalse(router.agrees(), "the others were forgotten");
    assertTrue(router.document("MACHINE.LST").startsWith("SAVE 42 "));
    for (String name : SavedControl.FILES) {
      String text = router.document(name).replaceAll("(SAVE|END) 4[12]", "$1 43");
      assertTrue(router.take(name, text));
    }
    assertTrue(router.agrees());
    assertThrows(RefusedException.class, () -> router.take("TOOLS.DB", "SAVE 44 2\r\nEND 44\r\n"));
  }

  @Test
  void aToolThatIsLoadedHasNoSizesAndPushesTheOtherOut() {
    NodeControl mill = new NodeControl(memory("m3-gannet", NodeState.class));
    mill.load("A", 1, "11", 77, "NEW");
    assertEquals("", mill.state().tools().get("MM-BL03|1").place());
    assertTrue(mill.state().tools().get("A|1").values().isEmpty());
    mill.write("A|1", "Edge1.Length", 120.5);
    assertEquals(120.5, mill.state().tools().get("A|1").values().get("Edge1.Length"));
    mill.unload("11");
    assertFalse(mill.state().tools().containsKey("A|1"));
  }

  @Test
  void aLockedToolIsLeftAlone() {
    NodeControl mill = new NodeControl(memory("m3-gannet", NodeState.class));
    mill.panel("{\"tool\":\"MM-BL03|1\",\"status\":\"locked\"}");
    assertEquals(
        "ALARM 080: tool MM-BL03|1 is locked",
        assertThrows(RefusedException.class, () -> mill.write("MM-BL03|1", "Edge1.Length", 1.0))
            .getMessage());
    assertThrows(RefusedException.class, () -> mill.unload("11"));
    assertThrows(RefusedException.class, () -> mill.load("MM-BL03", 1, "12", 11, "X"));
  }

  /** In 5 and 7 stand tools; 6 between them is free. */
  @Test
  void aToolThatIsTooWideBesideOthersIsRefused() {
    NodeControl mill = new NodeControl(memory("m3-gannet", NodeState.class));
    mill.load("WIDE", 1, "6", 77, "FACE MILL 100");
    mill.write("WIDE|1", "Edge1.Diameter", 80.0);
    RefusedException refused =
        assertThrows(RefusedException.class, () -> mill.write("WIDE|1", "Edge1.Diameter", 100.0));
    assertTrue(refused.getMessage().startsWith("ALARM 047"), refused.getMessage());
    mill.unload("5");
    mill.unload("7");
    mill.write("WIDE|1", "Edge1.Diameter", 100.0);
    assertThrows(RefusedException.class, () -> mill.load("A", 1, "5", 78, "NEW"));
    mill.load("A", 1, "4", 78, "NEW");
  }

  @Test
  void sistersTakeTurnsUnderOneNumber() {
    NodeControl mill = new NodeControl(memory("m3-gannet", NodeState.class));
    assertEquals("MM-BA08|1 MM-BA08|2", mill.groups().get(53));
  }
}
