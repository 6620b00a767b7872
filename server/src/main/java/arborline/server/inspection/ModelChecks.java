package arborline.server.inspection;

import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.solid.ModelComparison;
import arborline.core.solid.SolidReading;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.AttachedFiles.AttachedFile;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.delivery.StoredFile;
import arborline.server.support.FileKind;
import arborline.server.support.Json;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Holds the sizes of lines against the models that they name; what contradicts is asked. */
@Component
class ModelChecks {

  private static final int BATCH = 50;
  private static final int LARGEST = 64 * 1024 * 1024;
  private static final String PREFIX = "model-";

  private final AttachedFiles files;
  private final StoredFile stored;
  private final LineRepository lines;
  private final LineJudge judge;
  private final JdbcClient jdbc;
  private final Json json;
  private final TransactionTemplate transaction;

  ModelChecks(
      AttachedFiles files,
      StoredFile stored,
      LineRepository lines,
      LineJudge judge,
      JdbcClient jdbc,
      Json json,
      TransactionTemplate transaction) {
    this.files = files;
    this.stored = stored;
    this.lines = lines;
    this.judge = judge;
    this.jdbc = jdbc;
    this.json = json;
    this.transaction = transaction;
  }

  /** Checks all lines that name models; false where somebody stopped it. */
  boolean check(long deliveryId, BooleanSupplier stopped) throws IOException {
    List<AttachedFile> models =
        files.of(deliveryId).stream().filter(file -> FileKind.solid(file.name())).toList();
    long after = models.isEmpty() ? Long.MAX_VALUE : 0;
    List<Long> batch = naming(deliveryId, after);
    while (!batch.isEmpty()) {
      if (stopped.getAsBoolean()) {
        return false;
      }
      Map<Long, List<Finding>> found = compared(deliveryId, batch, models);
      if (!found.isEmpty()) {
        transaction.executeWithoutResult(status -> say(deliveryId, found));
      }
      batch = naming(deliveryId, batch.getLast());
    }
    return true;
  }

  private List<Long> naming(long deliveryId, long after) {
    return jdbc.sql(
            """
            select id from delivery_line
            where delivery_id = ? and looks_beyond and json_exists(cells, '$.ATTACHMENT.text')
              and id > ? order by id limit ?\
            """)
        .params(deliveryId, after, BATCH)
        .query(Long.class)
        .list();
  }

  private Map<Long, List<Finding>> compared(
      long deliveryId, List<Long> ids, List<AttachedFile> models) throws IOException {
    Map<Long, List<Finding>> found = new HashMap<>();
    for (DeliveryLine line : lines.findByDeliveryIdAndIdIn(deliveryId, ids)) {
      RawItem item = line.raw().item();
      Optional<AttachedFile> model =
          PathList.read(item.text(RawItem.ATTACHMENT)).stream()
              .flatMap(path -> AttachedFiles.find(models, path).stream())
              .findFirst();
      if (model.isPresent()) {
        List<Finding> said = compared(deliveryId, item, model.get());
        if (!said.isEmpty()) {
          found.put(line.id, said);
        }
      }
    }
    return found;
  }

  private List<Finding> compared(long deliveryId, RawItem item, AttachedFile model)
      throws IOException {
    try (InputStream content = stored.open(deliveryId, model.fileNo())) {
      byte[] file = content.readNBytes(LARGEST);
      return ModelComparison.of(item, SolidReading.read(file));
    } catch (UnreadableFileException unreadable) {
      return List.of(
          Finding.note(
              PREFIX + "unreadable",
              "%s is not read as a solid: %s".formatted(model.name(), unreadable.getMessage()),
              RawItem.ATTACHMENT));
    }
  }

  private void say(long deliveryId, Map<Long, List<Finding>> found) {
    List<DeliveryLine> changed = lines.findByDeliveryIdAndIdIn(deliveryId, found.keySet());
    for (DeliveryLine line : changed) {
      List<Finding> all = new ArrayList<>();
      if (line.readingFindings != null) {
        Stream.of(json.read(line.readingFindings, Finding[].class))
            .filter(before -> !before.code().startsWith(PREFIX))
            .forEach(all::add);
      }
      all.addAll(found.get(line.id));
      line.readingFindings = json.text(all);
    }
    judge.judge(deliveryId, changed);
  }
}
