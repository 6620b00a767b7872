package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.solid.NamedShape;
import arborline.core.solid.ShapeKey;
import arborline.core.solid.SolidItem;
import arborline.core.solid.SolidReading;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.Document;
import arborline.server.delivery.DocumentRepository;
import arborline.server.delivery.LineRepository;
import arborline.server.delivery.StoredFile;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.concurrent.Semaphore;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Reads the solid of a line again, from the one end or from the other. */
@Component
class SolidEnds {

  private static final int LARGEST = 64 * 1024 * 1024;

  /** So many are read at once: a large one takes some hundred megabytes. */
  private static final int AT_ONCE = 2;

  /** What a line keeps whichever end is the workpiece's. */
  private static final Set<String> KEPT = Set.of(RawItem.CODE, RawItem.ATTACHMENT);

  private final LineRepository lines;
  private final DocumentRepository documents;
  private final StoredFile stored;
  private final NamedShape.Known named;
  private final Semaphore turns = new Semaphore(AT_ONCE);

  SolidEnds(
      LineRepository lines,
      DocumentRepository documents,
      StoredFile stored,
      NamedShape.Known named) {
    this.lines = lines;
    this.documents = documents;
    this.stored = stored;
    this.named = named;
  }

  /** True where somebody turned the solid of a line. */
  static boolean turned(DeliveryLine line, Json json) {
    return line.readingFindings != null
        && Stream.of(json.read(line.readingFindings, Finding[].class))
            .anyMatch(finding -> finding.code().equals("solid-" + SolidReading.TURNED));
  }

  /**
   * What a line says when its solid is read from an end; cells that did not come from the solid
   * stay.
   *
   * @param turned true for the other end than the one that is guessed
   */
  RawItem read(long deliveryId, long lineId, boolean turned)
      throws IOException, InterruptedException {
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(deliveryId, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    Document document =
        documents
            .findByDeliveryIdAndFileNo(deliveryId, line.fileNo)
            .filter(Document::solid)
            .orElseThrow(() -> Refusal.conflict("the line did not come from a solid"));
    turns.acquire();
    try (InputStream content = stored.open(deliveryId, line.fileNo)) {
      byte[] file = content.readNBytes(LARGEST);
      SolidReading guessed = SolidReading.read(file);
      if (guessed.turned().isEmpty()) {
        throw Refusal.conflict("the part is not turned around one axis: there is nothing to turn");
      }
      Optional<NamedShape> known = named.named(ShapeKey.of(guessed));
      RawItem one = SolidItem.of(document.path, guessed, known);
      RawItem other = SolidItem.of(document.path, SolidReading.read(file, true), known);
      return turned
          ? other.with(kept(line.raw().item(), one))
          : one.with(kept(line.raw().item(), other));
    } catch (UnreadableFileException properties) {
      throw Refusal.conflict("the line did not come from a solid");
    } finally {
      turns.release();
    }
  }

  private static SortedMap<String, Cell> kept(RawItem line, RawItem from) {
    SortedMap<String, Cell> kept = new TreeMap<>();
    line.cells()
        .forEach((symbol, cell) -> {
          if (KEPT.contains(symbol) || !from.cells().containsKey(symbol)) {
            kept.put(symbol, cell);
          }
        });
    return kept;
  }
}
