package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import tools.jackson.databind.JsonNode;

/** The worked cases of core, asked over HTTP as a script asks them. */
class ExplainVectorsTest extends ServerTest {

  private static final String VECTORS = "../core/src/test/resources/vectors/";

  private Api.Answer explain(String what, Map<String, String> parameters) {
    String query =
        parameters.entrySet().stream()
            .map(parameter -> parameter.getKey() + "=" + encoded(parameter.getValue()))
            .collect(Collectors.joining("&"));
    Api.Answer answer =
        lead.get(java.net.URI.create("/api/v1/explain/%s?%s".formatted(what, query)));
    assertEquals(200, answer.status(), query);
    return answer;
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
  }

  /** The first column; an empty one is asked as it is. */
  private static String given(ArgumentsAccessor row) {
    return row.getString(0) == null ? "" : row.getString(0);
  }

  private static boolean valid(Api.Answer answer) {
    return answer.at("valid").asBoolean();
  }

  private static void assertNear(String expected, JsonNode text, double tolerance) {
    if (expected != null) {
      assertEquals(Double.parseDouble(expected), Double.parseDouble(text.asString()), tolerance);
    }
  }

  @ParameterizedTest(name = "{0}")
  @CsvFileSource(files = VECTORS + "inserts.csv", numLinesToSkip = 1)
  void inserts(ArgumentsAccessor row) {
    Api.Answer answer = explain("insert", Map.of("designation", given(row)));
    boolean sound = row.getString(2).equals("yes");
    assertEquals(sound, valid(answer));
    if (!sound) {
      assertTrue(answer.at("findings").get(0).get("message").asString().length() > 10);
      return;
    }
    JsonNode properties = answer.at("properties");
    double tolerance = row.getDouble(14);
    assertEquals(row.getString(3), properties.get("SC").asString());
    assertNear(row.getString(8), properties.get("IC"), tolerance);
    assertNear(row.getString(9), properties.get("L"), tolerance);
    assertNear(row.getString(10), properties.get("S"), tolerance);
    assertNear(row.getString(11), properties.get("RE"), tolerance);
    String converted = row.getString(15);
    if (converted != null && !converted.equals("none")) {
      assertEquals(converted, answer.text("converted"));
    }
  }

  @ParameterizedTest(name = "{0}")
  @CsvFileSource(files = VECTORS + "holders.csv", numLinesToSkip = 1)
  void holders(ArgumentsAccessor row) {
    Api.Answer answer = explain("shank", Map.of("designation", row.getString(0)));
    assertEquals(row.getString(2).equals("yes"), valid(answer));
    if (valid(answer)) {
      JsonNode properties = answer.at("properties");
      assertNear(row.getString(6), properties.get("KAPR"), 1e-9);
      assertNear(row.getString(14), properties.get("LF"), 1e-9);
      assertNear(row.getString(16), properties.get("IC"), 1e-9);
      assertEquals(row.getString(9), properties.get("HAND").asString());
    }
  }

  @ParameterizedTest(name = "{0} {1}")
  @CsvFileSource(files = VECTORS + "connections.csv", numLinesToSkip = 1)
  void joints(ArgumentsAccessor row) {
    Map<String, String> sides = Map.of("a", row.getString(0), "b", row.getString(1));
    Api.Answer answer = explain("joint", sides);
    if (row.getString(4).equals("sure")) {
      assertEquals(row.getString(2).equals("yes"), answer.at("mates").asBoolean());
    }
    assertTrue(answer.text("why").length() > 3);
  }

  @ParameterizedTest(name = "{0} {1} {2} {3} {4} {5} {6} {7}")
  @CsvFileSource(files = VECTORS + "orientation.csv", numLinesToSkip = 1)
  void orientations(ArgumentsAccessor row) {
    String[] names = {"turretSide", "xAxis", "spindle", "zAxis", "mount", "work", "hand", "rake"};
    Map<String, String> parameters = new LinkedHashMap<>();
    for (int i = 0; i < names.length; i++) {
      parameters.put(names[i], row.getString(i));
    }
    Api.Answer answer = explain("orientation", parameters);
    assertEquals(row.getString(8).equals("yes"), valid(answer));
    if (valid(answer)) {
      assertEquals(row.getString(9), answer.text("contactSide"));
      assertEquals(row.getString(10), answer.text("feed"));
      assertEquals(row.getString(11), answer.text("spindle"));
      assertEquals(row.getInteger(12), answer.at("tip").get(0).asInt());
      assertEquals(row.getInteger(13), answer.at("tip").get(1).asInt());
      assertEquals(row.getInteger(14), answer.at("code").asInt());
    }
  }

  @ParameterizedTest(name = "{0} {1} {3}")
  @CsvFileSource(files = VECTORS + "cutting.csv", numLinesToSkip = 1)
  void cutting(ArgumentsAccessor row) {
    Map<String, String> parameters = new LinkedHashMap<>();
    parameters.put("quantity", row.getString(1));
    for (String pair : row.getString(3).split(";")) {
      parameters.put(pair.split("=")[0], pair.split("=")[1]);
    }
    Api.Answer answer = explain("cutting", parameters);
    assertEquals(row.getString(4).equals("yes"), valid(answer));
    assertEquals(row.getString(6), answer.text("unit"));
    if (valid(answer)) {
      double expected = row.getDouble(5);
      double tolerance = Math.max(row.getDouble(7) * Math.abs(expected), row.getDouble(8));
      assertEquals(expected, answer.at("value").asDouble(), tolerance);
    } else {
      assertEquals(row.getString(9), answer.at("findings").get(0).get("message").asString());
    }
  }

  @ParameterizedTest(name = "{0} {1} {2}")
  @CsvFileSource(files = VECTORS + "units.csv", numLinesToSkip = 1)
  void quantities(ArgumentsAccessor row) {
    Map<String, String> parameters = new LinkedHashMap<>();
    parameters.put("text", given(row));
    parameters.put("from", row.getString(1));
    parameters.put("to", row.getString(2));
    if (row.getString(6) != null) {
      parameters.put("decimals", row.getString(6));
    }
    Api.Answer answer = explain("quantity", parameters);
    assertEquals(row.getString(3).equals("yes"), valid(answer));
    if (valid(answer)) {
      assertEquals(row.getString(7), answer.text("rounded"));
      if (row.getString(5).equals("yes")) {
        assertEquals(
            0,
            new java.math.BigDecimal(row.getString(4))
                .compareTo(new java.math.BigDecimal(answer.text("exact"))));
      }
    } else {
      assertTrue(answer.text("why").length() > 3);
    }
  }
}
