package arborline.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Function;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * A server that is killed at a random moment while it writes to all controls: what is written is
 * said, every place holds its old or its new sizes, and doing it again ends in step. {@code
 * -Darbor.kills=200} does it so many times, each time at another moment of each writing.
 */
class WritingKilledTest {

  private static final int KILLS = Integer.getInteger("arbor.kills", 2);
  private static final long SEED = Long.getLong("arbor.seed", System.nanoTime());
  private static final int PLACES = 4;
  private static final long LONGEST_NANOS = 7_000_000_000L;
  private static final long OVER_NANOS = 40_000_000_000L;
  private static final long AGAIN_NANOS = 200_000_000L;

  /** Five thousandths of an inch: a number in the tables of inches too. */
  private static final BigDecimal STEP = new BigDecimal("0.127");

  /** What a table of ten thousandths of an inch cannot tell apart, in mm. */
  private static final BigDecimal SAME = new BigDecimal("0.002");

  private static final BigDecimal INCH = new BigDecimal("25.4");

  private static Journey journey;
  private static Script script;

  /** A machine and a size that its control keeps of planned tools. */
  private record Subject(String machine, String size) {

    String path() {
      return "/machines/" + machine;
    }
  }

  private static final List<Subject> SUBJECTS =
      List.of(
          new Subject("M1", "length"),
          new Subject("M2", "length"),
          new Subject("M3", "length"),
          new Subject("L1", "z"),
          new Subject("X1", "length"),
          new Subject("R1", "length"));

  /** Sizes by place before and after a writing, what to ask for, and whether it was answered. */
  private record Writing(
      Subject subject,
      Map<String, BigDecimal> before,
      Map<String, BigDecimal> after,
      String order,
      CompletableFuture<Boolean> answered) {}

  @BeforeAll
  static void start() {
    journey = Journey.alone("rig-writing-killed");
    script = new Script(journey.line.url(), journey.line.key("LEAD"));
    Stock stock = Stock.of(journey, "WK").released();
    for (String place : List.of("4", "5", "6", "8", "10", "12")) {
      script.delete("/machines/M2/plan/%s?changeJobs=true".formatted(place));
    }
    for (String machine : List.of("M1", "M2")) {
      stock.plan(machine, "FE16", 21, "127", "16.002");
      stock.plan(machine, "FE12", 22, "120.65", "11.9888");
      if (machine.equals("M1")) {
        script.put("/machines/M1/numbers", "{\"places\":[\"21\",\"22\"],\"first\":80}");
      }
      String path = "/machines/%s/reconciliation".formatted(machine);
      JsonObject seen = script.get(path);
      script.post(path + "/apply", order(seen, Set.of("21", "22")));
    }
  }

  @AfterAll
  static void stop() {
    journey.close();
  }

  @Test
  void everyPlaceHoldsItsOldOrItsNewSizesAndDoingItAgainEndsInStep() {
    Random random = new Random(SEED);
    for (int kill = 0; kill < KILLS; kill++) {
      BigDecimal step = kill % 2 == 0 ? STEP : STEP.negate();
      killed(step, random.nextLong(LONGEST_NANOS), "seed " + SEED + ", kill " + kill);
    }
  }

  private void killed(BigDecimal step, long nanos, String moment) {
    List<Writing> prepared = atOnce(SUBJECTS, subject -> prepared(subject, step));
    List<Writing> writings = prepared.stream().map(WritingKilledTest::begun).toList();
    LockSupport.parkNanos(nanos);
    journey.line.killAndRestart();
    SUBJECTS.forEach(subject -> behave(subject, "{}"));
    List<String> outcomes = atOnce(writings, writing -> settled(writing, moment));
    System.err.println(moment + ", " + nanos / 1_000_000 + " ms: " + outcomes);
  }

  private static <T, R> List<R> atOnce(List<T> items, Function<T, R> act) {
    List<CompletableFuture<R>> futures =
        items.stream().map(item -> CompletableFuture.supplyAsync(() -> act.apply(item))).toList();
    return futures.stream().map(CompletableFuture::join).toList();
  }

  /** Some tools of a machine in step, and then measured anew. */
  private Writing prepared(Subject subject, BigDecimal step) {
    Map<String, BigDecimal> before = inStep(subject);
    Map<String, BigDecimal> after = measuredAnew(subject, before, step);
    JsonObject seen = script.get(subject.path() + "/reconciliation");
    behave(subject, "{\"slowMillis\":250}");
    return new Writing(
        subject,
        before,
        after,
        order(seen, after.keySet()),
        CompletableFuture.completedFuture(false));
  }

  private static Writing begun(Writing writing) {
    String apply = writing.subject.path() + "/reconciliation/apply";
    return new Writing(
        writing.subject,
        writing.before,
        writing.after,
        writing.order,
        CompletableFuture.supplyAsync(
            () -> script.post(apply, writing.order).get("state").getAsString().equals("in step")));
  }

