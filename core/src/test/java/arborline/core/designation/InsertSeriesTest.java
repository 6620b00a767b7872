package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The whole metric series, letter by letter and size by size. */
class InsertSeriesTest {

  private static List<String> series() {
    List<String> all = new ArrayList<>();
    for (InsertShape shape : InsertShape.values()) {
      if (shape.regular() && !shape.round()) {
        for (String size : InsertSize.metricCodes(shape)) {
          for (String thickness : Thickness.metricCodes()) {
            for (String corner : List.of("02", "04", "08", "12", "16", "24")) {
              all.add("%sNMG %s%s%s".formatted(shape, size, thickness, corner));
            }
          }
        }
      }
    }
    return all;
  }

  @Test
  void everyOneIsReadAndWrittenAsItWas() {
    for (String designation : series()) {
      Decoded<InsertDesignation> read = InsertReader.read(designation);
      assertTrue(read.valid(), designation);
      assertEquals(designation, read.value().orElseThrow().metric().orElseThrow());
    }
    assertTrue(series().size() > 5000);
  }

  /** The code of a size is its edge length, rounded to a tenth and cut. */
  @Test
  void theEdgeLengthIsWhatTheCodeSays() {
    for (String designation : series()) {
      String code = designation.substring(5, 7);
      Map<String, String> properties =
          InsertProperties.of(InsertReader.read(designation).value().orElseThrow());
      BigDecimal tenth =
          new BigDecimal(properties.get("L")).setScale(1, java.math.RoundingMode.HALF_UP);
      if (Character.isDigit(code.charAt(0))) {
        assertEquals(Integer.parseInt(code), tenth.intValue(), designation);
      }
    }
  }

  @Test
  void whatTheInchSystemHasComesBackFromIt() {
    int converted = 0;
    for (String designation : series()) {
      InsertDesignation metric = InsertReader.read(designation).value().orElseThrow();
      if (metric.inch().isPresent()) {
        Decoded<InsertDesignation> inch = InsertReader.read(metric.inch().get());
        if (inch.valid()) {
          converted++;
          assertEquals(metric.size(), inch.value().orElseThrow().size(), designation);
          assertEquals(metric.thickness(), inch.value().orElseThrow().thickness(), designation);
        }
      }
    }
    assertTrue(converted > 3000, converted + " of " + series().size());
  }
}
