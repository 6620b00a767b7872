package arborline.core.machine;

import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * A machine definition.
 *
 * @param id short address: {@code M1}
 * @param name what the shop calls it
 * @param kind in words: "vertical mill"
 * @param storages what holds its tools
 */
public record Machine(
    String id,
    String name,
    String kind,
    List<MachineSpindle> spindles,
    List<StorageDefinition> storages,
    List<Axis> axes,
    ControlHabits habits,
    Numbering numbering,
    Outputs outputs) {

  /** Place that holds the tool in use. */
  public static final String SPINDLE = "SPINDLE";

  public Machine {
    spindles = spindles == null ? List.of() : List.copyOf(spindles);
    storages = storages == null ? List.of() : List.copyOf(storages);
    axes = axes == null ? List.of() : List.copyOf(axes);
    outputs = outputs == null ? Outputs.NONE : outputs;
  }

  /** A storage and which of its places is meant, from 0 up. */
  public record Placed(StorageDefinition storage, int index) {

    /** What people call the place: {@code pocket 12}. */
    public String words() {
      return storage.form().placeWord() + " " + storage.place(index);
    }
  }

  /** All places, storage by storage. */
  public List<String> places() {
    return storages.stream().flatMap(storage -> storage.all().stream()).toList();
  }

  /** The places that its control knows: a cart stands beside it. */
  public List<String> controlPlaces() {
    return storages.stream()
        .filter(storage -> storage.form() != StorageForm.CART)
        .flatMap(storage -> storage.all().stream())
        .toList();
  }

  public boolean hasPlace(String place) {
    return placed(place).isPresent();
  }

  /** Where a place is; empty where the machine has none of that name. */
  public Optional<Placed> placed(String place) {
    for (StorageDefinition storage : storages) {
      var index = storage.index(place);
      if (index.isPresent()) {
        return Optional.of(new Placed(storage, index.getAsInt()));
      }
    }
    return Optional.empty();
  }

  /** The number of a place, for machines where number and place are one; itself for others. */
  public String number(String place) {
    return placed(place)
        .map(placed -> Integer.toString(placed.storage().first() + placed.index()))
        .orElse(place);
  }

  /** What people call a place: {@code pocket 12}; the spindle by its name. */
  public String words(String place) {
    return placed(place)
        .map(Placed::words)
        .orElse(place.equals(SPINDLE) ? "the spindle" : "place " + place);
  }

  /** What its places are called together: pocket, station or place. */
  public String placeWord() {
    List<String> words =
        storages.stream().map(storage -> storage.form().placeWord()).distinct().toList();
    return words.size() == 1 ? words.getFirst() : "place";
  }

  /** Connection code of the places of a storage; empty where nothing says it. */
  public String seat(StorageDefinition storage) {
    return storage.seat() == null ? seat() : storage.seat();
  }

  /** Connection code of the spindle that carries tools, else of its first storage with one. */
  public String seat() {
    return spindles.stream()
        .filter(spindle -> spindle.carries() == Carries.TOOL)
        .map(MachineSpindle::seat)
        .filter(Objects::nonNull)
        .findFirst()
        .or(() ->
            storages.stream().map(StorageDefinition::seat).filter(Objects::nonNull).findFirst())
        .orElse("");
  }

  /**
   * The spindle that drives a cut.
   *
   * @param turned true where the work turns, false where the tool does
   */
  public Optional<MachineSpindle> drive(boolean turned) {
    return spindles.stream()
        .filter(spindle -> (spindle.carries() == Carries.WORK) == turned)
        .findFirst()
        .or(() -> spindles.stream().findFirst());
  }

  /** True where the control may put a tool back into another place. */
  public boolean random() {
    return storages.stream().anyMatch(StorageDefinition::random);
  }

  /** Longest tool that any of its places takes, mm; empty where one states none. */
  public Optional<BigDecimal> longest() {
    return most(storage -> storage.limits().length());
  }

  /** Widest tool that any of its places takes, mm; empty where one states none. */
  public Optional<BigDecimal> widest() {
    return most(storage -> storage.limits().diameterEmpty());
  }

  private Optional<BigDecimal> most(Function<StorageDefinition, BigDecimal> limit) {
    return storages.stream().map(limit).anyMatch(Objects::isNull)
        ? Optional.empty()
        : storages.stream().map(limit).max(BigDecimal::compareTo);
  }

  /** True where it has places of a form. */
  public boolean has(StorageForm form) {
    return storages.stream().anyMatch(storage -> storage.form() == form);
  }
}
