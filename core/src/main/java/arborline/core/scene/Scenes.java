package arborline.core.scene;

import arborline.core.machine.Machine;
import arborline.core.machine.MachineSpindle;
import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.scene.WorkScene.Chuck;
import arborline.core.scene.WorkScene.Mount;
import arborline.core.scene.WorkScene.ScenePoint;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.TurretBody;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lays machines that turn work out as one scene; chucks and work are of usual sizes. */
public final class Scenes {

  private static final double HEIGHT = 440;
  private static final double AXIS = 220;
  private static final double BETWEEN = 640;
  private static final double CHUCK_LENGTH = 110;
  private static final double CHUCK_RADIUS = 90;
  private static final double WORK_LENGTH = 140;
  private static final double WORK_RADIUS = 32;
  private static final double GAP = 4;
  private static final double HEAD_LENGTH = 130;
  private static final double HEAD_RADIUS = 55;
  private static final double DISC_DEPTH = 90;
  private static final double DISC_HALF = 45;
  private static final double FULL_TURN = 360;

  private final Machine machine;
  private final List<MachineSpindle> works;

  private Scenes(Machine machine, List<MachineSpindle> works) {
    this.machine = machine;
    this.works = works;
  }

  /** The scene of a machine; empty for one that turns no work. */
  public static Optional<WorkScene> of(Machine machine) {
    List<MachineSpindle> works =
        machine.spindles().stream().filter(spindle -> spindle.carries() == Carries.WORK).toList();
    return works.isEmpty() ? Optional.empty() : Optional.of(new Scenes(machine, works).scene());
  }

  private WorkScene scene() {
    double width = works.size() > 1 ? BETWEEN + 2 * CHUCK_LENGTH : BETWEEN;
    List<Chuck> chucks = new ArrayList<>();
    List<Mount> mounts = new ArrayList<>();
    for (int number = 0; number < Math.min(works.size(), 2); number++) {
      boolean sub = number > 0;
      String name = works.get(number).name();
      chucks.add(chuck(name, sub, width));
      for (StorageDefinition storage : machine.storages()) {
        if (reaches(storage, name)) {
          mounts.add(across(storage, name, sub, width));
          mounts.add(along(storage, name, sub, width));
        }
      }
    }
    return new WorkScene(width, HEIGHT, AXIS, chucks, mounts);
  }

  private boolean reaches(StorageDefinition storage, String spindle) {
    TurretBody turret = storage.turret();
    if (turret != null) {
      return turret.reaches().isEmpty() || turret.reaches().contains(spindle);
    }
    return machine.spindles().stream().anyMatch(one -> one.carries() == Carries.TOOL);
  }

  private static Chuck chuck(String name, boolean sub, double width) {
    double face = face(sub, width);
    double back = sub ? width : 0;
    double end = workEnd(sub, width);
    return new Chuck(
        name,
        box(back, AXIS - CHUCK_RADIUS, face, AXIS + CHUCK_RADIUS),
        box(face, AXIS - WORK_RADIUS, end, AXIS + WORK_RADIUS));
  }

  private static double face(boolean sub, double width) {
    return sub ? width - CHUCK_LENGTH : CHUCK_LENGTH;
  }

  private static double workEnd(boolean sub, double width) {
    return sub ? face(true, width) - WORK_LENGTH : face(false, width) + WORK_LENGTH;
  }

  private static List<ScenePoint> box(double left, double top, double right, double bottom) {
    return List.of(
        new ScenePoint(left, top),
        new ScenePoint(right, top),
        new ScenePoint(right, bottom),
        new ScenePoint(left, bottom));
  }

  private static boolean below(StorageDefinition storage) {
    return storage.turret() != null && storage.turret().front();
  }

  /** Pointing at the circumference of the work, halfway along it. */
  private static Mount across(
      StorageDefinition storage, String spindle, boolean sub, double width) {
    boolean below = below(storage);
    double middle = (face(sub, width) + workEnd(sub, width)) / 2;
    return new Mount(
        storage.id(),
        spindle,
        false,
        middle,
        below ? AXIS + WORK_RADIUS + GAP : AXIS - WORK_RADIUS - GAP,
        below ? -90 : 90,
        body(storage),
        body(storage),
        storage.turret() == null ? null : storage.turret().radius().doubleValue(),
        faces(storage, sub, below ? -90 : 90),
        Math.cos(Math.toRadians(FULL_TURN / storage.places())));
  }

  /** Pointing at the face of the work. */
  private static Mount along(StorageDefinition storage, String spindle, boolean sub, double width) {
    boolean below = below(storage);
    double end = workEnd(sub, width);
    return new Mount(
        storage.id(),
        spindle,
        true,
        sub ? end - GAP : end + GAP,
        AXIS,
        sub ? 0 : 180,
        storage.turret() == null ? body(storage) : beside(below == sub),
        body(storage),
        null,
        faces(storage, sub, sub ? 0 : 180),
        0);
  }

  /** A station faces the work along its spindle, or across it; a spindle as its tool does. */
  private static double faces(StorageDefinition storage, boolean sub, double tool) {
    TurretBody turret = storage.turret();
    if (turret == null) {
      return tool;
    }
    if (turret.axial()) {
      return sub ? 0 : 180;
    }
    return turret.front() ? -90 : 90;
  }

  /** The head of the spindle, or the disc of the turret, behind the gauge line. */
  private static List<ScenePoint> body(StorageDefinition storage) {
    return storage.turret() == null
        ? box(-HEAD_LENGTH, -HEAD_RADIUS, 0, HEAD_RADIUS)
        : box(-DISC_DEPTH, -DISC_HALF, 0, DISC_HALF);
  }

  /**
   * The disc of a turret whose tool points along the spindle: it lies beside the tool, on the side
   * where the turret is.
   *
   * @param right true where that is to the right of a tool seen towards its tip
   */
  private static List<ScenePoint> beside(boolean right) {
    return right
        ? box(-2 * DISC_HALF, -DISC_HALF / 2, 0, DISC_DEPTH)
        : box(-2 * DISC_HALF, -DISC_DEPTH, 0, DISC_HALF / 2);
  }
}
