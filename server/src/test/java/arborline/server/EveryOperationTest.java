package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sends to every operation of the API document every body and every parameter mutated, as every
 * role: nothing of it is a fault of the server, and what is refused is a problem document.
 */
class EveryOperationTest extends ServerTest {

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final List<String> METHODS = List.of("get", "post", "put", "patch", "delete");
  private static final String DEEP = "[".repeat(100_000);

  private JsonNode document;
  private Map<String, String> addresses;

  @BeforeEach
  void somethingOfEverything() {
    document = lead.get("/api/v1/openapi.json").body();
    long library = library("Every operation " + System.nanoTime());
    String code = "EO-" + library;
    long tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, "10"))
            .number("toolId");
    long delivery = lead.deliver("every.csv", table("EVERY" + library, 2));
    long line =
        lead.get("/api/v1/deliveries/%d/lines".formatted(delivery))
            .at("items")
            .get(0)
            .get("id")
            .asLong();
    long component =
        lead.post(
                "/api/v1/components",
                Api.body(
                    "code", "EOH-" + library,
                    "name", "Chuck",
                    "kind", "HOLDER",
                    "machineSide", "ST-JD-40:m",
                    "workSide", "CY-SF-12:f",
                    "bodies", List.of(Api.body("length", 80, "from", 50, "to", 24)),
                    "material", "STEEL",
                    "clamping", 28))
            .number("id");
    long stack =
        lead.post(
                "/api/v1/tools/%d/stacks".formatted(tool),
                Api.body("components", List.of(component)))
            .number("id");
    long cutting =
        lead.post(
                "/api/v1/tools/%d/cutting".formatted(tool),
                Api.body(
                    "material",
                    "p-alloy-annealed",
                    "speed",
                    150,
                    "feed",
                    0.05,
                    "depth",
                    1,
                    "width",
                    1))
            .number("id");
    String machine = machine();
    addresses =
        Map.ofEntries(
            Map.entry("libraries", Long.toString(library)),
            Map.entry("tools", Long.toString(tool)),
            Map.entry("deliveries", Long.toString(delivery)),
            Map.entry("lineId", Long.toString(line)),
            Map.entry("components", Long.toString(component)),
            Map.entry("stacks", Long.toString(stack)),
            Map.entry("cutting", Long.toString(cutting)),
            Map.entry("machines", machine),
            Map.entry("place", "5"),
            Map.entry("physical-tools", Long.toString(piece(tool, machine))),
            Map.entry("trail", "1"));
  }

  /** A piece of a tool that can be measured. */
  private long piece(long tool, String machine) {
    String pieces = "/api/v1/physical-tools";
    long piece = lead.post(pieces, Api.body("toolId", tool, "machine", machine)).number("id");
    Api.Answer assembled =
        lead.send(
            "PUT",
            "%s/%d/assembly?version=1".formatted(pieces, piece),
            Api.body("assembled", true));
    assertEquals(200, assembled.status(), assembled.body().toString());
    return piece;
  }

  /** A machine of its own, at the control of the Heron. */
  private String machine() {
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    String id = "E" + Long.toString(System.nanoTime(), 36).substring(2);
    definition.put("id", id);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    jdbc.sql(
            """
            update machine join machine heron on heron.id = 'M1'
            set machine.link = heron.link where machine.id = ?\
            """)
        .param(id)
        .update();
    return id;
  }

  private record Operation(String method, String path, JsonNode description) {}

  private List<Operation> operations() {
    List<Operation> operations = new ArrayList<>();
    for (String method : METHODS) {
      for (Map.Entry<String, JsonNode> path : document.at("/paths").properties()) {
        JsonNode description = path.getValue().get(method);
        if (description != null && !path.getKey().endsWith("/events")) {
          operations.add(new Operation(method.toUpperCase(), address(path.getKey()), description));
        }
      }
    }
    return operations;
  }

  /** The path with identities of things that are there. */
  private String address(String path) {
    String[] steps = path.split("/");
    for (int i = 1; i < steps.length; i++) {
      if (steps[i].startsWith("{")) {
        String name = steps[i].substring(1, steps[i].length() - 1);
        String known = name.equals("toolId") ? "tools" : name.equals("id") ? steps[i - 1] : name;
        steps[i] = addresses.getOrDefault(known, "none");
      }
    }
    return String.join("/", steps);
  }

  private JsonNode resolved(JsonNode schema) {
    JsonNode reference = schema.get("$ref");
    return reference == null ? schema : document.at(reference.asString().substring(1));
  }

  /** A value that a schema would take. */
  private Object sample(JsonNode schema, int depth) {
    JsonNode known = resolved(schema);
    if (known.has("enum")) {
      return known.get("enum").get(0).asString();
    }
    String type = known.has("type") ? known.get("type").asString() : "object";
    return switch (type) {
      case "string" -> "10";
      case "integer" -> 1;
      case "number" -> 1.5;
      case "boolean" -> true;
      case "array" -> depth > 4 ? List.of() : List.of(sample(known.get("items"), depth + 1));
      default -> {
        Map<String, Object> members = Api.body();
        if (known.has("properties") && depth <= 4) {
          known
              .get("properties")
              .properties()
              .forEach(property ->
                  members.put(property.getKey(), sample(property.getValue(), depth + 1)));
        } else if (known.has("additionalProperties")) {
          members.put("DC", sample(known.get("additionalProperties"), depth + 1));
        }
        yield members;
      }
    };
  }

  /** Bodies with one thing wrong each, as text. */
  private static List<String> mutations(Object sample) {
    List<String> bodies = new ArrayList<>();
    mutate(sample, "", "", bodies);
    bodies.addAll(List.of("", "null", "[]", "7", "\"x\"", "{", "{\"a\":", DEEP));
    return bodies;
  }

  /** Replaces every part of a value in turn; what stands before and behind it stays. */
  private static void mutate(Object value, String before, String behind, List<String> bodies) {
    for (String wrong :
        List.of(
            "null",
            "\"\"",
            "\"\\u0000\"",
            "\"Größe 😀\"",
            "-1",
            "1e400",
            "1e999999999",
            "9".repeat(40),
            "{}",
            "[]",
            "[null]",
            "{\"x\":null}",
            "true")) {
      bodies.add(before + wrong + behind);
    }
    if (value instanceof Map<?, ?> members) {
      members.forEach((name, member) -> {
        StringBuilder others = new StringBuilder();
        members.forEach((other, stays) -> {
          if (!other.equals(name)) {
            others.append(",\"%s\":%s".formatted(other, JSON.writeValueAsString(stays)));
          }
        });
        bodies.add(before + "{" + others.toString().replaceFirst(",", "") + "}" + behind);
        mutate(member, before + "{\"" + name + "\":", others + "}" + behind, bodies);
      });
    } else if (value instanceof List<?> items && !items.isEmpty()) {
      mutate(items.getFirst(), before + "[", "]" + behind, bodies);
    }
  }

  private void check(String request, Api.Answer answer) {
    assertTrue(answer.status() < 500, request + " got " + answer);
    if (answer.status() >= 400) {
      assertTrue(answer.body().has("detail"), request + " got no problem document: " + answer);
      assertEquals(answer.status(), answer.body().get("status").asInt(), request);
    }
  }

  private static String shown(String body) {
    return body.length() > 300 ? body.substring(0, 300) + " ..." : body;
  }

  /** Parameters that must be there, each with something that it takes. */
  private static String query(Operation operation) {
    StringBuilder query = new StringBuilder();
    for (JsonNode parameter : operation.description().at("/parameters")) {
      if (parameter.get("in").asString().equals("query")
          && parameter.has("required")
          && parameter.get("required").asBoolean()) {
        query
            .append(query.isEmpty() ? "?" : "&")
            .append(parameter.get("name").asString())
            .append("=1");
      }
    }
    return query.toString();
  }

  @ParameterizedTest
  @ValueSource(strings = {"LEAD", "PROGRAMMER", "TOOLROOM", "OPERATOR", "VISITOR"})
  void bodies(String role) {
    Api api = as(role);
    int sent = 0;
    for (Operation operation : operations()) {
      JsonNode schema = operation.description().at("/requestBody/content/application~1json/schema");
      if (schema.isMissingNode()) {
        continue;
      }
      List<String> bodies = mutations(sample(schema, 0));
      bodies.add(JSON.writeValueAsString(sample(schema, 0)));
      boolean all = Set.of("LEAD", "VISITOR").contains(role);
      for (int i = 0; i < bodies.size(); i += all ? 1 : 5) {
        String body = bodies.get(i);
        URI uri = URI.create(operation.path() + query(operation));
        String request =
            "%s %s as %s with %s".formatted(operation.method(), uri, role, shown(body));
        check(request, api.raw(operation.method(), uri, body));
        sent++;
      }
    }
    assertTrue(sent > 100, sent + " bodies were sent");
  }

  @Test
  void parameters() {
    List<String> wrong =
        List.of(
            "",
            "x",
            "-1",
            "1e999999999",
            "9".repeat(30),
            "\0",
            "%",
            "x".repeat(3_000),
            "null",
            "Größe 😀");
    for (Operation operation : operations()) {
      if (!operation.method().equals("GET")) {
        continue;
      }
      for (JsonNode parameter : operation.description().at("/parameters")) {
        if (!parameter.get("in").asString().equals("query")) {
          continue;
        }
        String name = parameter.get("name").asString();
        for (String value : wrong) {
          String begin = query(operation).replaceAll("[?&]" + name + "=1", "");
          String query =
              (begin.isEmpty() ? "?" : "?" + begin.substring(1) + "&")
                  + name
                  + "="
                  + URLEncoder.encode(value, StandardCharsets.UTF_8);
          check(
              "GET %s%s".formatted(operation.path(), shown(query)),
              lead.get(URI.create(operation.path() + query)));
        }
      }
    }
  }

  @Test
  void identitiesThatAreNone() {
    for (String id :
        List.of("0", "-1", "x", "9".repeat(30), "1.5", "%2e%2e", "a%09b", "Gr%C3%B6%C3%9Fe")) {
      for (Map.Entry<String, JsonNode> path : document.at("/paths").properties()) {
        if (path.getKey().contains("{") && path.getValue().has("get")) {
          String address = path.getKey().replaceAll("\\{[^}]*\\}", id);
          check("GET " + address, lead.get(URI.create(address)));
        }
      }
    }
  }
}
