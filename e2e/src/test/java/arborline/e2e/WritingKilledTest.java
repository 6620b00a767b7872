package arborline.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A server that is killed at a random moment while it writes to a control: what is written is said,
 * every place holds its old or its new sizes, and doing it again ends in step. {@code
 * -Darbor.kills=50} does it so many times at each control.
 */
class WritingKilledTest {

  private static final int KILLS = Integer.getInteger("arbor.kills", 1);
  private static final long SEED = Long.getLong("arbor.seed", System.nanoTime());
  private static final int PLACES = 4;
  private static final long LONGEST_NANOS = 2_500_000_000L;

  private static Journey journey;
  private static Script script;

  @BeforeAll
  static void start() {
    journey = Journey.alone("rig-writing-killed");
    script = new Script(journey.line.url(), journey.line.key("LEAD"));
  }

  @AfterAll
  static void stop() {
    journey.close();
  }

  /** A size that controls of each machine keep of its planned tools. */
  static List<Map.Entry<String, String>> machines() {
    return List.of(
        Map.entry("M3", "length"),
        Map.entry("L1", "z"),
        Map.entry("X1", "length"),
        Map.entry("R1", "length"));
  }

  @ParameterizedTest
  @MethodSource("machines")
  void everyPlaceHoldsItsOldOrItsNewSizesAndDoingItAgainEndsInStep(
      Map.Entry<String, String> subject) {
    Random random = new Random(SEED);
    for (int kill = 0; kill < KILLS; kill++) {
      killed(subject.getKey(), subject.getValue(), random, "seed " + SEED + ", kill " + kill);
    }
  }

  private void killed(String machine, String size, Random random, String moment) {
    Map<String, BigDecimal> before = inStep(machine, size);
    Map<String, BigDecimal> after = measuredAnew(machine, size, before);
    JsonObject seen = script.get(path(machine) + "/reconciliation");
    String order = order(seen, after.keySet());
    behave(machine, "{\"slowMillis\":250}");
    CompletableFuture<Boolean> writing =
        CompletableFuture.supplyAsync(
            () -> script.post(path(machine) + "/reconciliation/apply", order).has("state"));
    LockSupport.parkNanos(random.nextLong(LONGEST_NANOS));
    journey.line.killAndRestart();
    boolean answered = writing.handle((done, cut) -> !(cut instanceof CompletionException)).join();
    behave(machine, "{}");
    journey.change("delete from table_claim");

    Map<String, BigDecimal> held = held(machine, size);
    after.forEach((place, value) -> {
      BigDecimal now = held.get(place);
      assertTrue(
          same(now, value) || same(now, before.get(place)),
          "%s, %s: %s, was %s, should be %s"
              .formatted(moment, place, now, before.get(place), value));
    });
    if (answered) {
      after.forEach((place, value) -> assertTrue(same(held.get(place), value), moment));
    }
    JsonObject again = script.get(path(machine) + "/reconciliation");
    Set<String> open = new HashSet<>(after.keySet());
    open.removeIf(place -> state(again, place).equals("in step"));
    if (!open.isEmpty()) {
      JsonObject applied = script.post(path(machine) + "/reconciliation/apply", order(again, open));
      assertEquals("in step", applied.get("state").getAsString(), moment + ": " + applied);
    }
    Map<String, BigDecimal> settled = held(machine, size);
    after.forEach((place, value) -> assertTrue(same(settled.get(place), value), moment));
    for (JsonElement write : script.get(path(machine) + "/table/writes").getAsJsonArray("items")) {
      String state = write.getAsJsonObject().get("state").getAsString();
      assertTrue(!state.equals("sending"), moment + ": a writing is thought to go on: " + write);
    }
  }

  private static String path(String machine) {
    return "/machines/" + machine;
  }

  private static boolean same(BigDecimal one, BigDecimal other) {
    return one != null && other != null && one.compareTo(other) == 0;
  }

  private static void behave(String machine, String json) {
    journey.shop.send(machine.toLowerCase(java.util.Locale.ROOT), "PUT", "/behaviour", json);
  }

