package arborline.core.cutting.formula;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;

class FormulasTest {

  private static Inputs inputs(String text) {
    Map<String, Double> numbers = new LinkedHashMap<>();
    List<Segment> segments = new ArrayList<>();
    for (String pair : text.split(";")) {
      String[] sides = pair.split("=");
      if (!sides[0].equals("segs")) {
        numbers.put(sides[0], Double.valueOf(sides[1]));
        continue;
      }
      for (String segment : sides[1].split("\\|")) {
        String[] parts = segment.split(":");
        segments.add(
            new Segment(
                Double.parseDouble(parts[0]),
                Double.parseDouble(parts[1]),
                Double.parseDouble(parts[2]),
                Double.parseDouble(parts[3])));
      }
    }
    return new Inputs(numbers, segments);
  }

  @ParameterizedTest(name = "{0} {1} {3}")
  @CsvFileSource(resources = "/vectors/cutting.csv", numLinesToSkip = 1)
  void agreesWithWorkedCases(ArgumentsAccessor row) {
    Formula formula = Formulas.named(row.getString(1)).orElseThrow();
    Inputs inputs = inputs(row.getString(3));
    assertEquals(row.getString(6), formula.unit());
    if (row.getString(4).equals("no")) {
      assertEquals(row.getString(9), formula.obstacle(inputs).orElseThrow());
      assertThrows(IllegalArgumentException.class, () -> formula.apply(inputs));
      return;
    }
    double expected = row.getDouble(5);
    assertEquals(
        expected,
        formula.apply(inputs),
        Math.max(row.getDouble(7) * Math.abs(expected), row.getDouble(8)));
  }

  @Test
  void aMissingInputIsNamed() {
    assertEquals("D is missing", SpindleSpeed.FORMULA.obstacle(Inputs.of("vc", 100)).orElseThrow());
  }

  @Test
  void noFormulaTakesWhatIsNoNumber() {
    for (Formula formula : Formulas.all()) {
      Map<String, Double> numbers = new LinkedHashMap<>();
      formula.needs().forEach(name -> numbers.put(name, Double.NaN));
      assertTrue(formula.obstacle(new Inputs(numbers, List.of())).isPresent(), formula.id());
    }
  }

  /** A cone as thin as a cylinder bends like one; twice the diameter is sixteen times as stiff. */
  @Test
  void bendingFollowsTheFourthPowerOfTheDiameter() {
    double thin = Deflection.of(100, List.of(new Segment(50, 10, 10, 600)));
    assertEquals(thin, Deflection.of(100, List.of(new Segment(50, 10, 10.0000001, 600))), 1e-4);
    assertEquals(thin / 16, Deflection.of(100, List.of(new Segment(50, 20, 20, 600))), 1e-9);
    assertEquals(
        thin,
        Deflection.of(100, List.of(new Segment(20, 10, 10, 600), new Segment(30, 10, 10, 600))),
        1e-9);
  }

  @Test
  void feedAndChipThicknessBelongTogether() {
    double feed = FeedForChip.FORMULA.apply("h", 0.04, "ae", 1.5, "D", 12);
    assertEquals(0.04, LargestChipAtSide.FORMULA.apply("fz", feed, "ae", 1.5, "D", 12), 1e-12);
  }
}
