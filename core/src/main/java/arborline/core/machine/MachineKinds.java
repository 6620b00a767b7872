package arborline.core.machine;

import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.machine.Numbering.Scheme;
import arborline.core.storage.Station;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.TurretBody;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Machines to begin with, one of each kind, with sizes that are usual for it. They are no
 * particular machines: whoever sets one up puts in what his has.
 */
public final class MachineKinds {

  private static final String LETTERS = "A-Z0-9 .+/-";

  private MachineKinds() {}

  /** One of each kind. */
  public static List<Machine> all() {
    return List.of(
        mill("vertical mill", "ST-AD-40:f", 24, new int[] {80, 150, 300, 8, 12}, 12000, 15, 95),
        mill("five-axis mill", "HT-A-63:f", 60, new int[] {80, 150, 400, 8, 14}, 18000, 28, 130),
        turning(),
        millTurn(),
        router());
  }

  private static BigDecimal of(int number) {
    return BigDecimal.valueOf(number);
  }

  private static StorageLimits limits(
      int full, int empty, int length, int mass, @Nullable Integer moment) {
    return new StorageLimits(
        of(full), of(empty), of(length), of(mass), null, moment == null ? null : of(moment), null);
  }

  private static MachineSpindle tool(
      String name, String seat, int rpm, int power, int torque, boolean locks) {
    return new MachineSpindle(name, Carries.TOOL, seat, of(rpm), of(power), of(torque), locks);
  }

  private static MachineSpindle work(String name, int rpm, int power, int torque) {
    return new MachineSpindle(name, Carries.WORK, null, of(rpm), of(power), of(torque), false);
  }

  private static Axis axis(String name, int to) {
    return new Axis(name, BigDecimal.ZERO, of(to), false);
  }

  private static StorageDefinition chain(String id, int places, int pitch, StorageLimits limits) {
    return new StorageDefinition(
        id, StorageForm.CHAIN, places, "", 1, of(pitch), true, true, null, limits, null, null);
  }

  private static StorageDefinition turret(
      String prefix,
      int places,
      int pitch,
      String seat,
      int radius,
      boolean front,
      List<String> reaches) {
    List<Station> driven =
        IntStream.rangeClosed(1, places / 2)
            .mapToObj(half -> new Station(2 * half, true, of(6000), null, false, of(90)))
            .toList();
    return new StorageDefinition(
        "T",
        StorageForm.TURRET,
        places,
        prefix,
        1,
        of(pitch),
        true,
        false,
        seat,
        limits(90, 120, 150, 5, null),
        null,
        new TurretBody(of(radius), of(radius + 150), front, false, reaches, driven));
  }

  private static Machine machine(
      String kind,
      List<MachineSpindle> spindles,
      List<StorageDefinition> storages,
      List<Axis> axes,
      Scheme scheme,
      Outputs outputs) {
    return new Machine(
        "",
        "",
        kind,
        spindles,
        storages,
        axes,
        new ControlHabits("", true, true, true, 3, 24, LETTERS, "mm"),
        new Numbering(scheme, null, null),
        outputs);
  }

  private static Machine mill(
      String kind, String seat, int places, int[] most, int rpm, int power, int torque) {
    return machine(
        kind,
        List.of(tool("main", seat, rpm, power, torque, false)),
        List.of(chain("C", places, 100, limits(most[0], most[1], most[2], most[3], most[4]))),
        List.of(axis("X", 800), axis("Y", 500), axis("Z", 500)),
        Scheme.NUMBER_APART,
        new Outputs(null, null, false, List.of("flood", "through the tool")));
  }

  private static Machine turning() {
    return machine(
        "turning centre",
        List.of(work("main", 4500, 20, 400)),
        List.of(turret("", 12, 110, "VD-A-30:f", 213, false, List.of("main"))),
        List.of(axis("X", 250), axis("Z", 600)),
        Scheme.NUMBER_IS_PLACE,
        new Outputs(null, null, false, List.of("flood")));
  }

  private static Machine millTurn() {
    return machine(
        "mill-turn, two spindles",
        List.of(
            tool("upper", "PT-C-63:f", 12000, 22, 120, true),
            work("main", 5000, 26, 500),
            work("sub", 5000, 22, 300)),
        List.of(
            chain("C", 36, 85, limits(70, 140, 350, 8, 14)),
            turret("L", 12, 118, "VD-A-40:f", 228, true, List.of("main", "sub"))),
        List.of(
            axis("X1", 580), axis("Y1", 200), axis("Z1", 1100), axis("X2", 230), axis("Z2", 1050)),
        Scheme.NUMBER_APART,
        new Outputs(null, null, false, List.of("flood", "through the tool")));
  }

  private static Machine router() {
    return machine(
        "gantry router",
        List.of(tool("main", "HT-F-63:f", 24000, 12, 20, false)),
        List.of(
            new StorageDefinition(
                "R",
                StorageForm.RACK,
                10,
                "",
                1,
                of(110),
                false,
                false,
                null,
                limits(100, 160, 220, 6, 9),
                null,
                null)),
        List.of(axis("X", 3600), axis("Y", 1600), axis("Z", 350)),
        Scheme.NUMBER_IS_PLACE,
        new Outputs(of(0), of(140), true, List.of("air")));
  }
}
