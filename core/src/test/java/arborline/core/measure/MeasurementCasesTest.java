package arborline.core.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.quantity.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Worked cases of measured sizes: which are accepted, what is suspected, what is proposed. */
class MeasurementCasesTest {

  @TestFactory
  Stream<DynamicTest> everySizeIsJudgedAsWorkedOut() throws IOException {
    try (InputStream file = getClass().getResourceAsStream("/vectors/measuring.json")) {
      JsonNode cases = JsonMapper.builder().build().readTree(file).get("cases");
      List<DynamicTest> tests = new ArrayList<>();
      for (JsonNode worked : cases) {
        tests.add(
            DynamicTest.dynamicTest(
                worked.get("id").asString() + " " + worked.get("title").asString(),
                () -> check(worked.get("input"), worked.get("truth"))));
      }
      return tests.stream();
    }
  }

  private static void check(JsonNode input, JsonNode truth) {
    MeasurementVerdict verdict = MeasurementJudge.verdict(measurement(input)).orElseThrow();
    assertEquals(truth.get("accept").asBoolean(), verdict.accepted());
    assertEquals(text(truth, "suspected"), verdict.suspicion().map(Suspicion::code));
    Optional<BigDecimal> proposal = text(truth, "proposal").map(BigDecimal::new);
    assertEquals(proposal.isPresent(), verdict.proposal().isPresent());
    proposal.ifPresent(
        wanted -> assertEquals(0, wanted.compareTo(verdict.proposal().orElseThrow())));
  }

  private static Measurement measurement(JsonNode input) {
    return new Measurement(
        input.get("unit").asString().equals("in") ? Unit.INCH : Unit.MILLIMETRE,
        input.get("decimals").asInt(),
        MeasuredSize.valueOf(input.get("field").asString().toUpperCase(Locale.ROOT)),
        row(input.get("row")),
        StreamSupport.stream(input.get("neighbours").spliterator(), false)
            .map(MeasurementCasesTest::row)
            .toList(),
        StreamSupport.stream(input.get("before").spliterator(), false)
            .map(before ->
                new EnteredBefore(before.get("place").asString(), before.get("entered").asString()))
            .toList(),
        input.get("entered").asString());
  }

  private static MeasuredRow row(JsonNode row) {
    return new MeasuredRow(
        row.get("place").asString(),
        row.get("tool").asString(),
        text(row, "nominal").map(BigDecimal::new),
        text(row, "tolerance").map(BigDecimal::new),
        text(row, "last").map(BigDecimal::new),
        text(row, "since")
            .map(since -> SinceMeasured.valueOf(since.toUpperCase(Locale.ROOT).replace('-', '_')))
            .orElse(SinceMeasured.NOTHING));
  }

  private static Optional<String> text(JsonNode node, String member) {
    JsonNode held = node.get(member);
    return held == null || held.isNull() ? Optional.empty() : Optional.of(held.asString());
  }
}
