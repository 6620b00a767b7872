package arborline.core.loadplan;

import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.ToolBody;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Reads a load plan from the form of the worked cases. */
final class LoadFile {

  private LoadFile() {}

  static LoadProblem read(JsonNode input) {
    List<Storage> storages = new ArrayList<>();
    List<String> names = new ArrayList<>();
    Map<LoadPlace, String> fixed = new HashMap<>();
    for (JsonNode storage : input.at("/machine/storages")) {
      names.add(storage.get("id").asString());
      storages.add(storage(storage));
    }
    for (JsonNode storage : input.at("/machine/storages")) {
      storage
          .get("fixed")
          .properties()
          .forEach(entry -> fixed.put(place(names, entry.getKey()), entry.getValue().asString()));
    }
    Map<String, LoadTool> tools = new LinkedHashMap<>();
    input
        .get("tools")
        .properties()
        .forEach(entry -> tools.put(entry.getKey(), tool(entry.getValue())));
    Map<LoadPlace, String> present = new HashMap<>();
    input
        .get("present")
        .properties()
        .forEach(entry -> present.put(place(names, entry.getKey()), entry.getValue().asString()));
    List<String> wanted = new ArrayList<>();
    input.get("wanted").forEach(tool -> wanted.add(tool.asString()));
    Set<String> keep = new HashSet<>();
    input.path("keep").forEach(tool -> keep.add(tool.asString()));
    return new LoadProblem(storages, fixed, tools, present, wanted, keep);
  }

  private static LoadPlace place(List<String> storages, String place) {
    String[] parts = place.split("/");
    return new LoadPlace(storages.indexOf(parts[0]), Integer.parseInt(parts[1]) - 1);
  }

  private static Storage storage(JsonNode storage) {
    JsonNode limits = storage.get("limits");
    return Storage.of(
        new StorageDefinition(
            storage.get("id").asString(),
            StorageForm.valueOf(storage.get("form").asString().toUpperCase(Locale.ROOT)),
            storage.get("places").asInt(),
            "",
            1,
            decimal(storage.get("pitch")),
            storage.get("closed").asBoolean(),
            storage.get("random").asBoolean(),
            storage.hasNonNull("seat") ? storage.get("seat").asString() : null,
            new StorageLimits(
                decimal(limits.get("diameterFull")),
                decimal(limits.get("diameterEmpty")),
                decimal(limits.get("length")),
                decimal(limits.get("mass")),
                decimal(limits.get("massSum")),
                decimal(limits.get("moment")),
                null),
            decimal(storage.get("clearance")),
            null));
  }

  private static LoadTool tool(JsonNode tool) {
    return new LoadTool(
        new ToolBody(
            decimal(tool.get("diameter")),
            decimal(tool.get("length")),
            decimal(tool.get("mass")),
            decimal(tool.get("moment")),
            whole(tool.get("overlapPlus")),
            whole(tool.get("overlapMinus")),
            tool.get("oriented").asBoolean(),
            tool.hasNonNull("seat") ? tool.get("seat").asString() : null),
        Optional.ofNullable(tool.get("material")).map(JsonNode::asString),
        Optional.ofNullable(tool.get("dedicated")).map(JsonNode::asString));
  }

  private static @Nullable BigDecimal decimal(@Nullable JsonNode node) {
    return node == null || node.isNull() ? null : new BigDecimal(node.asString());
  }

  private static @Nullable Integer whole(JsonNode node) {
    return node.isNull() ? null : node.asInt();
  }
}
