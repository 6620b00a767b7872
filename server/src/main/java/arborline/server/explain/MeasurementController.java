package arborline.server.explain;

import arborline.core.measure.Measurement;
import arborline.core.measure.MeasurementJudge;
import arborline.core.measure.MeasurementVerdict;
import arborline.core.measure.MeasurementWords;
import arborline.core.measure.Suspicion;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether a size that was measured can be that of its tool, and what may have gone wrong. */
@RestController
@RequestMapping("/api/v1/explain")
class MeasurementController {

  /**
   * A verdict.
   *
   * @param accept false where it is questioned; that is not to say that it is wrong
   * @param suspected code of what may have gone wrong: {@code slipped-decimal}
   * @param proposal what it probably should be, in the unit of the machine
   * @param sentence the same in words
   */
  record MeasurementAnswer(
      boolean accept, @Nullable String suspected, @Nullable BigDecimal proposal, String sentence) {}

  @PostMapping("/measurement")
  MeasurementAnswer measurement(@RequestBody MeasurementInput input) {
    Measurement measurement = MeasurementInputReader.read(input);
    MeasurementVerdict verdict =
        MeasurementJudge.verdict(measurement)
            .orElseThrow(() ->
                Refusal.badRequest(
                    "entered: '%s' is no length; write a number such as 123.921 or 4 7/8 in"
                        .formatted(measurement.entered())));
    return new MeasurementAnswer(
        verdict.accepted(),
        verdict.suspicion().map(Suspicion::code).orElse(null),
        verdict.proposal().orElse(null),
        MeasurementWords.sentence(measurement, verdict));
  }
}
