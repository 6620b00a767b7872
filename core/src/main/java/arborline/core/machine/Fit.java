package arborline.core.machine;

import arborline.core.connection.Connection;
import arborline.core.connection.Joint;
import arborline.core.finding.Finding;
import arborline.core.machine.Machine.Placed;
import arborline.core.storage.Blocking;
import arborline.core.storage.Blocking.Clash;
import arborline.core.storage.PlaceLimits;
import arborline.core.storage.Spacing;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.ToolBody;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * Says why a tool cannot go into a place, or that it can. Judged is the tool in its holder, as the
 * machine meets it; the bare cutter only where no stack is kept, which is said.
 */
public final class Fit {

  /** Code of the finding that a part of the stack was taken out of use. */
  public static final String PART_RETIRED = "part-retired";

  private final Machine machine;
  private final Placed at;
  private final Loaded tool;
  private final Map<Integer, Loaded> others = new TreeMap<>();
  private final List<Finding> findings = new ArrayList<>();

  private Fit(Machine machine, Placed at, Loaded tool, Map<String, Loaded> occupied) {
    this.machine = machine;
    this.at = at;
    this.tool = tool;
    occupied.forEach((place, other) -> {
      OptionalInt index = at.storage().index(place);
      if (index.isPresent() && index.getAsInt() != at.index()) {
        others.put(index.getAsInt(), other);
      }
    });
  }

  /**
   * Checks one tool for one place.
   *
   * @param occupied what the other places hold
   * @return holds where it cannot go there, queries where somebody should look; empty where it fits
   */
  public static List<Finding> check(
      Machine machine, String place, Loaded tool, Map<String, Loaded> occupied) {
    return machine
        .placed(place)
        .map(at -> new Fit(machine, at, tool, occupied).check())
        .orElseGet(() ->
            List.of(
                Finding.hold(
                    "place-unknown",
                    "%s has no %s '%s'; it has %s"
                        .formatted(machine.name(), machine.placeWord(), place, ranges(machine)))));
  }

  private static String ranges(Machine machine) {
    return machine.storages().stream()
        .map(storage -> "%s to %s".formatted(storage.place(0), storage.place(storage.places() - 1)))
        .reduce((one, other) -> one + ", " + other)
        .orElse("none");
  }

  private List<Finding> check() {
    Storage storage = Storage.of(at.storage());
    PlaceLimits.exceeded(storage, body(tool))
        .forEach(exceeded ->
            findings.add(
                Finding.hold(
                    exceeded.limit().code(), exceeded.message(), exceeded.limit().symbol())));
    tool.retired().stream()
        .findFirst()
        .ifPresent(part -> findings.add(Finding.hold(PART_RETIRED, retired(part))));
    MotionFit.obstacle(machine, at, tool.tool()).ifPresent(findings::add);
    seat();
    neighbours(storage);
    load(storage);
    speed();
    if (tool.assembly().isEmpty()) {
      findings.add(
          Finding.note(
              "bare-cutter",
              "no stack is kept for %s: length, width and mass of its holder are not judged"
                  .formatted(tool.tool().code())));
    }
    return findings;
  }

  /** What is wrong with a part that was taken out of use, and what to do. */
  public static String retired(String part) {
    return "%s in its stack was retired: choose another, or take it back into use".formatted(part);
  }

  private void seat() {
    String seat = machine.seat(at.storage());
    String connection = tool.assembly().map(Assembly::connection).orElse("");
    if (!seat.isEmpty() && !connection.isEmpty()) {
      Joint joint = Joint.of(seat, connection);
      if (!joint.mates()) {
        findings.add(
            Finding.hold(
                "seat-differs",
                "its holder (%s) does not go into %s, which takes %s: %s"
                    .formatted(
                        Connection.tradeName(connection),
                        at.words(),
                        Connection.tradeName(seat),
                        joint.why()),
                "CCMS"));
      }
    }
  }

