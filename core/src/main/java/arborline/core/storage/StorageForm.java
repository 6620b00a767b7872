package arborline.core.storage;

import java.util.Locale;
import java.util.function.Function;

/** The kinds of storage. */
public enum StorageForm {
  CHAIN("pocket", Chain::new),
  CAROUSEL("pocket", Carousel::new),
  RACK("position", Rack::new),
  TURRET("station", Turret::new),
  SPINDLE("spindle", ToolSpindle::new),
  AGGREGATES("aggregate", Aggregates::new),
  CART("position", Cart::new);

  private final String placeWord;
  private final Function<StorageDefinition, Storage> storage;

  StorageForm(String placeWord, Function<StorageDefinition, Storage> storage) {
    this.placeWord = placeWord;
    this.storage = storage;
  }

  /** What people call one of its places. */
  public String placeWord() {
    return placeWord;
  }

  /** What people call it. */
  public String word() {
    return this == SPINDLE ? "tool spindle" : name().toLowerCase(Locale.ROOT);
  }

  Storage of(StorageDefinition definition) {
    return storage.apply(definition);
  }
}
