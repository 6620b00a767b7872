package arborline.core.machine;

import arborline.core.storage.Station;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.TurretBody;
import java.math.BigDecimal;
import java.util.List;

/** Machines for tests. */
public final class TestMachines {

  private TestMachines() {}

  private static BigDecimal of(String size) {
    return new BigDecimal(size);
  }

  /** A mill with a closed chain, pitch 100 mm. */
  public static Machine heron(int pockets) {
    return new Machine(
        "M1",
        "M1 Heron",
        "vertical mill",
        List.of(
            new MachineSpindle(
                "main",
                MachineSpindle.Carries.TOOL,
                "ST-JD-40:f",
                of("12000"),
                of("15"),
                of("95"),
                false)),
        List.of(
            new StorageDefinition(
                "C",
                StorageForm.CHAIN,
                pockets,
                "",
                1,
                of("100"),
                true,
                true,
                null,
                new StorageLimits(
                    of("80"), of("150"), of("300"), of("8"), of("120"), of("12"), null),
                null,
                null)),
        List.of(new Axis("X", of("0"), of("1000"), false)),
        new ControlHabits("assets-g10", true, true, true, 3, 24, "A-Z0-9 .+/-", "mm"),
        new Numbering(Numbering.Scheme.NUMBER_APART, null, null),
        Outputs.NONE);
  }

  /** The same machine with a control that speaks otherwise. */
  public static Machine withControl(Machine machine, String dialect) {
    ControlHabits habits = machine.habits();
    return withHabits(
        machine,
        new ControlHabits(
            dialect,
            habits.wearApart(),
            habits.diameterShown(),
            habits.spindleReported(),
            habits.decimals(),
            habits.nameLength(),
            habits.nameCharacters(),
            habits.unit()));
  }

  /** The same machine with a control of other habits. */
  public static Machine withHabits(Machine machine, ControlHabits habits) {
    return new Machine(
        machine.id(),
        machine.name(),
        machine.kind(),
        machine.spindles(),
        machine.storages(),
        machine.axes(),
        habits,
        machine.numbering(),
        machine.outputs());
  }

  /** The same machine with other numbers. */
  public static Machine numbered(Machine machine, Numbering numbering) {
    return new Machine(
        machine.id(),
        machine.name(),
        machine.kind(),
        machine.spindles(),
        machine.storages(),
        machine.axes(),
        machine.habits(),
        numbering,
        machine.outputs());
  }

  /** A mill-turn: tools of the upper spindle in 1 to 36, a lower turret in front, L1 to L12. */
  public static Machine kittiwake() {
    Machine lathe = cormorant();
    StorageDefinition upper = heron(36).storages().getFirst();
    StorageDefinition rear = lathe.storages().getFirst();
    StorageDefinition lower =
        new StorageDefinition(
            "T",
            StorageForm.TURRET,
            12,
            "L",
            1,
            rear.pitch(),
            true,
            false,
            "VD-A-40:f",
            rear.limits(),
            null,
            new TurretBody(
                of("228"),
                null,
                true,
                false,
                List.of("main", "sub"),
                List.of(new Station(1, true, of("6000"), null, true, null))));
    MachineSpindle main = lathe.spindles().getFirst();
    return new Machine(
        "X1",
        "X1 Kittiwake",
        "mill-turn",
        List.of(
            new MachineSpindle(
                "upper",
                MachineSpindle.Carries.TOOL,
                "PT-C-63:f",
                of("12000"),
                of("22"),
                of("120"),
                true),
            main,
            new MachineSpindle(
                "sub", main.carries(), null, main.rpm(), main.power(), main.torque(), false)),
        List.of(upper, lower),
        List.of(),
        lathe.habits(),
        heron(2).numbering(),
        Outputs.NONE);
  }

  /** A router with two fixed aggregates, 21 and 22. */
  public static Machine pelican() {
    Machine heron = heron(10);
    return new Machine(
        "R1",
        "R1 Pelican",
        "gantry router",
        heron.spindles(),
        List.of(
            new StorageDefinition(
                "A",
                StorageForm.AGGREGATES,
                2,
                "",
                21,
                null,
                false,
                false,
                null,
                StorageLimits.NONE,
                null,
                null)),
        List.of(),
        heron.habits(),
        heron.numbering(),
        Outputs.NONE);
  }

  /** A turning centre with a turret of 12, stations facing outwards, station 2 driven. */
  public static Machine cormorant() {
    return new Machine(
        "L1",
        "L1 Cormorant",
        "turning centre",
        List.of(
            new MachineSpindle(
                "main", MachineSpindle.Carries.WORK, null, of("4000"), of("18"), of("400"), false)),
        List.of(
            new StorageDefinition(
                "T",
                StorageForm.TURRET,
                12,
                "",
                1,
                of("110"),
                true,
                false,
                "VD-A-30:f",
                new StorageLimits(of("90"), of("120"), of("150"), of("5"), null, null, of("4")),
                null,
                new TurretBody(
                    of("220"),
                    of("340"),
                    false,
                    false,
                    List.of("main"),
                    List.of(new Station(2, true, of("6000"), null, false, of("90")))))),
        List.of(),
        new ControlHabits("", true, true, false, 3, 0, "", "mm"),
        new Numbering(Numbering.Scheme.PROGRAM_NUMBERS, 601, 680),
        Outputs.NONE);
  }
}
