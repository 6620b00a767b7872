package arborline.server.inspection;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.solid.NamedShape;
import arborline.core.solid.ShapeKey;
import arborline.core.solid.SolidReading;
import arborline.server.account.Actor;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.DocumentRepository;
import arborline.server.delivery.StoredFile;
import arborline.server.support.Json;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** What solids of a shape were said to be, so that the next ones are proposed as the same. */
@Component
class NamedShapes implements NamedShape.Known {

  private static final int LARGEST = 64 * 1024 * 1024;

  private final DocumentRepository documents;
  private final StoredFile stored;
  private final JdbcClient jdbc;
  private final Json json;
  private final Clock clock;
  private final TransactionTemplate transaction;

  NamedShapes(
      DocumentRepository documents,
      StoredFile stored,
      JdbcClient jdbc,
      Json json,
      Clock clock,
      TransactionTemplate transaction) {
    this.documents = documents;
    this.stored = stored;
    this.jdbc = jdbc;
    this.json = json;
    this.clock = clock;
    this.transaction = transaction;
  }

  @Override
  public Optional<NamedShape> named(String key) {
    return jdbc.sql("select kind, class_id, turned from named_shape where shape_key = ?")
        .param(key)
        .query((row, number) ->
            new NamedShape(
                ItemKind.valueOf(row.getString("kind")),
                row.getString("class_id"),
                row.getBoolean("turned")))
        .optional();
  }

  /** Remembers what the solid of a line is; of a line that came otherwise nothing. */
  void remember(DeliveryLine line) throws IOException {
    boolean solid =
        documents
            .findByDeliveryIdAndFileNo(line.deliveryId, line.fileNo)
            .filter(document -> document.solid())
            .isPresent();
    if (!solid) {
      return;
    }
    try (InputStream content = stored.open(line.deliveryId, line.fileNo)) {
      String key = ShapeKey.of(SolidReading.read(content.readNBytes(LARGEST)));
      transaction.executeWithoutResult(status -> store(key, line));
    } catch (UnreadableFileException properties) {
      // its line came from properties: there is no shape to remember
    }
  }

  private void store(String key, DeliveryLine line) {
    jdbc.sql(
            """
            insert into named_shape (shape_key, kind, class_id, turned, named_by, named_at)
            values (?, ?, ?, ?, ?, ?)
            on duplicate key update kind = values(kind), class_id = values(class_id),
              turned = values(turned), named_by = values(named_by), named_at = values(named_at)\
            """)
        .params(
            key,
            line.kind.name(),
            line.part() ? "" : line.classId,
            SolidEnds.turned(line, json),
            Actor.name(),
            LocalDateTime.now(clock))
        .update();
  }
}