  /** What was found after the kill, in a word; every place is in step again. */
  private String settled(Writing writing, String moment) {
    Subject subject = writing.subject;
    String where = moment + ", " + subject.machine;
    boolean answered = writing.answered.handle((inStep, cut) -> cut == null && inStep).join();
    untilOver(subject, where);
    Map<String, BigDecimal> held = held(subject);
    writing.after.forEach((place, value) -> {
      BigDecimal now = held.get(place);
      BigDecimal was = writing.before.get(place);
      assertTrue(
          same(now, value) || !answered && same(now, was),
          "%s, %s: %s, was %s, should be %s".formatted(where, place, now, was, value));
    });
    Set<String> open = new HashSet<>(writing.after.keySet());
    JsonObject again = script.get(subject.path() + "/reconciliation");
    open.removeIf(place -> state(again, place).equals("in step"));
    int left = open.size();
    if (left > 0) {
      JsonObject applied = appliedWhenFree(subject, order(again, open));
      assertEquals("in step", applied.get("state").getAsString(), where + ": " + applied);
    }
    Map<String, BigDecimal> settled = held(subject);
    writing.after.forEach((place, value) -> assertTrue(same(settled.get(place), value), where));
    assertFalse(goesOn(subject), where + ": a writing is thought to go on");
    return subject.machine
        + (answered ? " answered" : " %d of %d left".formatted(left, writing.after.size()));
  }

  /** A writing whose server died is known to be over soon. */
  private static void untilOver(Subject subject, String where) {
    long end = System.nanoTime() + OVER_NANOS;
    while (goesOn(subject)) {
      assertTrue(System.nanoTime() < end, where + ": a writing is thought to go on");
      LockSupport.parkNanos(AGAIN_NANOS);
    }
  }

  /** A server that died before it sent anything keeps others from writing a little longer. */
  private static JsonObject appliedWhenFree(Subject subject, String order) {
    long end = System.nanoTime() + OVER_NANOS;
    while (true) {
      try {
        return script.post(subject.path() + "/reconciliation/apply", order);
      } catch (IllegalStateException refused) {
        if (System.nanoTime() > end || !refused.getMessage().contains("was cut off less than")) {
          throw refused;
        }
        LockSupport.parkNanos(AGAIN_NANOS);
      }
    }
  }

  private static boolean goesOn(Subject subject) {
    JsonArray writes = script.get(subject.path() + "/table/writes").getAsJsonArray("items");
    return writes.asList().stream()
        .anyMatch(write -> write.getAsJsonObject().get("state").getAsString().equals("sending"));
  }

  private static boolean same(BigDecimal one, BigDecimal other) {
    return one != null && other != null && one.subtract(other).abs().compareTo(SAME) < 0;
  }

  private static void behave(Subject subject, String json) {
    String machine = subject.machine.toLowerCase(Locale.ROOT);
    journey.shop.send(machine, "PUT", "/behaviour", json);
  }

  /** Some places of the machine, brought in step, and what they hold. */
  private Map<String, BigDecimal> inStep(Subject subject) {
    JsonObject seen = script.get(subject.path() + "/reconciliation");
    Set<String> open = new HashSet<>();
    List<String> places = planned(seen, subject.size);
    places.stream().filter(place -> !state(seen, place).equals("in step")).forEach(open::add);
    if (!open.isEmpty()) {
      JsonObject applied = script.post(subject.path() + "/reconciliation/apply", order(seen, open));
      assertEquals("in step", applied.get("state").getAsString(), applied.toString());
    }
    Map<String, BigDecimal> held = held(subject);
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

  /** Measures each tool so much longer than it was. */
  private Map<String, BigDecimal> measuredAnew(
      Subject subject, Map<String, BigDecimal> before, BigDecimal step) {
    Map<String, BigDecimal> after = new TreeMap<>();
    JsonArray plan = script.get(subject.path()).getAsJsonArray("plan");
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
        BigDecimal longer = before.get(place).add(step);
        sizes.addProperty(subject.size, longer.toPlainString());
        JsonObject order = new JsonObject();
        order.addProperty("toolId", planned.get("toolId").getAsLong());
        order.add("libraryId", planned.get("libraryId"));
        order.add("sizes", sizes);
        order.addProperty("allow", true);
        script.put(subject.path() + "/plan/" + place, order.toString());
        after.put(place, longer);
      }
    }
    assertTrue(after.size() > 1, subject + " has no planned tools: " + before);
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

  /** What the control holds now, mm; no tool stands in two places. */
  private Map<String, BigDecimal> held(Subject subject) {
    Map<String, BigDecimal> held = new TreeMap<>();
    Set<String> tools = new HashSet<>();
    JsonObject seen = script.get(subject.path() + "/reconciliation");
    boolean inches = seen.get("unit").getAsString().equals("in");
    for (JsonElement item : seen.getAsJsonArray("items")) {
      JsonObject row = item.getAsJsonObject();
      JsonObject control = row.getAsJsonObject("control");
      if (control.has("tool")) {
        String sister = control.has("sister") ? control.get("sister").getAsString() : "";
        assertTrue(tools.add(control.get("tool").getAsString() + " " + sister), row.toString());
      }
      if (control.has(subject.size)) {
        BigDecimal shown = new BigDecimal(control.get(subject.size).getAsString());
        held.put(row.get("place").getAsString(), inches ? shown.multiply(INCH) : shown);
      }
    }
    return held;
  }
}
