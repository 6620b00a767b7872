package arborline.core.scene;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.machine.TestMachines;
import arborline.core.scene.WorkScene.Mount;
import arborline.core.scene.WorkScene.ScenePoint;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a mill-turn looks like: tools above and below the work of two spindles that face. */
class ScenesTest {

  private static final WorkScene KITTIWAKE = Scenes.of(TestMachines.kittiwake()).orElseThrow();

  private static Mount mount(WorkScene scene, String storage, String spindle, boolean along) {
    return scene.mounts().stream()
        .filter(mount -> mount.storage().equals(storage))
        .filter(mount -> mount.spindle().equals(spindle) && mount.along() == along)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void workOfBothSpindlesFacesEachOther() {
    assertEquals(
        List.of("main", "sub"), KITTIWAKE.chucks().stream().map(WorkScene.Chuck::name).toList());
    double main = furthest(KITTIWAKE.chucks().get(0).work());
    double sub =
        KITTIWAKE.chucks().get(1).work().stream().mapToDouble(ScenePoint::x).min().orElseThrow();
    assertTrue(main < sub, main + " " + sub);
  }

  private static double furthest(List<ScenePoint> points) {
    return points.stream().mapToDouble(ScenePoint::x).max().orElseThrow();
  }

  @Test
  void theUpperSpindleReachesTheWorkFromAboveTheLowerTurretFromBelow() {
    Mount upper = mount(KITTIWAKE, "C", "main", false);
    assertTrue(upper.y() < KITTIWAKE.axis());
    assertEquals(90, upper.angle());
    assertNull(upper.radius(), "nothing stands beside a tool in the spindle");
    Mount lower = mount(KITTIWAKE, "T", "sub", false);
    assertTrue(lower.y() > KITTIWAKE.axis());
    assertEquals(-90, lower.angle());
    assertEquals(Math.cos(Math.toRadians(360.0 / 12)), lower.lean(), 1e-12);
  }

  @Test
  void alongTheSpindleAToolPointsAtTheFaceOfTheWork() {
    assertEquals(180, mount(KITTIWAKE, "C", "main", true).angle());
    assertEquals(0, mount(KITTIWAKE, "C", "sub", true).angle());
    assertEquals(
        furthest(KITTIWAKE.chucks().getFirst().work()), mount(KITTIWAKE, "T", "main", true).x(), 5);
  }

  @Test
  void aMachineThatTurnsNoWorkHasNoSuchScene() {
    assertTrue(Scenes.of(TestMachines.heron(24)).isEmpty());
    WorkScene lathe = Scenes.of(TestMachines.cormorant()).orElseThrow();
    assertEquals(1, lathe.chucks().size());
    assertEquals(2, lathe.mounts().size());
    assertTrue(lathe.mounts().getFirst().y() < lathe.axis(), "its turret stands behind the line");
  }
}
