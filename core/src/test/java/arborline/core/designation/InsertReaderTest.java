package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class InsertReaderTest {

  @ParameterizedTest(name = "{0}")
  @CsvFileSource(resources = "/vectors/inserts.csv", numLinesToSkip = 1)
  void agreesWithWorkedCases(ArgumentsAccessor row) {
    String designation = row.getString(0) == null ? "" : row.getString(0);
    Decoded<InsertDesignation> decoded = InsertReader.read(designation);
    assertEquals(row.getString(2).equals("yes"), decoded.valid(), decoded.findings().toString());
    if (!decoded.valid()) {
      assertFalse(decoded.findings().getFirst().message().isBlank());
      return;
    }
    InsertDesignation insert = decoded.value().orElseThrow();
    Map<String, String> said = InsertProperties.of(insert);
    String[] symbols = {"SC", "EPSR", "AN", "TOLERANCE", "TYPE"};
    for (int i = 0; i < symbols.length; i++) {
      assertEquals(row.getString(3 + i), said.get(symbols[i]), symbols[i]);
    }
    String[] sizes = {"IC", "L", "S", "RE"};
    double tolerance = row.getDouble(14);
    for (int i = 0; i < sizes.length; i++) {
      if (row.getString(8 + i) == null) {
        assertFalse(said.containsKey(sizes[i]), sizes[i]);
      } else {
        assertEquals(row.getDouble(8 + i), Double.parseDouble(said.get(sizes[i])), tolerance);
      }
    }
    assertEquals(row.getString(12), said.get("EDGE"));
    assertEquals(row.getString(13), said.get("HAND"));
    assertEquals(row.getString(15), insert.converted().orElse("none"));
  }

  @ParameterizedTest
  @CsvSource({
    "CNMG 130408, 'position 5: size code 13 does not exist for shape C'",
    "YNMG 120408, 'position 1: shape letter Y is not defined; allowed are A B C D E H K L M O P R'",
    "CYMG 120408, 'position 2: clearance letter Y is not defined; allowed are A B C D E F G N O P'",
    "CNYG 120408, 'position 3: tolerance letter Y is not defined; allowed are A C E F G H J K L M N'",
    "CNMY 120408, 'position 4: type letter Y is not defined; allowed are A B C F G H J M N Q R T U'",
    "CNGA 120408E01525, 'position 9: hand 01525 is not defined'",
    "CNMG 128408, 'position 6: thickness code 84 is not defined'",
    "CNMG 120408XR, 'position 8: cutting-edge condition X is not defined'",
    "CNMG 120408EQ, 'position 9: hand Q is not defined'"
  })
  void saysWhichPositionIsWrong(String designation, String message) {
    assertTrue(InsertReader.read(designation).findings().getFirst().message().startsWith(message));
  }

  /** Width 0.15 mm at 25 degrees, as on inserts for hard turning. */
  @Test
  void theChamferOfAnEdgeIsReadAndConverted() {
    InsertDesignation insert = InsertReader.read("CNGA 120408 S01525R").value().orElseThrow();
    Map<String, String> said = InsertProperties.of(insert);
    assertEquals("S", said.get("EDGE"));
    assertEquals("0.15", said.get("BN"));
    assertEquals("25", said.get("GB"));
    assertEquals("R", said.get("HAND"));
    assertEquals("CNGA 432S01525R", insert.converted().orElseThrow());
    assertEquals("CNGA 120408S01525R", insert.metric().orElseThrow());
  }

  @Test
  void everyPairOfTheInchSeriesComesBack() {
    Random random = new Random(1832);
    String[] shapes = {"C", "D", "S", "T", "V", "E", "M"};
    String[] circles = {"2", "2.5", "3", "4", "5", "6", "8"};
    String[] thicknesses = {"1.5", "2", "2.5", "3", "4", "5", "6"};
    String[] corners = {"0.5", "1", "2", "3", "4"};
    for (int i = 0; i < 500; i++) {
      String inch =
          pick(shapes, random)
              + "NMA "
              + pick(circles, random)
              + pick(thicknesses, random)
              + pick(corners, random);
      Decoded<InsertDesignation> read = InsertReader.read(inch);
      if (read.valid()) {
        String metric = read.value().orElseThrow().metric().orElseThrow();
        assertEquals(
            inch, InsertReader.read(metric).value().orElseThrow().inch().orElseThrow(), metric);
      } else {
        assertTrue(read.findings().getFirst().message().contains("splits twice"), inch);
      }
    }
  }

  private static String pick(String[] from, Random random) {
    return from[random.nextInt(from.length)];
  }

  @Test
  void noTextEndsTheReaderOtherwise() {
    Random random = new Random(7);
    String letters = "ACDNMGTXR0123456789.M0- ";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder text = new StringBuilder();
      for (int length = random.nextInt(14); length > 0; length--) {
        text.append(letters.charAt(random.nextInt(letters.length())));
      }
      Decoded<InsertDesignation> read = InsertReader.read(text.toString());
      assertTrue(read.valid() || !read.findings().isEmpty(), text.toString());
    }
  }

  @Test
  void dimensionsGiveTheDesignation() {
    assertEquals(
        "CNMG 120408",
        InsertProperties.designate(
                InsertShape.C,
                'N',
                'M',
                'G',
                new BigDecimal("12.7"),
                new BigDecimal("4.76"),
                new BigDecimal("0.8"))
            .orElseThrow()
            .metric()
            .orElseThrow());
    assertTrue(
        InsertProperties.designate(
                InsertShape.C, 'N', 'M', 'G', BigDecimal.TEN, BigDecimal.ONE, BigDecimal.ONE)
            .isEmpty());
  }

  @Test
  void twoSidedTypeWithClearanceIsQuestioned() {
    assertEquals(
        "insert-type-clearance", InsertReader.read("CCMG 120408").findings().getFirst().code());
  }
}
