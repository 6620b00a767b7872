package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Sample;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class RestatedTest {

  private static final Optional<Unit> INCH = Optional.of(Unit.INCH);
  private static final Optional<Unit> MILLIMETRE = Optional.of(Unit.MILLIMETRE);

  private static String restated(String amount, Unit unit, Optional<Unit> target) {
    return Restated.of(Quantity.of(amount, unit), target).text();
  }

  @Test
  void lengthsAreStatedInTheUnitThatIsAskedFor() {
    assertEquals("0.5", restated("12.7", Unit.MILLIMETRE, INCH));
    assertEquals("12.7", restated("0.5", Unit.INCH, MILLIMETRE));
  }

  @Test
  void whatIsAskedForAlreadyOrIsNoLengthStaysAsWritten() {
    assertEquals("12.70", restated("12.70", Unit.MILLIMETRE, MILLIMETRE));
    assertEquals("1.20", restated("1.20", Unit.KILOGRAM, INCH));
    assertEquals("12.70", restated("12.70", Unit.MILLIMETRE, Optional.empty()));
  }

  private static List<String> losses(String tool, Optional<Unit> unit) {
    LossReport report = new LossReport();
    new Losses(
            BundleFormats.named("json").orElseThrow(),
            new WriteOptions("Shop", Contents.of(List.of()), unit),
            report)
        .of(new Bundle(Sample.tool(tool), OptionalInt.empty()));
    return report.losses().stream().map(loss -> loss.symbol() + " " + loss.how()).toList();
  }

  @Test
  void onlyWhatIsRoundedIsALoss() {
    assertEquals(List.of(), losses("CODE=A1 CLASS=end-mill-flat DC=12.7", INCH));
    assertEquals(List.of(), losses("CODE=A1 CLASS=end-mill-flat DC=10 NOF=4", MILLIMETRE));
    List<String> said = losses("CODE=A1 CLASS=end-mill-flat DC=10 NOF=4", INCH);
    assertEquals(1, said.size());
    assertEquals("DC 10 mm is rounded to", said.getFirst().substring(0, 22));
  }

  @Test
  void aFormulaGoesOnMeaningTheUnitThatItWasWrittenIn() {
    Cell cell = new Cell("24", Optional.of(Unit.MILLIMETRE), false, Optional.of("APMX + 2"));
    assertEquals(Optional.of("APMX + 2 mm"), Restated.of(cell, INCH).formula());
    assertEquals(Optional.of("APMX + 2"), Restated.of(cell, MILLIMETRE).formula());
  }
}
