package arborline.core.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MeasurementJudgeTest {

  private static MeasuredRow row(String place, String nominal, SinceMeasured since) {
    return new MeasuredRow(
        place,
        "T-" + place,
        Optional.ofNullable(nominal).map(BigDecimal::new),
        Optional.empty(),
        Optional.of(new BigDecimal("123.918")),
        since);
  }

  private static Measurement length(
      String entered, String nominal, SinceMeasured since, EnteredBefore... before) {
    return new Measurement(
        Unit.MILLIMETRE,
        3,
        MeasuredSize.LENGTH,
        row("7", nominal, since),
        List.of(row("8", "96", SinceMeasured.NOTHING)),
        List.of(before),
        entered);
  }

  private static String suspected(Measurement measurement) {
    MeasurementVerdict verdict = MeasurementJudge.verdict(measurement).orElseThrow();
    return verdict.suspicion().map(Suspicion::code).orElse("plausible")
        + verdict.proposal().map(size -> " " + size.toPlainString()).orElse("");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "123.921      | plausible",
        "Ø123,92      | plausible",
        "123,921      | plausible",
        "4.8786 in    | plausible",
        "4 7/8 in     | plausible",
        "0            | zero",
        "0.000        | zero",
        "-123.921     | out-of-tolerance",
        "4.8786       | inch-for-mm 123.916",
        "123.921 in   | out-of-tolerance",
        "12.3921      | slipped-decimal 123.921",
        "123921       | slipped-decimal 123.921",
        "0.124        | slipped-decimal 124.000",
        "132.921      | digit-transposed 123.921",
        "213.92       | digit-transposed 123.920",
        "129.321      | digit-transposed 123.921",
        "95.7         | rows-exchanged",
        "141.8        | out-of-tolerance",
      })
  void whatMayHaveGoneWrongIsNamed(String entered, String suspected) {
    assertEquals(suspected, suspected(length(entered, "124", SinceMeasured.NOTHING)));
  }

  /** Since it was ground again it may be shorter by what is ground off, and never longer. */
  @ParameterizedTest
  @CsvSource({"120.6, plausible", "119.9, out-of-tolerance", "126.6, out-of-tolerance"})
  void aToolThatWasGroundAgainIsShorter(String entered, String suspected) {
    assertEquals(suspected, suspected(length(entered, "124", SinceMeasured.REGROUND)));
  }

  @Test
  void theOldValueInANewHolderIsARepeatedOne() {
    assertEquals(
        "repeated-last-value", suspected(length("123.918", "172.5", SinceMeasured.STACK_CHANGED)));
  }

  @Test
  void whatWasEnteredJustBeforeForAnotherRowIsARepeatedOne() {
    EnteredBefore other = new EnteredBefore("6", "109.34");
    EnteredBefore own = new EnteredBefore("7", "109.35");
    assertEquals(
        "repeated-last-value",
        suspected(length("109,340", "124", SinceMeasured.NOTHING, other, own)));
    assertEquals(
        "out-of-tolerance",
        suspected(
            length(
                "109.34", "124", SinceMeasured.NOTHING, other, new EnteredBefore("9", "118.2"))));
  }

  @Test
  void whatIsNotKnownCannotBeDoubted() {
    assertEquals("plausible", suspected(length("412.5", null, SinceMeasured.NOTHING)));
    assertEquals("zero", suspected(length("0", null, SinceMeasured.NOTHING)));
    assertEquals("out-of-tolerance", suspected(length("-5", null, SinceMeasured.NOTHING)));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "long", "1e3", "12 kg", "12.3.4"})
  void whatIsNoLengthHasNoVerdict(String entered) {
    assertTrue(MeasurementJudge.verdict(length(entered, "124", SinceMeasured.NOTHING)).isEmpty());
  }
}
