package arborline.core.scene;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.machine.Machine;
import arborline.core.machine.TestMachines;
import arborline.core.scene.ToolsAtWork.AtWork;
import arborline.core.scene.ToolsAtWork.Pointing;
import arborline.core.scene.WorkScene.Mount;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A mill-turn with tools in its chain and in its lower turret. */
class ToolsAtWorkTest {

  private static final Machine MACHINE = TestMachines.kittiwake();
  private static final String CHAIN = MACHINE.storages().getFirst().id();

  private static final WorkScene SCENE = Scenes.of(MACHINE).orElseThrow();

  private static Mount mount(AtWork at) {
    return SCENE.mounts().get(at.mount());
  }

  private static Map<String, List<AtWork>> all() {
    Map<String, Pointing> planned = new LinkedHashMap<>();
    planned.put("1", new Pointing("main", false, 0));
    planned.put("4", new Pointing("sub", true, 0));
    planned.put("L1", new Pointing("main", false, 0));
    planned.put("L2", new Pointing("sub", false, 0));
    planned.put("L12", new Pointing("main", false, 0));
    return ToolsAtWork.byChosen(MACHINE, SCENE, planned);
  }

  private static List<String> standing(String chosen) {
    return all().get(chosen).stream()
        .map(at -> at.place() + " " + mount(at).spindle() + (mount(at).along() ? " along" : ""))
        .sorted()
        .toList();
  }

  @Test
  void untilOneIsChosenTheFirstOfEachStorageStandsThere() {
    assertEquals(List.of("1 main", "L1 main"), standing(ToolsAtWork.NONE));
  }

  @Test
  void theChosenOneTakesThePlaceOfTheOthersOfItsStorage() {
    assertEquals(List.of("4 sub along", "L1 main"), standing("4"));
    assertEquals(List.of("1 main", "L2 sub"), standing("L2"));
  }

  @Test
  void theTurretBringsTheStationsBesideItAroundItsEnd() {
    AtWork lower =
        all().get("L1").stream().filter(at -> at.place().equals("L1")).findFirst().orElseThrow();
    assertEquals(List.of("L12", "L2"), lower.beside());
  }

  @Test
  void nothingStandsBesideAToolInTheSpindle() {
    AtWork upper =
        all().get("1").stream()
            .filter(at -> mount(at).storage().equals(CHAIN))
            .findFirst()
            .orElseThrow();
    assertEquals(List.of(), upper.beside());
  }

  /** L1 looks across the work of the main spindle; a block holds the tool along it. */
  @Test
  void theStationOfATurnedToolFacesTheWorkAsItDoes() {
    Map<String, List<AtWork>> all =
        ToolsAtWork.byChosen(MACHINE, SCENE, Map.of("L1", new Pointing("main", true, 90)));
    AtWork turned = all.get("L1").getFirst();
    assertEquals(90, Math.abs(turned.station()));
    assertEquals(0, (mount(turned).angle() + turned.station() - mount(turned).faces()) % 360);
  }

  @Test
  void aToolThatNoBlockTurnedStandsStraightInItsStation() {
    all().get("L1").forEach(at -> assertEquals(0, at.station()));
  }
}
