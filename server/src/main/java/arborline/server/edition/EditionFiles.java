package arborline.server.edition;

import arborline.core.convert.ConversionReport;
import arborline.core.convert.ProvenFile;
import arborline.core.edition.FrozenEntry;
import arborline.core.edition.FrozenPart;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.Contents;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.Losses;
import arborline.core.exchange.WriteOptions;
import arborline.core.quantity.Unit;
import arborline.server.edition.EditionStore.PlacedTool;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * Writes editions as files, some tools at a time. Files that belong to tools are no part of an
 * edition.
 */
@Component
public class EditionFiles {

  private static final int CHUNK = 500;

  private final EditionStore store;

  EditionFiles(EditionStore store) {
    this.store = store;
  }

  /**
   * An edition as a file, read back and compared.
   *
   * @param tools how many it holds
   */
  public record EditionFile(long tools, LossReport losses, ConversionReport.Proof proof) {}

  /** Writes it; an edition never changes, so nothing has to be held meanwhile. */
  public EditionFile write(
      EditionHead edition, String title, BundleFormat format, Optional<Unit> unit, Path file)
      throws IOException {
    Map<String, BundlePart> parts = parts(edition.id());
    WriteOptions options = new WriteOptions(title, contents(edition.id(), parts), unit);
    LossReport report = new LossReport();
    Losses losses = new Losses(format, options, report);
    parts.values().forEach(losses::of);
    walk(edition.id(), losses::of);
    ProvenFile.Written written =
        ProvenFile.write(file, format, options, parts, visitor -> walk(edition.id(), visitor));
    return new EditionFile(written.tools(), report, written.proof());
  }

  private Contents contents(long edition, Map<String, BundlePart> parts) throws IOException {
    Contents.Survey seen = new Contents.Survey();
    walk(edition, seen::add);
    parts.values().forEach(seen::add);
    return seen.contents();
  }

  private Map<String, BundlePart> parts(long edition) {
    SortedMap<String, String> hashes = store.parts(edition);
    Map<String, String> contents = store.contents(hashes.values());
    Map<String, BundlePart> parts = new TreeMap<>();
    hashes.forEach((code, hash) -> parts.put(code, FrozenPart.part(contents.get(hash))));
    return parts;
  }

  private void walk(long edition, ProvenFile.Visitor visitor) throws IOException {
    String code = "";
    long tool = 0;
    List<PlacedTool> some;
    do {
      some = store.tools(edition, code, tool, CHUNK);
      for (FrozenEntry entry : store.frozen(some).values()) {
        visitor.visit(entry.whole());
      }
      if (!some.isEmpty()) {
        code = some.getLast().code();
        tool = some.getLast().toolId();
      }
    } while (some.size() == CHUNK);
  }
}
