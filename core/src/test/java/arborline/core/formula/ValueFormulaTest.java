package arborline.core.formula;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ValueFormulaTest {

  private static final Map<String, Quantity> VALUES =
      Map.of(
          "DC", Quantity.of("10", Unit.MILLIMETRE),
          "APMX", Quantity.of("22", Unit.MILLIMETRE),
          "OAL", Quantity.of("3", Unit.INCH),
          "SIG", Quantity.of("118", Unit.DEGREE),
          "NOF", Quantity.of("4", Unit.ONE),
          "FZ", Quantity.of("0.05", Unit.MILLIMETRE),
          "N", Quantity.of("8000", Unit.REVOLUTION_PER_MINUTE),
          "VC", Quantity.of("251.2", Unit.METRE_PER_MINUTE),
          "TPI", Quantity.of("20", Unit.THREADS_PER_INCH),
          "WT", Quantity.of("1.2", Unit.KILOGRAM));

  private static Optional<Quantity> value(String symbol) {
    return Optional.ofNullable(VALUES.get(symbol));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "APMX + 2 | mm | 24",
        "apmx+2*dc | mm | 42",
        "(APMX + 2) * 2 | mm | 48",
        "-APMX + 30 | mm | 8",
        "min(APMX, 3 * DC, 25) | mm | 22",
        "max(APMX; 1 in) | mm | 25.4",
        "DC / 3 | mm | 3.333333",
        "OAL - 10 | mm | 66.2",
        "OAL - 0.5 | in | 2.5",
        "DC | in | 0.393701",
        "NOF * FZ * N | mm/min | 1600",
        "VC / (3.14 * DC) | 1/min | 8000",
        "1 / TPI | mm | 1.27",
        "DC / FZ | 1 | 200",
        "SIG / 2 | deg | 59",
        "2 * 3 | mm | 6",
        "WT * 2 | kg | 2.4",
        "= APMX + .5 | mm | 22.5"
      })
  void comesTo(String text, String unit, String result) {
    ValueFormula formula = ValueFormula.read(text).formula().orElseThrow();
    Unit wanted = Unit.named(unit).orElseThrow();
    ValueFormula.Result worked = formula.evaluate(ValueFormulaTest::value, wanted);
    assertEquals("", worked.fault());
    assertEquals(result, worked.quantity().orElseThrow().text());
    assertEquals(wanted, worked.quantity().orElseThrow().unit());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "APMX + SIG | an angle cannot be added to a length",
        "APMX - NOF | a count cannot be taken from a length",
        "APMX * DC | the result is mm^2, not a length",
        "SIG | the result is an angle, not a length",
        "min(DC, SIG) | an angle cannot be compared with a length",
        "WT * DC | the result is a mass, not a length",
        "DC / (APMX - 22) | it divides by zero",
        "DC * 999999999 * 999999999 | it comes to more than a thousand million",
        "LU + 1 | LU has no number"
      })
  void comesToNothing(String text, String fault) {
    ValueFormula formula = ValueFormula.read(text).formula().orElseThrow();
    ValueFormula.Result worked = formula.evaluate(ValueFormulaTest::value, Unit.MILLIMETRE);
    assertTrue(worked.quantity().isEmpty());
    assertEquals(fault, worked.fault());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "APMX + | the formula ends too early",
        "(APMX + 2 | a closing bracket is missing",
        "APMX 2 | '2' does not belong before character 7",
        "APMX + 2,5 | write the decimal point: a comma parts values in min and max",
        "sin(SIG) | 'SIN' is no function: min and max are",
        "APMX $ 2 | '$' at character 6 is not part of a formula",
        "`` | the formula ends too early"
      })
  void isRefused(String text, String fault) {
    ValueFormula.Read read = ValueFormula.read(text == null ? "" : text);
    assertTrue(read.formula().isEmpty());
    assertEquals(fault, read.fault());
  }

  @Test
  void nestingAndLengthAreBounded() {
    assertTrue(ValueFormula.read("(".repeat(100) + "1" + ")".repeat(99)).fault().contains("30"));
    assertTrue(ValueFormula.read("1+".repeat(200) + "1").fault().contains("200"));
  }

  @Test
  void keepsWhatWasWritten() {
    ValueFormula formula = ValueFormula.read(" = APMX  + 2 ").formula().orElseThrow();
    assertEquals("APMX  + 2", formula.text());
    assertEquals(List.of("APMX"), List.copyOf(formula.symbols()));
  }

  @Test
  void sourcesComeFirstAndCirclesAreNamed() {
    Map<String, ValueFormula> formulas = new TreeMap<>();
    formulas.put("LCF", ValueFormula.read("LU + 1").formula().orElseThrow());
    formulas.put("LU", ValueFormula.read("APMX + 2").formula().orElseThrow());
    assertEquals(List.of("LU", "LCF"), FormulaOrder.of(formulas).order());

    formulas.put("APMX", ValueFormula.read("LCF - 3").formula().orElseThrow());
    FormulaOrder circular = FormulaOrder.of(formulas);
    assertEquals(List.of(), circular.order());
    assertEquals(
        "APMX follows LCF, LCF follows LU, LU follows APMX",
        FormulaOrder.text(circular.circles().getFirst()));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "APMX + 2 | APMX + 2 mm",
        "(APMX + 2) * 2 | (APMX + 2 mm) * 2",
        "APMX - (DC + 2 * 3) / 2 | APMX - (DC + 2 mm * 3) / 2",
        "max(APMX, 20, 2 * 10 + 1) | max(APMX, 20 mm, 2 mm * 10 + 1 mm)",
        "10 | 10 mm",
        "(NOF + 1) * DC | (NOF + 1) * DC",
        "APMX+1 in | APMX+1 in",
        "DC / 2 | DC / 2",
        "ZZ + 1 | ZZ + 1"
      })
  void aBareNumberIsGivenTheUnitThatItWasMeantIn(String formula, String stated) {
    ValueFormula read = ValueFormula.read(formula).formula().orElseThrow();
    ValueFormula named = read.stating(Unit.MILLIMETRE, symbol -> value(symbol).map(Quantity::unit));
    assertEquals(stated, named.text());
    assertEquals(
        read.evaluate(ValueFormulaTest::value, Unit.MILLIMETRE),
        named.evaluate(ValueFormulaTest::value, Unit.MILLIMETRE));
  }
}
