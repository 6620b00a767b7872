package arborline.server.setup;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Numbering;
import arborline.server.library.AcceptedTools;
import arborline.server.library.Libraries;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Fills libraries from tables: one library a file, called as the file is. */
@Component
class DemoLibraries {

  private final Libraries libraries;
  private final AcceptedTools intake;

  DemoLibraries(Libraries libraries, AcceptedTools intake) {
    this.libraries = libraries;
    this.intake = intake;
  }

  @Transactional
  public void fill(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.filter(path -> path.toString().endsWith(".csv")).sorted().toList()) {
        long library = libraries.open(name(file)).id();
        intake
            .into(library, "", "demo file " + file.getFileName(), Numbering.KEEP)
            .take(arriving(file));
      }
    }
  }

  /** {@code marram-milling.csv} is "Marram milling". */
  private static String name(Path file) {
    String words = file.getFileName().toString().replace(".csv", "").replace('-', ' ');
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static List<AcceptedTools.Arriving> arriving(Path file) throws IOException {
    byte[] content = Files.readAllBytes(file);
    List<AcceptedTools.Arriving> arriving = new ArrayList<>();
    try (ItemSource source =
        BundleFormats.named("csv")
            .orElseThrow()
            .open(new ByteArrayInputStream(content), content, TableReading.propose(content))) {
      for (Optional<RawItem> next = source.next(); next.isPresent(); next = source.next()) {
        Inspected inspected = Inspector.inspect(next.get());
        arriving.add(
            new AcceptedTools.Arriving(
                inspected.tool(),
                inspected.number(),
                arriving.size() + 1,
                OptionalLong.empty(),
                ""));
      }
    }
    return arriving;
  }
}
