package arborline.core.machine;

import arborline.core.connection.Connection;
import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.storage.Station;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.TurretBody;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Says what of a machine definition cannot be: each with its place, the reason and the remedy. */
public final class MachineFaults {

  private static final Pattern ID = Pattern.compile("[A-Za-z][A-Za-z0-9-]{0,11}");
  private static final Pattern STORAGE = Pattern.compile("[A-Z][A-Z0-9]{0,3}");
  private static final Pattern PREFIX = Pattern.compile("[A-Z]{0,3}");
  private static final BigDecimal LARGEST = new BigDecimal(1_000_000);
  private static final int FINEST = 6;
  private static final int MOST_STORAGES = 25;
  private static final int MOST_SPINDLES = 6;
  private static final int MOST_AXES = 12;
  private static final int LONGEST_NAME = 60;
  private static final int HIGHEST_NUMBER = 9999;
  private static final int MOST_COOLANTS = 12;

  private final List<String> faults = new ArrayList<>();

  private MachineFaults() {}

  /** All faults, as sentences; empty where the definition can be used. */
  public static List<String> of(Machine machine) {
    MachineFaults found = new MachineFaults();
    found.machine(machine);
    return found.faults;
  }

  private void machine(Machine machine) {
    when(
        machine.id() == null || !ID.matcher(machine.id()).matches(),
        "id: 1 to 12 letters, digits and hyphens, a letter first");
    text("name", machine.name(), LONGEST_NAME);
    text("kind", machine.kind(), LONGEST_NAME);
    most("spindles", machine.spindles().size(), MOST_SPINDLES);
    most("storages", machine.storages().size(), MOST_STORAGES);
    most("axes", machine.axes().size(), MOST_AXES);
    when(machine.spindles().isEmpty(), "spindles: a machine has one at least");
    when(machine.storages().isEmpty(), "storages: a machine holds tools in one at least");
    Set<String> names = new HashSet<>();
    for (int i = 0; i < machine.spindles().size(); i++) {
      MachineSpindle spindle = machine.spindles().get(i);
      spindle("spindles[%d]".formatted(i), spindle);
      when(
          spindle.name() != null && !names.add(spindle.name()),
          "spindles[%d].name: another one is called that".formatted(i));
    }
    Set<String> ids = new HashSet<>();
    Map<String, String> places = new HashMap<>();
    for (int i = 0; i < machine.storages().size(); i++) {
      storage("storages[%d]".formatted(i), machine.storages().get(i), ids, places, names);
    }
    for (int i = 0; i < machine.axes().size(); i++) {
      axis("axes[%d]".formatted(i), machine.axes().get(i));
    }
    habits(machine.habits());
    numbering(machine.numbering());
    outputs(machine.outputs());
  }

  private void spindle(String at, MachineSpindle spindle) {
    text(at + ".name", spindle.name(), 20);
    when(spindle.carries() == null, at + ".carries: choose TOOL or WORK");
    when(
        spindle.carries() == Carries.TOOL && spindle.seat() == null,
        at + ".seat: state what connection it has");
    seat(at + ".seat", spindle.seat());
    stated(at + ".rpm", spindle.rpm());
    stated(at + ".power", spindle.power());
    stated(at + ".torque", spindle.torque());
  }

  private void storage(
      String at,
      StorageDefinition storage,
      Set<String> ids,
      Map<String, String> places,
      Set<String> spindles) {
    when(
        storage.id() == null || !STORAGE.matcher(storage.id()).matches(),
        at + ".id: 1 to 4 capital letters and digits, a letter first");
    when(
        storage.id() != null && !ids.add(storage.id()), at + ".id: another storage is called that");
    when(storage.form() == null, at + ".form: choose what kind of storage it is");
    seat(at + ".seat", storage.seat());
    size(at + ".clearance", storage.clearance());
    limits(at + ".limits", storage.limits());
    if (storage.pitch() != null) {
      stated(at + ".pitch", storage.pitch());
    }
    boolean counted =
        within(at + ".places", storage.places(), 1, StorageDefinition.MOST_PLACES)
            & within(at + ".first", storage.first(), 1, HIGHEST_NUMBER);
    boolean named = PREFIX.matcher(storage.prefix()).matches();
    when(!named, at + ".prefix: up to 3 capital letters, or nothing");
    if (counted && named) {
      places(at, storage, places);
    }
    if (storage.form() == StorageForm.TURRET) {
      when(
          storage.turret() == null, at + ".turret: state its radius and which spindles it reaches");
      if (storage.turret() != null && counted) {
        turret(at + ".turret", storage, storage.turret(), spindles);
      }
    } else {
      when(storage.turret() != null, at + ".turret: only a turret has that");
    }
  }

