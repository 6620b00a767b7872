package arborline.shop;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import tools.jackson.databind.json.JsonMapper;

/** Keeps a control's memory over restarts; begins from what the control was delivered with. */
final class StateFile<T> {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final Path file;
  private final String factory;
  private final Class<T> type;

  StateFile(Path file, String factory, Class<T> type) {
    this.file = file;
    this.factory = factory;
    this.type = type;
  }

  T load() {
    try {
      return Files.exists(file) ? JSON.readValue(Files.readString(file), type) : factory();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  T factory() {
    try (InputStream delivered = StateFile.class.getResourceAsStream(factory)) {
      return JSON.readValue(delivered, type);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  void save(T state) {
    try {
      Path next = file.resolveSibling(file.getFileName() + ".next");
      Files.writeString(next, JSON.writeValueAsString(state));
      Files.move(next, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
