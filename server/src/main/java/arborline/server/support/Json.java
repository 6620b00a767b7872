package arborline.server.support;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** JSON of stored columns. */
@Component
public class Json {

  private final JsonMapper mapper;

  Json(JsonMapper mapper) {
    this.mapper = mapper;
  }

  public String text(@Nullable Object value) {
    return mapper.writeValueAsString(value);
  }

  /** A value worked out once and sent many times. */
  public ReadyJson ready(@Nullable Object value) {
    return new ReadyJson(text(value));
  }

  public JsonNode tree(Object value) {
    return mapper.valueToTree(value);
  }

  public <T> T read(String text, Class<T> type) {
    return mapper.readValue(text, type);
  }

  public <T> T read(String text, TypeReference<T> type) {
    return mapper.readValue(text, type);
  }
}