  private void places(String at, StorageDefinition storage, Map<String, String> places) {
    when(
        storage.first() + storage.places() - 1 > HIGHEST_NUMBER,
        "%s.first: its last place would be above %d".formatted(at, HIGHEST_NUMBER));
    for (String place : storage.all()) {
      String other = places.putIfAbsent(place, at);
      if (other != null) {
        faults.add(
            "%s: place %s is one of %s too; give it a prefix or another first number"
                .formatted(at, place, other));
        return;
      }
    }
  }

  private void turret(
      String at, StorageDefinition storage, TurretBody turret, Set<String> spindles) {
    stated(at + ".radius", turret.radius());
    if (turret.swing() != null
        && stated(at + ".swing", turret.swing())
        && turret.radius() != null) {
      when(
          turret.swing().compareTo(turret.radius()) < 0,
          at + ".swing: it cannot be less than the radius");
    }
    for (String reached : turret.reaches()) {
      when(
          !spindles.contains(reached),
          "%s.reaches: no spindle is called '%s'".formatted(at, reached));
    }
    Set<Integer> numbers = new HashSet<>();
    for (int i = 0; i < turret.stations().size(); i++) {
      Station station = turret.stations().get(i);
      String there = "%s.stations[%d]".formatted(at, i);
      when(
          station.number() < storage.first()
              || station.number() >= storage.first() + storage.places(),
          "%s.number: station %d is beyond the last; there are %d to %d"
              .formatted(
                  there,
                  station.number(),
                  storage.first(),
                  storage.first() + storage.places() - 1));
      when(!numbers.add(station.number()), there + ".number: it is described twice");
      positive(there + ".rpm", station.rpm());
      positive(there + ".ratio", station.ratio());
      positive(there + ".angleStep", station.angleStep());
      when(
          station.driven() && station.rpm() == null,
          there + ".rpm: state how fast it may drive a tool");
    }
  }

  private void limits(String at, StorageLimits limits) {
    positive(at + ".diameterFull", limits.diameterFull());
    positive(at + ".diameterEmpty", limits.diameterEmpty());
    positive(at + ".length", limits.length());
    positive(at + ".mass", limits.mass());
    positive(at + ".massSum", limits.massSum());
    positive(at + ".moment", limits.moment());
    positive(at + ".balance", limits.balance());
    when(
        limits.diameterFull() != null
            && limits.diameterEmpty() != null
            && limits.diameterFull().compareTo(limits.diameterEmpty()) > 0,
        at + ".diameterFull: beside taken places no wider tool fits than beside empty ones");
  }

  private void axis(String at, Axis axis) {
    text(at + ".name", axis.name(), 8);
    boolean known = bounded(at + ".from", axis.from()) & bounded(at + ".to", axis.to());
    when(known && axis.from().compareTo(axis.to()) >= 0, at + ": it ends before it begins");
  }

  private void habits(@Nullable ControlHabits habits) {
    if (habits == null) {
      faults.add("habits: state how the control keeps its tool table");
      return;
    }
    when(habits.dialect() == null, "habits.dialect: name one, or leave it empty");
    within("habits.decimals", habits.decimals(), 0, 6);
    when(
        habits.unit() != null && !List.of("mm", "in").contains(habits.unit()),
        "habits.unit: state mm or in");
    within("habits.nameLength", habits.nameLength(), 0, 80);
    when(
        habits.nameCharacters() == null || habits.nameCharacters().length() > 100,
        "habits.nameCharacters: list the characters of a name, up to 100");
    if (habits.nameCharacters() != null) {
      characters(habits.nameCharacters());
    }
  }

