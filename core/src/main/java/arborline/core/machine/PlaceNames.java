package arborline.core.machine;

import arborline.core.storage.StorageDefinition;
import java.util.LinkedHashMap;
import java.util.Map;

/** Which places are called otherwise after a change of a definition. */
public final class PlaceNames {

  private PlaceNames() {}

  /**
   * New names by old ones, of storages that keep their id and get another prefix or first number;
   * places that go away are left out.
   */
  public static Map<String, String> changed(Machine before, Machine after) {
    Map<String, String> changed = new LinkedHashMap<>();
    for (StorageDefinition old : before.storages()) {
      after.storages().stream()
          .filter(now -> now.id().equals(old.id()))
          .filter(now -> !now.prefix().equals(old.prefix()) || now.first() != old.first())
          .findFirst()
          .ifPresent(now -> {
            for (int index = 0; index < Math.min(old.places(), now.places()); index++) {
              changed.put(old.place(index), now.place(index));
            }
          });
    }
    return changed;
  }
}
