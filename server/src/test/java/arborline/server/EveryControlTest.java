package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** Read, compare, write, prove, misbehave, recover: the same for controls of every dialect. */
class EveryControlTest extends ControlTest {

  @ParameterizedTest
  @EnumSource(ControlSubject.class)
  void aNewMeasureGoesOutAndIsProved(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    Api.Answer dry =
        lead.post(
            subject.path() + "/reconciliation/dry-run",
            Api.body("read", compared.number("read"), "decisions", Map.of(subject.place, "send")));
    String digits = sizes.get(subject.field).replaceAll("0+$", "");
    assertTrue(dry.at("files").toString().contains(digits), dry.body().toString());
    Api.Answer applied = send(subject);
    assertEquals("in step", applied.text("state"), applied.body().toString());
    JsonNode after = row(subject, compare(subject));
    assertEquals("in step", after.get("state").asString());
    String shown = after.get("control").get(subject.field).asString();
    assertEquals(0, new BigDecimal(sizes.get(subject.field)).compareTo(new BigDecimal(shown)));
  }

  @ParameterizedTest
  @EnumSource(ControlSubject.class)
  void whatTheOperatorMeasuredIsTakenAndNotOverwrittenUnseen(ControlSubject subject)
      throws IOException {
    Map<String, String> sizes = alone(subject);
    Api.Answer seen = compare(subject);
    String other =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal("0.125")).toPlainString();
    operator(subject, other);
    assertEquals(409, apply(subject, seen, Map.of()).status());
    Api.Answer compared = compare(subject);
    assertEquals("measured-at-control", row(subject, compared).get("why").asString());
    Api.Answer taken = apply(subject, compared, Map.of(subject.place, "take"));
    assertEquals("in step", taken.text("state"), taken.body().toString());
    JsonNode after = row(subject, compare(subject));
    assertEquals("in step", after.get("state").asString(), after.toString());
    String kept = after.get("plan").get(subject.field).asString();
    assertEquals(0, new BigDecimal(other).compareTo(new BigDecimal(kept)));
  }

  /** Everybody gets an answer, and a change is kept once. */
  @Test
  void twentyWhoReadAtOnceDisturbNobody() throws IOException {
    Map<String, String> sizes = alone(ControlSubject.X1);
    String other = new BigDecimal(sizes.get("length")).add(BigDecimal.ONE).toPlainString();
    long before = changes();
    operator(ControlSubject.X1, other);
    List<Callable<Api.Answer>> readings =
        Collections.nCopies(20, (Callable<Api.Answer>) () -> compare(ControlSubject.X1));
    try (ExecutorService threads = Executors.newFixedThreadPool(20)) {
      for (Future<Api.Answer> answer : threads.invokeAll(readings)) {
        assertEquals(
            "measured-at-control", row(ControlSubject.X1, answer.get()).get("why").asString());
      }
    } catch (InterruptedException | ExecutionException failed) {
      throw new AssertionError(failed);
    }
    assertEquals(before + 1, changes());
  }

  private long changes() {
    return jdbc.sql("select count(*) from table_change where machine_id = 'X1'")
        .query(Long.class)
        .single();
  }

  /** What changed where, when it was seen, and who wrote it. */
  @ParameterizedTest
  @EnumSource(ControlSubject.class)
  void whatChangedAtTheControlIsKept(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    String other =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal("0.125")).toPlainString();
    operator(subject, other);
    compare(subject);
    JsonNode changed = newest(subject);
    assertEquals(subject.field, changed.get("field").asString());
    assertEquals(
        0, new BigDecimal(other).compareTo(new BigDecimal(changed.get("became").asString())));
    assertTrue(changed.get("by").isNull(), "at the machine");
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    assertEquals("both-changed", row(subject, compared).get("why").asString());
    apply(subject, compared, Map.of(subject.place, "send"));
    JsonNode written = newest(subject);
    assertEquals(changed.get("became").asString(), written.get("was").asString());
    assertTrue(written.get("by").asString().contains("lead"), written.toString());
  }

  /** Whoever happens to read the control first: the change is his who sent it. */
  @ParameterizedTest
  @EnumSource(value = ControlSubject.class, mode = EnumSource.Mode.EXCLUDE, names = "M3")
  void whatWasSentIsTheSendersThoughItWasNotReadBack(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    try {
      behave(subject, "{\"silentAfterFiles\": %d}".formatted(files(subject, compared)));
      Api.Answer sent = apply(subject, compared, Map.of(subject.place, "send"));
      assertEquals("not read back", sent.text("state"), sent.body().toString());
    } finally {
      behave(subject, "{}");
    }
    compare(subject);
    assertTrue(newest(subject).get("by").asString().contains("lead"), newest(subject).toString());
    String other =
        new BigDecimal(sizes.get(subject.field)).add(new BigDecimal("0.5")).toPlainString();
    operator(subject, other);
    compare(subject);
    assertTrue(newest(subject).get("by").isNull(), newest(subject).toString());
  }

  private int files(ControlSubject subject, Api.Answer compared) {
    return lead.post(
            subject.path() + "/reconciliation/dry-run",
            Api.body("read", compared.number("read"), "decisions", Map.of(subject.place, "send")))
        .at("files")
        .size();
  }

  private JsonNode newest(ControlSubject subject) {
    Api.Answer history = lead.get(subject.path() + "/table/history?place=" + subject.place);
    assertEquals(200, history.status(), history.body().toString());
    return StreamSupport.stream(history.at("items").spliterator(), false)
        .filter(change -> change.get("field").asString().equals(subject.field))
        .findFirst()
        .orElseThrow();
  }

  static List<Arguments> unreadable() {
    return Stream.of(ControlSubject.values())
        .flatMap(subject ->
            List.of("offline", "garbage", "halfFile").stream()
                .map(fault -> Arguments.of(subject, fault)))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("unreadable")
  void whatCannotBeReadIsSaidAndWritesNothing(ControlSubject subject, String fault)
      throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    behave(subject, "{\"%s\":true}".formatted(fault));
    Api.Answer refused = compare(subject);
    assertEquals(502, refused.status(), refused.body().toString());
    assertTrue(refused.text("detail").contains(subject.name()), refused.text("detail"));
    assertEquals(502, apply(subject, compared, Map.of(subject.place, "send")).status());
    behave(subject, "{}");
    assertEquals("in step", send(subject).text("state"));
  }

  /** Nothing is ordered by the clock of a control; that it goes wrong is said. */
  @ParameterizedTest
  @EnumSource(
      value = ControlSubject.class,
      names = {"L1", "M3", "X1"})
  void aWrongClockIsSaidAndDisturbsNothing(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    behave(subject, "{\"clockMinutes\":-180}");
    assertEquals("in step", send(subject).text("state"));
    JsonNode watch = compare(subject).at("watch");
    assertTrue(Math.abs(watch.get("clockAheadSeconds").asLong() + 180 * 60) < 60, watch.toString());
    behave(subject, "{}");
    assertTrue(Math.abs(compare(subject).at("watch").get("clockAheadSeconds").asLong()) < 60);
  }

  static List<Arguments> refusing() {
    return Stream.of(ControlSubject.values())
        .flatMap(subject ->
            List.of(
                    "{\"refuseRegister\":%d}".formatted(subject.number),
                    "{\"protectedMemory\":true}",
                    "{\"cutAfterRows\":0}")
                .stream()
                .map(fault -> Arguments.of(subject, fault)))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("refusing")
  void whatIsNotTakenIsSaidAndDoingItAgainEndsInStep(ControlSubject subject, String fault)
      throws IOException {
    Map<String, String> sizes = alone(subject);
    measure(subject, sizes, "0.25");
    Api.Answer compared = compare(subject);
    behave(subject, fault);
    Api.Answer interrupted = apply(subject, compared, Map.of(subject.place, "send"));
    assertEquals(200, interrupted.status(), interrupted.body().toString());
    assertFalse(interrupted.text("state").equals("in step"), interrupted.body().toString());
    assertEquals(subject.place, interrupted.at("notWritten").get(0).asString());
    if (!fault.contains("cut")) {
      assertTrue(interrupted.text("problem").contains("ALARM 0"), interrupted.text("problem"));
    }
    behave(subject, "{}");
    assertEquals("in step", send(subject).text("state"));
    assertEquals("in step", row(subject, compare(subject)).get("state").asString());
  }
}