  private void characters(String listed) {
    try {
      Pattern.compile("[" + listed + "]");
      when(
          listed.indexOf('[') >= 0 || listed.indexOf(']') >= 0 || listed.contains("&&"),
          "habits.nameCharacters: brackets and && cannot stand there");
    } catch (IllegalArgumentException unreadable) {
      when(!listed.isEmpty(), "habits.nameCharacters: this is no list of characters");
    }
  }

  private void numbering(@Nullable Numbering numbering) {
    if (numbering == null || numbering.scheme() == null) {
      faults.add("numbering.scheme: choose how numbers and places go together");
      return;
    }
    Integer from = numbering.from();
    Integer to = numbering.to();
    when((from == null) != (to == null), "numbering: state both ends of the range, or neither");
    if (from != null && to != null) {
      when(
          from < 1 || to > 99_999_999 || from > to,
          "numbering: the range goes from 1 or more up to its last number");
    }
  }

  private void outputs(Outputs outputs) {
    when(
        (outputs.hoodFrom() == null) != (outputs.hoodTo() == null),
        "outputs: state the lowest and the highest height of the hood, or neither");
    if (outputs.hoodFrom() != null && outputs.hoodTo() != null) {
      boolean known =
          bounded("outputs.hoodFrom", outputs.hoodFrom())
              & bounded("outputs.hoodTo", outputs.hoodTo());
      when(
          known && outputs.hoodFrom().compareTo(outputs.hoodTo()) > 0,
          "outputs.hoodTo: it is below the lowest height");
    }
    most("outputs.coolant", outputs.coolant().size(), MOST_COOLANTS);
    outputs.coolant().forEach(kind -> text("outputs.coolant", kind, 40));
  }

  private void seat(String at, @Nullable String seat) {
    if (seat == null) {
      return;
    }
    Connection.Read read = Connection.read(seat);
    if (read.connection().isEmpty()) {
      faults.add("%s: '%s' is no connection: %s".formatted(at, seat, read.fault()));
    } else if (!read.connection().get().socket()) {
      faults.add("%s: %s is a shank; a seat is a socket (f)".formatted(at, seat));
    }
  }

  private boolean stated(String at, @Nullable BigDecimal size) {
    if (size == null) {
      faults.add(at + ": state it");
      return false;
    }
    return positive(at, size);
  }

  private boolean positive(String at, @Nullable BigDecimal size) {
    boolean fine = size == null || size(at, size) && size.signum() > 0;
    when(!fine && (size.signum() == 0), at + ": it must be above 0");
    return fine;
  }

  private boolean size(String at, @Nullable BigDecimal size) {
    boolean fine =
        size == null
            || size.signum() >= 0 && size.compareTo(LARGEST) <= 0 && size.scale() <= FINEST;
    when(
        !fine,
        "%s: a number from 0 to %s with %d decimals at most"
            .formatted(at, LARGEST.toPlainString(), FINEST));
    return fine;
  }

  private boolean bounded(String at, @Nullable BigDecimal size) {
    boolean fine = size != null && size.abs().compareTo(LARGEST) <= 0 && size.scale() <= FINEST;
    when(
        !fine,
        "%s: a number up to %s with %d decimals at most"
            .formatted(at, LARGEST.toPlainString(), FINEST));
    return fine;
  }

  private boolean within(String at, int number, int least, int most) {
    boolean fine = number >= least && number <= most;
    when(!fine, "%s: %d to %d".formatted(at, least, most));
    return fine;
  }

  private void most(String at, int number, int most) {
    when(number > most, "%s: %d at most".formatted(at, most));
  }

  private void text(String at, @Nullable String text, int longest) {
    when(
        text == null || text.isBlank() || text.length() > longest,
        "%s: 1 to %d characters".formatted(at, longest));
  }

  private void when(boolean wrong, String fault) {
    if (wrong) {
      faults.add(fault);
    }
  }
}
