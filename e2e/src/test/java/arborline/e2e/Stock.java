package arborline.e2e;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * A library of the starter file's good tools under codes of its own, so that no test meets the
 * tools of another one.
 *
 * @param prefix what the codes begin with in place of {@code MC}
 */
record Stock(Script script, String prefix, long library, String name) {

  /** Shelves one; as often as it is asked for the same prefix there is still one. */
  static Stock of(Journey journey, String prefix) {
    Script script = new Script(journey.line.url(), journey.line.key("LEAD"));
    String name = "Stock " + prefix;
    for (JsonElement library : script.get("/libraries").getAsJsonArray("items")) {
      JsonObject known = library.getAsJsonObject();
      if (known.get("name").getAsString().equals(name)) {
        return new Stock(script, prefix, known.get("id").getAsLong(), name);
      }
    }
    long library =
        script.post("/libraries", "{\"name\":\"%s\"}".formatted(name)).get("id").getAsLong();
    long delivery = script.deliver(prefix + ".csv", starter(prefix));
    until(script, delivery);
    script.post(
        "/deliveries/%d/accept".formatted(delivery),
        "{\"library\":%d,\"numbering\":\"keep\"}".formatted(library));
    return new Stock(script, prefix, library, name);
  }

  /** The starter file with other codes. */
  static String starter(String prefix) {
    try {
      return Files.readString(Journey.STARTER).replace("\nMC-", "\n" + prefix + "-");
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  private static void until(Script script, long delivery) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
    while (!script.get("/deliveries/" + delivery).get("state").getAsString().equals("ready")) {
      if (System.nanoTime() > end) {
        throw new IllegalStateException("delivery " + delivery + " is still not read");
      }
      LockSupport.parkNanos(20_000_000);
    }
  }

  /** The code of one of its tools, as {@code FE10}. */
  String code(String tool) {
    return prefix + "-" + tool;
  }

  String path() {
    return "/libraries/" + library;
  }

  /** Id of the delivery that it came with. */
  long delivery() {
    for (JsonElement delivery : script.get("/deliveries").getAsJsonArray("items")) {
      JsonObject known = delivery.getAsJsonObject();
      if (known.get("name").getAsString().equals(prefix + ".csv")) {
        return known.get("id").getAsLong();
      }
    }
    throw new IllegalStateException("no delivery brought " + prefix);
  }

  /** Id of one of its tools. */
  long tool(String tool) {
    for (JsonElement found :
        script.get(path() + "/tools?q=" + code(tool)).getAsJsonArray("items")) {
      if (found.getAsJsonObject().get("code").getAsString().equals(code(tool))) {
        return found.getAsJsonObject().get("toolId").getAsLong();
      }
    }
    throw new IllegalStateException("there is no " + code(tool));
  }

  /** Plans one of its tools for a pocket of M1. */
  void plan(String tool, int pocket, String length, String diameter) {
    plan("M1", tool, pocket, length, diameter);
  }

  /** Plans one of its tools for a pocket. */
  void plan(String machine, String tool, int pocket, String length, String diameter) {
    script.put(
        "/machines/%s/plan/%d".formatted(machine, pocket),
        "{\"toolId\":%d,\"length\":\"%s\",\"diameter\":\"%s\"}"
            .formatted(tool(tool), length, diameter));
  }

  /** Releases all of its tools, so that they can be planned. */
  Stock released() {
    script.post(
        "/tools/standing",
        "{\"tools\":%s,\"standing\":\"RELEASED\"}"
            .formatted(script.get("/tools/ids?library=" + library).getAsJsonArray("items")));
    return this;
  }

  /** Takes a tool out of a plan again. */
  void unplan(String machine, int pocket) {
    script.delete("/machines/%s/plan/%d".formatted(machine, pocket));
  }

  /** Empties the plan of M1. */
  void clearPlan() {
    for (JsonElement planned : script.get("/machines/M1").getAsJsonArray("plan")) {
      script.delete("/machines/M1/plan/" + planned.getAsJsonObject().get("place").getAsString());
    }
  }
}
