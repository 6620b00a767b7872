package arborline.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UnitPairTest {

  private static UnitPair of(String metric) {
    Unit unit = Unit.named(metric).orElseThrow();
    return UnitPair.all().stream().filter(pair -> pair.metric() == unit).findFirst().orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "mm, in, 25.4",
    "um, thou, 25.4",
    "m/min, ft/min, 0.3048",
    "mm/min, in/min, 25.4",
    "kg, lb, 0.45359237",
    "cm3/min, in3/min, 16.387064"
  })
  void eachMetricUnitHasItsExactInchUnit(String metric, String inch, BigDecimal factor) {
    assertEquals(inch, of(metric).inch().code());
    assertEquals(0, factor.compareTo(of(metric).factor()));
  }

  @Test
  void aPairMeasuresOneKindAndNoUnitIsPairedTwice() {
    assertTrue(
        UnitPair.all().stream().allMatch(pair -> pair.metric().kind() == pair.inch().kind()));
    assertEquals(
        UnitPair.all().size(), UnitPair.all().stream().map(UnitPair::metric).distinct().count());
  }
}
