package arborline.server.delivery;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The first tools of a file as they would be read, before anything is decided. */
@Component
class ReadingPreview {

  private static final int TOOLS = 5;
  private static final int MOST = 200;
  private static final int BUFFER = 64 * 1024;

  private final StoredFile files;
  private final LineLists lists;

  ReadingPreview(StoredFile files, LineLists lists) {
    this.files = files;
    this.lists = lists;
  }

  /**
   * What a file looks like by a way of reading.
   *
   * @param problem why no more of it could be read; empty where it could
   */
  record Preview(ReadingView reading, List<LineLists.LineView> lines, String problem) {}

  Preview of(Document document, ReadingView view) {
    ItemReader reader = BundleFormats.reader(document.format).orElseThrow();
    byte[] head = files.head(document.deliveryId, document.fileNo);
    List<LineLists.LineView> lines = new ArrayList<>();
    try (InputStream file =
            new BufferedInputStream(files.open(document.deliveryId, document.fileNo), BUFFER);
        Grouping source = new Grouping(reader.open(file, head, view.reading()))) {
      int read = 0;
      Optional<RawBundle> next = source.next();
      while (next.isPresent() && lines.size() < TOOLS && read++ < MOST) {
        Inspected inspected = Inspector.inspect(next.get());
        boolean tool = inspected.kind() != ItemKind.REMARK && !inspected.raw().item().blank();
        if (tool) {
          lines.add(lists.view(line(document, read, inspected)));
        }
        next = source.next();
      }
      return new Preview(view, lines, "");
    } catch (UnreadableFileException unreadable) {
      return new Preview(view, lines, unreadable.getMessage());
    } catch (IOException broken) {
      throw new java.io.UncheckedIOException(broken);
    }
  }

  private DeliveryLine line(Document document, int place, Inspected inspected) {
    return new DeliveryLine(
        place,
        document.deliveryId,
        document.fileNo,
        place,
        inspected,
        lists.text(inspected.findings()));
  }
}
