package arborline.server.support;

import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** JSON of stored columns. */
@Component
public class Json {

  private final JsonMapper mapper;

  Json(JsonMapper mapper) {
    this.mapper = mapper;
  }

  public String text(Object value) {
    return mapper.writeValueAsString(value);
  }

  public <T> T read(String text, Class<T> type) {
    return mapper.readValue(text, type);
  }

  public <T> T read(String text, TypeReference<T> type) {
    return mapper.readValue(text, type);
  }
}
