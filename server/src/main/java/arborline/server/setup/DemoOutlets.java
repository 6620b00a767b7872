package arborline.server.setup;

import arborline.server.account.ActingAs;
import arborline.server.library.Libraries;
import arborline.server.outlet.OutletKind;
import arborline.server.outlet.Outlets;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Opens outlets; those into folders only where the server writes into folders. */
@Component
class DemoOutlets {

  private final ActingAs acting;
  private final Libraries libraries;
  private final Outlets outlets;
  private final JsonMapper json;

  DemoOutlets(ActingAs acting, Libraries libraries, Outlets outlets, JsonMapper json) {
    this.acting = acting;
    this.libraries = libraries;
    this.outlets = outlets;
    this.json = json;
  }

  /**
   * An outlet.
   *
   * @param by name of an account
   * @param library its name
   */
  private record Opened(
      String by,
      String library,
      String format,
      @Nullable String unit,
      OutletKind kind,
      @Nullable String folder) {}

  /** Does what the file says; without one no outlet is opened. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (Opened one :
        json.readValue(Files.readAllBytes(file), new TypeReference<List<Opened>>() {})) {
      if (one.kind() == OutletKind.ADDRESS || outlets.writesIntoFolders()) {
        acting.account(one.by(), () -> open(one));
      }
    }
  }

  private void open(Opened one) {
    long library =
        libraries.all().stream()
            .filter(head -> head.name().equals(one.library()))
            .findFirst()
            .orElseThrow()
            .id();
    outlets.open(
        new Outlets.OutletOrder(
            library, null, one.format(), one.unit(), one.kind(), one.folder(), null));
  }
}
