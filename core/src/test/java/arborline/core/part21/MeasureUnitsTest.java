package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Units of exchange files by their factors, whatever they are called. */
class MeasureUnitsTest {

  private static Optional<MeasureUnit> unit(String... statements) throws UnreadableFileException {
    String text =
        "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('S'));\nENDSEC;\nDATA;\n%s\nENDSEC;\nEND-ISO-10303-21;\n"
            .formatted(String.join("\n", statements));
    Part21Document document = Part21Document.read(text.getBytes(StandardCharsets.UTF_8));
    return new MeasureUnits(document).of(1);
  }

  private static String of(String amount, Optional<MeasureUnit> unit) {
    MeasureUnit known = unit.orElseThrow();
    return known.amount(new BigDecimal(amount)).stripTrailingZeros().toPlainString()
        + " "
        + known.unit().code();
  }

  @ParameterizedTest
  @CsvSource({
    "$, METRE, 12000 mm",
    ".MILLI., METRE, 12 mm",
    ".CENTI., METRE, 120 mm",
    ".MICRO., METRE, 0.012 mm",
    ".KILO., GRAM, 12 kg",
    "$, GRAM, 0.012 kg",
    ".MEGA., PASCAL, 120 bar",
    ".KILO., WATT, 12 kW"
  })
  void unitsOfTheSystemWithTheirPrefixes(String prefix, String name, String twelve)
      throws UnreadableFileException {
    String statement = "#1=(NAMED_UNIT(*)SI_UNIT(%s,.%s.));".formatted(prefix, name);
    assertEquals(twelve, of("12", unit(statement)));
  }

  @Test
  void aRadianIsSoManyDegrees() throws UnreadableFileException {
    Optional<MeasureUnit> radian = unit("#1=(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.));");
    assertEquals("90 deg", of("1.570796326794896619", radian));
  }

  /** What it is called does not count: files call it INCH, IN or nothing. */
  @ParameterizedTest
  @CsvSource({"'INCH', 25.4", "'ZOLL', 2.54E1", "'', 25.4"})
  void whatIsSoManyMillimetresIsAnInch(String name, String factor) throws UnreadableFileException {
    Optional<MeasureUnit> inch =
        unit(
            "#1=(CONVERSION_BASED_UNIT('%s',#2)LENGTH_UNIT()NAMED_UNIT(*));".formatted(name),
            "#2=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(%s),#3);".formatted(factor),
            "#3=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.));");
    assertEquals("0.5 in", of("0.5", inch));
  }

  @Test
  void anInchByTheMetreIsOneAsWell() throws UnreadableFileException {
    Optional<MeasureUnit> inch =
        unit(
            "#1=(CONVERSION_BASED_UNIT('INCH',#2)LENGTH_UNIT()NAMED_UNIT(*));",
            "#2=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(0.0254),#3);",
            "#3=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT($,.METRE.));");
    assertEquals("0.5 in", of("0.5", inch));
  }

  @Test
  void aDegreeOfManyDigitsIsADegree() throws UnreadableFileException {
    Optional<MeasureUnit> degree =
        unit(
            "#1=(CONVERSION_BASED_UNIT('DEGREE',#2)NAMED_UNIT(*)PLANE_ANGLE_UNIT());",
            "#2=PLANE_ANGLE_MEASURE_WITH_UNIT(PLANE_ANGLE_MEASURE(0.017453292519943),#3);",
            "#3=(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.));");
    assertEquals("118 deg", of("118", degree));
  }

  @Test
  void aFootIsTwelveInches() throws UnreadableFileException {
    Optional<MeasureUnit> foot =
        unit(
            "#1=(CONVERSION_BASED_UNIT('FOOT',#2)LENGTH_UNIT()NAMED_UNIT(*));",
            "#2=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(12.),#3);",
            "#3=(CONVERSION_BASED_UNIT('INCH',#4)LENGTH_UNIT()NAMED_UNIT(*));",
            "#4=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(25.4),#5);",
            "#5=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.));");
    assertEquals("12 in", of("1", foot));
  }

  @Test
  void aUnitThatIsMadeOfItselfIsNone() throws UnreadableFileException {
    assertTrue(
        unit(
                "#1=(CONVERSION_BASED_UNIT('LOOP',#2)LENGTH_UNIT()NAMED_UNIT(*));",
                "#2=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(2.),#1);")
            .isEmpty());
  }

  @Test
  void whatMeasuresNothingOfATool() throws UnreadableFileException {
    assertTrue(unit("#1=(NAMED_UNIT(*)SI_UNIT($,.CANDELA.));").isEmpty());
    assertTrue(unit("#2=(NAMED_UNIT(*)SI_UNIT($,.METRE.));").isEmpty());
    assertEquals(Unit.ONE, unit("#1=RATIO_UNIT(*);").orElseThrow().unit());
  }
}
