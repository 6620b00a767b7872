package arborline.server.explain;

import arborline.core.loadplan.LoadPlace;
import arborline.core.loadplan.LoadProblem;
import arborline.core.loadplan.LoadTool;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.ToolBody;
import arborline.server.explain.LoadInput.LoadLimitsInput;
import arborline.server.explain.LoadInput.LoadStorageInput;
import arborline.server.explain.LoadInput.LoadToolInput;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Reads a load that somebody wrote down, and says what of it cannot be. */
final class LoadInputReader {

  private static final int MOST_PLACES = 200;
  private static final int MOST_TOOLS = 400;
  private static final BigDecimal LARGEST = new BigDecimal(1_000_000);
  private static final int FINEST = 12;

  private final LoadInput input;
  private final List<Storage> storages = new ArrayList<>();

  LoadInputReader(LoadInput input) {
    this.input = input;
  }

  /** What a place is called in the input. */
  String name(LoadPlace place) {
    StorageDefinition storage = storages.get(place.storage()).definition();
    return storage.id() + "/" + storage.place(place.index());
  }

  /**
   * The problem that it states.
   *
   * @throws Refusal naming the place of what cannot be read
   */
  LoadProblem problem() {
    List<LoadStorageInput> given =
        input.machine() == null || input.machine().storages() == null
            ? List.of()
            : input.machine().storages();
    if (given.isEmpty()) {
      throw Refusal.badRequest("machine.storages: name one storage at least");
    }
    Set<String> ids = new HashSet<>();
    for (LoadStorageInput storage : given) {
      storages.add(storage(storage, "machine.storages[%d]".formatted(storages.size())));
      if (!ids.add(storages.getLast().definition().id())) {
        throw Refusal.badRequest(
            "machine.storages: two are called '%s'; rename one"
                .formatted(storages.getLast().definition().id()));
      }
    }
    int places = storages.stream().mapToInt(storage -> storage.definition().places()).sum();
    if (places > MOST_PLACES) {
      throw Refusal.badRequest(
          "machine.storages: %d places are more than the %d that are planned at once"
              .formatted(places, MOST_PLACES));
    }
    Map<String, LoadTool> tools = tools();
    Map<LoadPlace, String> fixed = new HashMap<>();
    for (LoadStorageInput storage : given) {
      each(storage.fixed())
          .forEach((place, tool) -> fixed.put(place("fixed", place), named("fixed", tool)));
    }
    Map<LoadPlace, String> present = new HashMap<>();
    each(input.present())
        .forEach((place, tool) -> {
          String known = known(tools, "present", tool);
          if (present.containsValue(known)) {
            throw Refusal.badRequest(
                "present: %s stands in two places; take one out".formatted(tool));
          }
          present.put(place("present", place), known);
        });
    Set<String> keep = new HashSet<>();
    for (String tool : list(input.keep())) {
      if (!present.containsValue(known(tools, "keep", tool))) {
        throw Refusal.badRequest("keep: %s stands nowhere, so it cannot be kept".formatted(tool));
      }
      keep.add(tool);
    }
    List<String> wanted =
        list(input.wanted()).stream().map(tool -> known(tools, "wanted", tool)).toList();
    return new LoadProblem(storages, fixed, tools, present, wanted, keep);
  }

  private static Map<String, String> each(@Nullable Map<String, String> map) {
    return map == null ? Map.of() : map;
  }

  private static List<String> list(@Nullable List<String> list) {
    return list == null ? List.of() : list;
  }

  private static String named(String where, @Nullable String tool) {
    if (tool == null || tool.isBlank()) {
      throw Refusal.badRequest(where + ": a tool is missing; name it");
    }
    return tool;
  }

  private static String known(Map<String, LoadTool> tools, String where, @Nullable String tool) {
    if (!tools.containsKey(named(where, tool))) {
      throw Refusal.badRequest("%s: '%s' is none of the tools".formatted(where, tool));
    }
    return tool;
  }

  private LoadPlace place(String where, String place) {
    int slash = place.lastIndexOf('/');
    for (int storage = 0; slash > 0 && storage < storages.size(); storage++) {
      StorageDefinition definition = storages.get(storage).definition();
      if (definition.id().equals(place.substring(0, slash))) {
        OptionalInt index = definition.index(place.substring(slash + 1));
        if (index.isPresent()) {
          return new LoadPlace(storage, index.getAsInt());
        }
      }
    }
    throw Refusal.badRequest(
        "%s: there is no place '%s'; write storage/number".formatted(where, place));
  }

