package arborline.core.exchange;

import java.io.InputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.ObjectReadContext;

/** Opens JSON that somebody sent; what is none is refused with its line and the reason. */
public final class JsonFile {

  private JsonFile() {}

  /**
   * A parser of a file.
   *
   * @throws UnreadableFileException where its encoding is none of JSON
   */
  public static JsonParser open(InputStream file) throws UnreadableFileException {
    try {
      return JsonFormat.JSON.createParser(ObjectReadContext.empty(), file);
    } catch (JacksonException broken) {
      throw unreadable(broken);
    }
  }

  /** The reason in words. */
  public static UnreadableFileException unreadable(JacksonException broken) {
    return new UnreadableFileException(
        "line %d: not valid JSON: %s"
            .formatted(
                broken.getLocation() == null ? 1 : Math.max(1, broken.getLocation().getLineNr()),
                broken.getOriginalMessage()),
        broken);
  }
}
