package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;

/** Tools that change places, numbers or go, at controls of every dialect. */
class MovedAtControlTest extends ControlTest {

  /** Sends every place that is not in step; afterwards the control holds just this. */
  private void sendAll(ControlSubject subject, Map<String, String> held) {
    Api.Answer compared = compare(subject);
    Map<String, String> decisions = new TreeMap<>();
    compared
        .at("items")
        .forEach(row -> {
          if (!row.get("state").asString().equals("in step")) {
            decisions.put(row.get("place").asString(), "send");
          }
        });
    Api.Answer applied = apply(subject, compared, decisions);
    assertEquals("in step", applied.text("state"), applied.body().toString());
    Api.Answer after = compare(subject);
    Map<String, String> shown = new TreeMap<>();
    after
        .at("items")
        .forEach(row -> {
          assertEquals("in step", row.get("state").asString(), row.toString());
          if (row.get("held").asBoolean()) {
            JsonNode size = row.get("control").get(subject.field);
            shown.put(
                row.get("place").asString(),
                new BigDecimal(size.asString()).stripTrailingZeros().toPlainString());
          }
        });
    Map<String, String> expected = new TreeMap<>();
    held.forEach((place, size) ->
        expected.put(place, new BigDecimal(size).stripTrailingZeros().toPlainString()));
    assertEquals(expected, shown, after.body().toString());
  }

  @ParameterizedTest
  @EnumSource(ControlSubject.class)
  void aToolThatMovedIsInItsNewPlaceOnly(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    clear(subject, subject.place);
    plan(subject, subject.otherPlace, subject.code, sizes);
    sendAll(subject, Map.of(subject.otherPlace, sizes.get(subject.field)));
  }

  @ParameterizedTest
  @EnumSource(ControlSubject.class)
  void aToolThatIsNoLongerPlannedIsTakenOffTheControl(ControlSubject subject) throws IOException {
    alone(subject);
    clear(subject, subject.place);
    sendAll(subject, Map.of());
  }

  @ParameterizedTest
  @EnumSource(ControlSubject.class)
  void twoToolsThatChangePlacesTakeTheirSizesAlong(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    Map<String, String> others = measured(subject, subject.otherPlace);
    plan(subject, subject.otherPlace, subject.otherCode, others);
    sendAll(
        subject,
        Map.of(
            subject.place,
            sizes.get(subject.field),
            subject.otherPlace,
            others.get(subject.field)));
    clear(subject, subject.place);
    clear(subject, subject.otherPlace);
    plan(subject, subject.place, subject.otherCode, others);
    plan(subject, subject.otherPlace, subject.code, sizes);
    sendAll(
        subject,
        Map.of(
            subject.place,
            others.get(subject.field),
            subject.otherPlace,
            sizes.get(subject.field)));
  }

  @ParameterizedTest
  @EnumSource(
      value = ControlSubject.class,
      names = {"L1", "M3", "X1"})
  void aToolWithAnotherNumberKeepsItsSizes(ControlSubject subject) throws IOException {
    Map<String, String> sizes = alone(subject);
    int number = subject == ControlSubject.L1 ? 650 : 77;
    assertEquals(200, numbered(subject, number).status());
    sendAll(subject, Map.of(subject.place, sizes.get(subject.field)));
  }
}