  private static Storage storage(@Nullable LoadStorageInput storage, String at) {
    if (storage == null || storage.id() == null || storage.id().isBlank()) {
      throw Refusal.badRequest(at + ".id: name the storage");
    }
    int places = storage.places() == null ? 0 : storage.places();
    if (places < 1 || places > MOST_PLACES) {
      throw Refusal.badRequest("%s.places: state 1 to %d".formatted(at, MOST_PLACES));
    }
    BigDecimal pitch = size(at + ".pitch", storage.pitch());
    if (pitch != null && pitch.signum() == 0) {
      throw Refusal.badRequest(at + ".pitch: state more than 0, or leave it out");
    }
    BigDecimal clearance = size(at + ".clearance", storage.clearance());
    return Storage.of(
        new StorageDefinition(
            storage.id(),
            form(at, storage.form()),
            places,
            "",
            1,
            pitch,
            Boolean.TRUE.equals(storage.closed()),
            Boolean.TRUE.equals(storage.random()),
            storage.seat(),
            limits(at + ".limits", storage.limits()),
            clearance == null ? BigDecimal.ZERO : clearance,
            null));
  }

  private static StorageForm form(String at, @Nullable String form) {
    List<StorageForm> forms =
        List.of(StorageForm.CHAIN, StorageForm.CAROUSEL, StorageForm.RACK, StorageForm.TURRET);
    return forms.stream()
        .filter(known -> known.name().toLowerCase(Locale.ROOT).equals(form))
        .findFirst()
        .orElseThrow(
            () -> Refusal.badRequest(at + ".form: choose chain, carousel, rack or turret"));
  }

  private static StorageLimits limits(String at, @Nullable LoadLimitsInput limits) {
    return limits == null
        ? StorageLimits.NONE
        : new StorageLimits(
            size(at + ".diameterFull", limits.diameterFull()),
            size(at + ".diameterEmpty", limits.diameterEmpty()),
            size(at + ".length", limits.length()),
            size(at + ".mass", limits.mass()),
            size(at + ".massSum", limits.massSum()),
            size(at + ".moment", limits.moment()),
            null);
  }

  private Map<String, LoadTool> tools() {
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    Map<String, LoadToolInput> given = input.tools() == null ? Map.of() : input.tools();
    if (given.size() > MOST_TOOLS) {
      throw Refusal.badRequest(
          "tools: %d are more than the %d that are planned at once"
              .formatted(given.size(), MOST_TOOLS));
    }
    given.forEach((name, tool) -> tools.put(name, tool("tools." + name, tool)));
    return tools;
  }

  private static LoadTool tool(String at, @Nullable LoadToolInput tool) {
    if (tool == null) {
      throw Refusal.badRequest(at + ": state its diameter, length, mass and moment");
    }
    return new LoadTool(
        new ToolBody(
            stated(at + ".diameter", tool.diameter()),
            stated(at + ".length", tool.length()),
            stated(at + ".mass", tool.mass()),
            stated(at + ".moment", tool.moment()),
            overlap(at + ".overlapPlus", tool.overlapPlus()),
            overlap(at + ".overlapMinus", tool.overlapMinus()),
            Boolean.TRUE.equals(tool.oriented()),
            tool.seat()),
        Optional.ofNullable(tool.material()),
        Optional.ofNullable(tool.dedicated()));
  }

  private static @Nullable Integer overlap(String at, @Nullable Integer places) {
    if (places != null && (places < 0 || places > MOST_PLACES)) {
      throw Refusal.badRequest("%s: state 0 to %d places".formatted(at, MOST_PLACES));
    }
    return places;
  }

  private static BigDecimal stated(String at, @Nullable BigDecimal size) {
    BigDecimal known = size(at, size);
    if (known == null) {
      throw Refusal.badRequest(at + ": state it");
    }
    return known;
  }

  private static @Nullable BigDecimal size(String at, @Nullable BigDecimal size) {
    if (size == null) {
      return null;
    }
    if (size.signum() < 0 || size.compareTo(LARGEST) > 0 || size.scale() > FINEST) {
      throw Refusal.badRequest(
          "%s: state a number from 0 to %s with %d decimals at most"
              .formatted(at, LARGEST.toPlainString(), FINEST));
    }
    return size.scale() < 0 ? size.setScale(0) : size;
  }
}
