package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.solid.shape.Vector3;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Solids against the parameters from which they were built. */
class SolidVectorsTest {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  static Stream<Entry> solids() throws IOException {
    try (InputStream truth =
        SolidVectorsTest.class.getResourceAsStream("/vectors/step/truth.json")) {
      return StreamSupport.stream(JSON.readTree(truth).spliterator(), false).map(Entry::new);
    }
  }

  record Entry(JsonNode truth) {
    @Override
    public String toString() {
      return truth.get("name").asString();
    }

    SolidReading read() throws IOException {
      try (InputStream file =
          SolidVectorsTest.class.getResourceAsStream("/vectors/step/" + this + ".step")) {
        return SolidReading.read(file.readAllBytes());
      }
    }

    boolean revolved() {
      return truth.get("revolved").asBoolean();
    }

    double tolerance() {
      return truth.get("tolerance").asDouble();
    }
  }

  @ParameterizedTest
  @MethodSource("solids")
  void unitSchemaAndBodies(Entry entry) throws IOException {
    SolidReading read = entry.read();
    assertEquals(entry.truth().get("unit").asString(), read.unit());
    assertEquals(entry.truth().get("schema").asString(), read.schema());
    assertEquals(entry.truth().get("bodies").asInt(), read.bodies());
    assertEquals(entry.truth().has("open"), read.open());
  }

  @ParameterizedTest
  @MethodSource("solids")
  void turnedOrNot(Entry entry) throws IOException {
    SolidReading read = entry.read();
    assertEquals(entry.revolved(), read.turned().isPresent());
    assertEquals(entry.truth().has("ask"), read.axes().size() > 1);
    if (entry.truth().has("ask")) {
      List<Double> diameters =
          StreamSupport.stream(entry.truth().get("axes").spliterator(), false)
              .map(axis -> axis.get("d").asDouble())
              .toList();
      assertEquals(diameters, read.axes().stream().map(SolidAxis::diameter).toList());
    }
  }

  @ParameterizedTest
  @MethodSource("solids")
  void axisFromTheWorkpieceEnd(Entry entry) throws IOException {
    if (entry.revolved()) {
      SolidAxis axis = entry.read().turned().orElseThrow().axis();
      assertEquals(0, axis.direction().distance(vector(entry.truth().get("axisDirection"))), 1e-8);
      assertEquals(
          0, axis.point().distance(vector(entry.truth().get("axisPoint"))), entry.tolerance());
    }
  }

  private static Vector3 vector(JsonNode node) {
    return new Vector3(node.get(0).asDouble(), node.get(1).asDouble(), node.get(2).asDouble());
  }

  @ParameterizedTest
  @MethodSource("solids")
  void sizes(Entry entry) throws IOException {
    SolidReading read = entry.read();
    if (entry.revolved()) {
      TurnedShape shape = read.turned().orElseThrow();
      assertEquals(entry.truth().get("length").asDouble(), shape.length(), entry.tolerance());
      assertEquals(entry.truth().get("max_d").asDouble(), shape.diameter(), entry.tolerance());
      bore(entry, "bore", shape.bore());
      bore(entry, "boreMachineEnd", shape.boreMachineEnd());
      if (entry.truth().has("gauge")) {
        assertEquals(
            entry.truth().get("gauge").asDouble(), shape.gauge().orElseThrow(), entry.tolerance());
      }
    } else if (!entry.truth().get("box").isNull()) {
      assertEquals(0, read.box().orElseThrow().distance(vector(entry.truth().get("box"))), 0.002);
    }
  }

  private static void bore(Entry entry, String which, OptionalDouble read) {
    boolean asked =
        StreamSupport.stream(entry.truth().get("asked").spliterator(), false)
            .anyMatch(field -> field.asString().equals("bore"));
    if (asked) {
      JsonNode truth = entry.truth().get(which);
      assertEquals(!truth.isNull(), read.isPresent(), which);
      assertEquals(truth.isNull() ? 0 : truth.asDouble(), read.orElse(0), entry.tolerance(), which);
    }
  }

