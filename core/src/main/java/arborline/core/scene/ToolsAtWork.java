package arborline.core.scene;

import arborline.core.machine.Machine;
import arborline.core.scene.WorkScene.Mount;
import arborline.core.storage.Spacing;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Which planned tools are drawn at the work: of each storage that reaches it the chosen one, else
 * its first. Of storages that bring their tools into one spindle only one can, that of the chosen
 * tool before others.
 */
public final class ToolsAtWork {

  /** Stands for no place that is chosen. */
  public static final String NONE = "";

  private final Machine machine;
  private final WorkScene scene;
  private final Map<String, Pointing> planned;

  private ToolsAtWork(Machine machine, WorkScene scene, Map<String, Pointing> planned) {
    this.machine = machine;
    this.scene = scene;
    this.planned = planned;
  }

  /**
   * How a planned tool is used.
   *
   * @param spindle whose work it cuts
   * @param along true where it points more along that spindle than across it
   * @param turned degrees by which its block turned it; 0 where it stands straight in its station
   */
  public record Pointing(String spindle, boolean along, double turned) {}

  /**
   * A tool at the work.
   *
   * @param mount how it stands there: which of the mounts of the scene, from 0 up
   * @param beside planned places of its turret that are next to it
   * @param station clockwise, degrees, from the tool to its station; 0 where no block turned it
   */
  public record AtWork(String place, int mount, List<String> beside, double station) {}

  /**
   * The tools that stand there for each place that may be chosen, and for {@link #NONE}.
   *
   * @param planned by place, how the tool that is planned there is used
   */
  public static Map<String, List<AtWork>> byChosen(
      Machine machine, WorkScene scene, Map<String, Pointing> planned) {
    ToolsAtWork tools = new ToolsAtWork(machine, scene, planned);
    Map<String, List<AtWork>> all = new LinkedHashMap<>();
    all.put(NONE, tools.standing(null));
    planned.keySet().forEach(place -> all.put(place, tools.standing(place)));
    return all;
  }

  private List<AtWork> standing(@Nullable String chosen) {
    List<StorageDefinition> storages =
        machine.storages().stream()
            .sorted(Comparator.comparing(storage -> !has(storage, chosen)))
            .toList();
    List<AtWork> standing = new ArrayList<>();
    boolean inSpindle = false;
    for (StorageDefinition storage : storages) {
      boolean turret = storage.form() == StorageForm.TURRET;
      Optional<AtWork> tool =
          inSpindle && !turret
              ? Optional.empty()
              : first(storage, chosen).flatMap(place -> at(storage, place));
      if (tool.isPresent()) {
        standing.add(tool.get());
        inSpindle |= !turret;
      }
    }
    return standing;
  }

  private static boolean has(StorageDefinition storage, @Nullable String place) {
    return place != null && storage.index(place).isPresent();
  }

  private Optional<String> first(StorageDefinition storage, @Nullable String chosen) {
    Stream<String> own = has(storage, chosen) ? Stream.of(chosen) : Stream.empty();
    return Stream.concat(own, storage.all().stream()).filter(planned::containsKey).findFirst();
  }

  private Optional<AtWork> at(StorageDefinition storage, String place) {
    Pointing pointing = planned.get(place);
    List<Mount> mounts = scene.mounts();
    for (int number = 0; number < mounts.size(); number++) {
      Mount mount = mounts.get(number);
      if (mount.storage().equals(storage.id())
          && mount.spindle().equals(pointing.spindle())
          && mount.along() == pointing.along()) {
        return Optional.of(
            new AtWork(place, number, beside(storage, place), station(mount, pointing.turned())));
      }
    }
    return Optional.empty();
  }

  /** A station faces the work as it does, however a block turned its tool: the tool tells where. */
  private static double station(Mount mount, double turned) {
    if (turned == 0) {
      return 0;
    }
    double between = (mount.faces() - mount.angle() + 540) % 360 - 180;
    return between == 0 ? turned : between;
  }

  /** Only a turret brings its neighbours to the work with it. */
  private List<String> beside(StorageDefinition storage, String place) {
    if (storage.form() != StorageForm.TURRET) {
      return List.of();
    }
    Spacing spacing = Storage.of(storage).spacing();
    int index = storage.index(place).orElseThrow();
    return Stream.of(spacing.step(index, -1), spacing.step(index, 1))
        .flatMapToInt(OptionalInt::stream)
        .mapToObj(storage::place)
        .distinct()
        .filter(planned::containsKey)
        .toList();
  }
}