  private void neighbours(Storage storage) {
    Blocking blocking = new Blocking(storage);
    List<Integer> needed = new ArrayList<>();
    others.forEach((there, other) ->
        blocking
            .clash(body(tool), at.index(), body(other), there)
            .ifPresent(clash -> {
              if (clash == Clash.BLOCKS_OTHER) {
                needed.add(there);
              } else {
                findings.add(beside(clash, blocking, storage.spacing(), there, other));
              }
            }));
    if (!needed.isEmpty()) {
      findings.add(
          Finding.hold(
              "neighbour-occupied",
              "Ø%s mm needs empty %ss beside it%s; %s %s is occupied"
                  .formatted(
                      body(tool).diameter().toPlainString(),
                      word(),
                      above(),
                      word(),
                      String.join(" and ", needed.stream().map(at.storage()::place).toList())),
              "DC"));
    }
  }

  private Finding beside(Clash clash, Blocking blocking, Spacing spacing, int there, Loaded other) {
    String place = at.storage().place(there);
    String wide = body(other).diameter().toPlainString();
    return switch (clash) {
      case BLOCKED_BY_OTHER ->
          Finding.hold(
              "neighbour-wide",
              "%s %s holds a tool of Ø%s mm that needs this %s empty"
                  .formatted(word(), place, wide, word()));
      case BOTH_BLOCK ->
          Finding.hold(
              "neighbour-shares",
              "it and the tool of Ø%s mm in %s %s both need the same %s empty"
                  .formatted(wide, word(), place, word()));
      default ->
          Finding.hold(
              "neighbour-too-close",
              "Ø%s mm and Ø%s mm in %s %s need %s mm between them, there are %s mm"
                  .formatted(
                      body(tool).diameter().toPlainString(),
                      wide,
                      word(),
                      place,
                      plain(blocking.needed(body(tool), body(other))),
                      plain(spacing.distance(spacing.steps(at.index(), there)).orElseThrow())),
              "DC");
    };
  }

  private static String plain(BigDecimal size) {
    BigDecimal short3 = size.scale() > 3 ? size.setScale(3, RoundingMode.HALF_UP) : size;
    return short3.stripTrailingZeros().toPlainString();
  }

  private String above() {
    BigDecimal most = at.storage().limits().diameterFull();
    return most == null || body(tool).diameter().compareTo(most) <= 0
        ? ""
        : " (over Ø%s mm)".formatted(most.toPlainString());
  }

  private ToolBody body(Loaded loaded) {
    return loaded.body(at.storage().form());
  }

  private String word() {
    return at.storage().form().placeWord();
  }

  /** What all tools of the storage weigh together, and how its halves differ. */
  private void load(Storage storage) {
    StorageDefinition definition = at.storage();
    BigDecimal sum =
        others.values().stream()
            .map(other -> body(other).mass())
            .reduce(body(tool).mass(), BigDecimal::add);
    BigDecimal most = definition.limits().massSum();
    if (most != null && sum.compareTo(most) > 0) {
      findings.add(
          Finding.hold(
              "mass-sum-beyond-limit",
              "all tools together weigh %s kg, the %s carries %s kg"
                  .formatted(sum.toPlainString(), definition.form().word(), most.toPlainString()),
              "WT"));
    }
    BigDecimal allowed = definition.limits().balance();
    if (allowed != null) {
      Map<Integer, BigDecimal> masses = new TreeMap<>();
      others.forEach((index, other) -> masses.put(index, body(other).mass()));
      masses.put(at.index(), body(tool).mass());
      BigDecimal difference = Balance.difference(storage.spacing().places(), masses);
      if (difference.compareTo(allowed) > 0) {
        findings.add(
            Finding.query(
                "balance-beyond-limit",
                "one half of the %s is %s kg heavier than the other; %s kg are allowed"
                    .formatted(
                        definition.form().word(),
                        difference.toPlainString(),
                        allowed.toPlainString()),
                "WT"));
      }
    }
  }

  private void speed() {
    BigDecimal speed = tool.tool().size("RPMX");
    Optional<BigDecimal> reached = machine.drive(false).map(MachineSpindle::rpm);
    if (speed != null && reached.filter(rpm -> speed.compareTo(rpm) < 0).isPresent()) {
      findings.add(
          Finding.note(
              "speed-below-machine",
              "the tool may turn %s 1/min, the spindle reaches %s"
                  .formatted(speed.toPlainString(), reached.get().toPlainString()),
              "RPMX"));
    }
  }
}