  @ParameterizedTest
  @MethodSource("solids")
  void contour(Entry entry) throws IOException {
    if (!entry.revolved()) {
      return;
    }
    List<ProfileElement> read = entry.read().turned().orElseThrow().profile();
    List<ProfileElement> truth = profile(entry.truth().get("profile"));
    assertTrue(distance(truth, points(read)) <= entry.tolerance(), () -> "read: " + read);
    assertTrue(distance(read, points(truth)) <= entry.tolerance(), () -> "read: " + read);
    long arcs = truth.stream().filter(ProfileElement.Arc.class::isInstance).count();
    assertEquals(arcs, read.stream().filter(ProfileElement.Arc.class::isInstance).count());
  }

  private static List<ProfileElement> profile(JsonNode truth) {
    List<ProfileElement> elements = new ArrayList<>();
    for (JsonNode node : truth) {
      elements.add(
          node.get(0).isNumber()
              ? new ProfileElement.Corner(node.get(0).asDouble(), node.get(1).asDouble())
              : new ProfileElement.Arc(
                  node.get(1).asDouble(),
                  node.get(2).asDouble(),
                  node.get(3).asDouble(),
                  node.get(4).asDouble(),
                  node.get(5).asDouble()));
    }
    return elements;
  }

  private static List<double[]> points(List<ProfileElement> profile) {
    return ContourDistance.points(profile);
  }

  private static double distance(List<ProfileElement> contour, List<double[]> points) {
    return ContourDistance.of(contour, points);
  }

  @ParameterizedTest
  @MethodSource("solids")
  void kindIsProposed(Entry entry) throws IOException {
    SolidReading read = entry.read();
    String kind = entry.truth().get("kindHint").asString();
    if (!entry.truth().has("parts")) {
      assertEquals(kind, read.proposals().getFirst().kind());
    } else {
      List<String> kinds =
          StreamSupport.stream(entry.truth().get("parts").spliterator(), false)
              .map(part -> part.get("kindHint").asString())
              .toList();
      assertEquals(
          kinds, read.parts().stream().map(part -> part.proposals().getFirst().kind()).toList());
    }
  }

  @ParameterizedTest
  @MethodSource("solids")
  void partsHaveTheirOwnContours(Entry entry) throws IOException {
    if (!entry.truth().has("parts")) {
      return;
    }
    List<SolidPart> parts = entry.read().parts();
    for (int i = 0; i < parts.size(); i++) {
      JsonNode truth = entry.truth().get("parts").get(i);
      TurnedShape shape = parts.get(i).turned().orElseThrow();
      assertEquals(truth.get("length").asDouble(), shape.length(), entry.tolerance());
      assertEquals(truth.get("max_d").asDouble(), shape.diameter(), entry.tolerance());
      assertEquals(
          0, shape.axis().point().distance(vector(truth.get("axisPoint"))), entry.tolerance());
      List<ProfileElement> profile = profile(truth.get("profile"));
      assertTrue(distance(profile, points(shape.profile())) <= entry.tolerance());
      assertTrue(distance(shape.profile(), points(profile)) <= entry.tolerance());
    }
  }

  @ParameterizedTest
  @MethodSource("solids")
  void sameWhicheverLineEndsAndOrder(Entry entry) throws IOException {
    try (InputStream file =
        SolidVectorsTest.class.getResourceAsStream("/vectors/step/" + entry + ".step")) {
      String text = new String(file.readAllBytes(), java.nio.charset.StandardCharsets.ISO_8859_1);
      SolidReading other =
          SolidReading.read(
              text.replace("\n", "\r\n").getBytes(java.nio.charset.StandardCharsets.ISO_8859_1));
      assertEquals(entry.read().turned(), other.turned());
      assertEquals(Arrays.asList(entry.read().box()), Arrays.asList(other.box()));
    }
  }
}
