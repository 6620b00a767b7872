package arborline.server;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;

/** Libraries with tools in them, and what stands in a library, for tests. */
final class Shelves {

  private final Api api;

  Shelves(Api api) {
    this.api = api;
  }

  long library(String name, Object... settings) {
    Map<String, Object> body = Api.body("name", name);
    for (int i = 0; i < settings.length; i += 2) {
      body.put(settings[i].toString(), settings[i + 1]);
    }
    return api.post("/api/v1/libraries", body).number("id");
  }

  /** New flat end mills in a library, under the numbers 1, 2, ...; their identities. */
  List<Long> mills(long library, String... codes) {
    return Arrays.stream(codes).map(code -> make(library, Draft.mill(code, "10"))).toList();
  }

  long turning(long library, String code) {
    return make(
        library,
        Draft.of(code, "Face tool", "turning-neutral", "CUTDIA=20 HF=20 LF=125 B=20 H=20 RE=0.4"));
  }

  private long make(long library, Map<String, Object> draft) {
    Api.Answer made = api.post("/api/v1/libraries/%d/tools".formatted(library), draft);
    if (made.status() != 201) {
      throw new IllegalStateException(made.toString());
    }
    return made.number("toolId");
  }

  /** What stands in a library: numbers by codes. */
  Map<String, Integer> numbers(long library) {
    Map<String, Integer> numbers = new TreeMap<>();
    rows(library, "")
        .forEach(row -> numbers.put(row.get("code").asString(), row.get("number").asInt()));
    return numbers;
  }

  /** Sections as texts, by codes. */
  Map<String, String> sections(long library) {
    Map<String, String> sections = new TreeMap<>();
    rows(library, "")
        .forEach(row -> sections.put(row.get("code").asString(), row.get("section").asString()));
    return sections;
  }

  List<JsonNode> rows(long library, String query) {
    List<JsonNode> rows = new ArrayList<>();
    api.get("/api/v1/libraries/%d/tools?limit=500%s".formatted(library, query))
        .at("items")
        .forEach(rows::add);
    return rows;
  }

  void undo(Api.Answer done) {
    Api.Answer undone = api.post("/api/v1/trail/%d/undo".formatted(done.number("undo")), Map.of());
    if (undone.status() != 204) {
      throw new IllegalStateException(undone.toString());
    }
  }
}
