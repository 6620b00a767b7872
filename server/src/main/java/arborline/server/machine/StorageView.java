package arborline.server.machine;

import arborline.core.connection.Connection;
import arborline.core.machine.Machine;
import arborline.core.storage.Layout;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * A storage as it is drawn.
 *
 * @param word what it is called: {@code chain}
 * @param placeWord what one of its places is called: {@code pocket}
 * @param seatName what people call the connection of its places
 */
record StorageView(
    String id,
    String word,
    String placeWord,
    String seat,
    String seatName,
    List<String> places,
    Layout layout) {

  /** Shortest room for tools, mm. */
  private static final double LEAST = 140;

  /**
   * The storages of a machine.
   *
   * @param longest of the tools that stand in a place, mm; whatever is drawn there fits
   */
  static List<StorageView> all(Machine machine, ToDoubleFunction<String> longest) {
    return machine.storages().stream().map(storage -> of(machine, storage, longest)).toList();
  }

  private static StorageView of(
      Machine machine, StorageDefinition storage, ToDoubleFunction<String> longest) {
    double room = storage.all().stream().mapToDouble(longest).reduce(LEAST, Math::max);
    String seat = machine.seat(storage);
    return new StorageView(
        storage.id(),
        storage.form().word(),
        storage.form().placeWord(),
        seat,
        Connection.tradeName(seat),
        storage.all(),
        Storage.of(storage).layout(room));
  }

  /** All storages of a machine: {@code chain of 36 pockets, turret of 14 stations}. */
  static String words(Machine machine) {
    return String.join(", ", machine.storages().stream().map(StorageView::words).toList());
  }

  private static String words(StorageDefinition storage) {
    String word = storage.form().placeWord();
    return switch (storage.form()) {
      case SPINDLE, AGGREGATES ->
          "%d %s%s".formatted(storage.places(), word, storage.places() == 1 ? "" : "s");
      default ->
          "%s of %d %s%s"
              .formatted(
                  storage.form().word(), storage.places(), word, storage.places() == 1 ? "" : "s");
    };
  }
}