  /** Some places of the machine, brought in step, and what they hold. */
  private Map<String, BigDecimal> inStep(String machine, String size) {
    JsonObject seen = script.get(path(machine) + "/reconciliation");
    Set<String> open = new HashSet<>();
    List<String> places = planned(seen, size);
    places.stream().filter(place -> !state(seen, place).equals("in step")).forEach(open::add);
    if (!open.isEmpty()) {
      JsonObject applied = script.post(path(machine) + "/reconciliation/apply", order(seen, open));
      assertEquals("in step", applied.get("state").getAsString(), applied.toString());
    }
    Map<String, BigDecimal> held = held(machine, size);
    held.keySet().retainAll(places);
    return held;
  }

  /** Places whose tool plan and control have in common. */
  private static List<String> planned(JsonObject seen, String size) {
    List<String> places = new ArrayList<>();
    for (JsonElement item : seen.getAsJsonArray("items")) {
      JsonObject row = item.getAsJsonObject();
      JsonObject plan = row.getAsJsonObject("plan");
      JsonObject control = row.getAsJsonObject("control");
      boolean both = plan.has(size) && control.has(size);
      boolean tool =
          both
              && (!control.has("tool")
                  || control.get("tool").getAsString().equals(plan.get("tool").getAsString()));
      if (tool && !row.get("inSpindle").getAsBoolean() && places.size() < PLACES) {
        places.add(row.get("place").getAsString());
      }
    }
    return places;
  }

  /** Measures each tool 0.01 longer than it was. */
  private Map<String, BigDecimal> measuredAnew(
      String machine, String size, Map<String, BigDecimal> before) {
    Map<String, BigDecimal> after = new TreeMap<>();
    JsonArray plan = script.get(path(machine)).getAsJsonArray("plan");
    for (JsonElement item : plan) {
      JsonObject planned = item.getAsJsonObject();
      String place = planned.get("place").getAsString();
      if (before.containsKey(place)) {
        JsonObject sizes = new JsonObject();
        for (JsonElement measure : planned.getAsJsonArray("measures")) {
          JsonObject one = measure.getAsJsonObject();
          if (one.has("value") && !one.get("value").isJsonNull()) {
            sizes.addProperty(one.get("field").getAsString(), one.get("value").getAsString());
          }
        }
        BigDecimal longer = before.get(place).add(new BigDecimal("0.01"));
        sizes.addProperty(size, longer.toPlainString());
        JsonObject order = new JsonObject();
        order.addProperty("toolId", planned.get("toolId").getAsLong());
        order.add("libraryId", planned.get("libraryId"));
        order.add("sizes", sizes);
        order.addProperty("allow", true);
        script.put("/machines/%s/plan/%s".formatted(machine, place), order.toString());
        after.put(place, longer);
      }
    }
    assertTrue(after.size() > 1, machine + " has no planned tools: " + before);
    return after;
  }

  private static String order(JsonObject seen, Set<String> places) {
    JsonObject decisions = new JsonObject();
    places.forEach(place -> decisions.addProperty(place, "send"));
    JsonObject order = new JsonObject();
    order.add("read", seen.get("read"));
    order.add("decisions", decisions);
    return order.toString();
  }

  private static String state(JsonObject seen, String place) {
    for (JsonElement item : seen.getAsJsonArray("items")) {
      JsonObject row = item.getAsJsonObject();
      if (row.get("place").getAsString().equals(place)) {
        return row.get("state").getAsString();
      }
    }
    throw new AssertionError("no place " + place);
  }

  /** What the control holds now; no tool stands in two places. */
  private Map<String, BigDecimal> held(String machine, String size) {
    Map<String, BigDecimal> held = new TreeMap<>();
    Set<String> tools = new HashSet<>();
    JsonObject seen = script.get(path(machine) + "/reconciliation");
    for (JsonElement item : seen.getAsJsonArray("items")) {
      JsonObject row = item.getAsJsonObject();
      JsonObject control = row.getAsJsonObject("control");
      if (control.has("tool")) {
        String sister = control.has("sister") ? control.get("sister").getAsString() : "";
        assertTrue(tools.add(control.get("tool").getAsString() + " " + sister), row.toString());
      }
      if (control.has(size)) {
        held.put(row.get("place").getAsString(), new BigDecimal(control.get(size).getAsString()));
      }
    }
    return held;
  }
}
