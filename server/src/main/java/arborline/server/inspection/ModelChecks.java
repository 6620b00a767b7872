package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.library.Codes;
import arborline.core.solid.ModelComparison;
import arborline.core.solid.SolidReading;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.AttachedFiles.AttachedFile;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.delivery.StoredFile;
import arborline.server.live.Live;
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

  /** How the codes of findings about models begin. */
  static final String PREFIX = "model-";

  private final AttachedFiles files;
  private final StoredFile stored;
  private final LineRepository lines;
  private final LineJudge judge;
  private final Live live;
  private final JdbcClient jdbc;
  private final Json json;
  private final TransactionTemplate transaction;

  ModelChecks(
      AttachedFiles files,
      StoredFile stored,
      LineRepository lines,
      LineJudge judge,
      Live live,
      JdbcClient jdbc,
      Json json,
      TransactionTemplate transaction) {
    this.files = files;
    this.stored = stored;
    this.lines = lines;
    this.judge = judge;
    this.live = live;
    this.jdbc = jdbc;
    this.json = json;
    this.transaction = transaction;
  }

  /**
   * Checks all lines of which that is asked, some at a time, so that a restart goes on behind them;
   * false where somebody stopped it: what is left then stays as not inspected.
   */
  boolean check(long deliveryId, BooleanSupplier stopped) throws IOException {
    List<AttachedFile> models =
        files.of(deliveryId).stream().filter(file -> FileKind.solid(file.name())).toList();
    for (List<Long> batch = asked(deliveryId); !batch.isEmpty(); batch = asked(deliveryId)) {
      if (stopped.getAsBoolean()) {
        transaction.executeWithoutResult(status -> leave(deliveryId));
        return false;
      }
      List<Long> some = batch;
      Map<Long, Compared> found = compared(deliveryId, some, models);
      transaction.executeWithoutResult(status -> say(deliveryId, some, found));
      live.sayNow("delivery", deliveryId, "inspecting");
    }
    return true;
  }

  private void leave(long deliveryId) {
    jdbc.sql(
            "update delivery_line set inspection = 'LEFT' where delivery_id = ? and inspection = 'ASKED'")
        .param(deliveryId)
        .update();
  }

  private List<Long> asked(long deliveryId) {
    return jdbc.sql(
            """
            select id from delivery_line where delivery_id = ? and inspection = 'ASKED'
            order by id limit ?\
            """)
        .params(deliveryId, BATCH)
        .query(Long.class)
        .list();
  }

  /** What a model says: findings, and the cylinders and cones of a part that wrote none. */
  private record Compared(List<Finding> findings, Optional<String> bodies) {}

  private Map<Long, Compared> compared(long deliveryId, List<Long> ids, List<AttachedFile> models)
      throws IOException {
    Map<Long, Compared> found = new HashMap<>();
    for (DeliveryLine line : lines.findByDeliveryIdAndIdIn(deliveryId, ids)) {
      RawItem item = line.raw().item();
      List<RawItem> stacks = line.raw().stacks();
      Optional<AttachedFile> model = model(line.code, item, stacks, models);
      List<Finding> ofStacks = ofStacks(deliveryId, stacks, models);
      if (model.isPresent()) {
        Compared own = compared(deliveryId, item, model.get());
        ofStacks.addAll(0, own.findings());
        found.put(line.id, new Compared(ofStacks, own.bodies()));
      } else if (!ofStacks.isEmpty()) {
        found.put(line.id, new Compared(ofStacks, Optional.empty()));
      }
    }
    return found;
  }

  /** What the models of whole stacks say otherwise. */
  private List<Finding> ofStacks(long deliveryId, List<RawItem> stacks, List<AttachedFile> models)
      throws IOException {
    List<Finding> said = new ArrayList<>();
    for (RawItem stack : stacks) {
      for (AttachedFile model : named(stack, models)) {
        try (InputStream content = stored.open(deliveryId, model.fileNo())) {
          SolidReading solid = SolidReading.read(content.readNBytes(LARGEST));
          ModelComparison.ofStack(stack, solid).ifPresent(said::add);
        } catch (UnreadableFileException unreadable) {
          said.add(unreadable(model, unreadable));
        }
      }
    }
    return said;
  }

  private static List<AttachedFile> named(RawItem item, List<AttachedFile> models) {
    return PathList.read(item.text(RawItem.ATTACHMENT)).stream()
        .flatMap(path -> AttachedFiles.find(models, path).stream())
        .toList();
  }

  /**
   * The model that a line names: the one that is called by its code before others, never one of a
   * whole stack.
   */
  private static Optional<AttachedFile> model(
      String code, RawItem item, List<RawItem> stacks, List<AttachedFile> models) {
    List<AttachedFile> ofStacks =
        stacks.stream().flatMap(stack -> named(stack, models).stream()).toList();
    List<AttachedFile> named =
        named(item, models).stream().filter(file -> !ofStacks.contains(file)).toList();
    return named.stream()
        .filter(
            file -> Codes.key(file.name().replaceFirst("\\.[^.]*$", "")).equals(Codes.key(code)))
        .findFirst()
        .or(() -> named.stream().findFirst());
  }

  private Compared compared(long deliveryId, RawItem item, AttachedFile model) throws IOException {
    try (InputStream content = stored.open(deliveryId, model.fileNo())) {
      SolidReading solid = SolidReading.read(content.readNBytes(LARGEST));
      List<Finding> said = new ArrayList<>(ModelComparison.of(item, solid));
      Optional<String> bodies = ModelComparison.bodies(item, solid);
      bodies.ifPresent(text ->
          said.add(
              Finding.note(
                  PREFIX + "bodies",
                  "cylinders and cones are read from %s".formatted(model.name()),
                  PartReading.BODIES)));
      return new Compared(said, bodies);
    } catch (UnreadableFileException unreadable) {
      return new Compared(List.of(unreadable(model, unreadable)), Optional.empty());
    }
  }

  private static Finding unreadable(AttachedFile model, UnreadableFileException why) {
    return Finding.note(
        PREFIX + "unreadable",
        "%s is not read as a solid: %s".formatted(model.name(), why.getMessage()),
        RawItem.ATTACHMENT);
  }

  private void say(long deliveryId, List<Long> ids, Map<Long, Compared> found) {
    List<DeliveryLine> some = lines.findByDeliveryIdAndIdIn(deliveryId, ids);
    List<DeliveryLine> changed = new ArrayList<>();
    for (DeliveryLine line : some) {
      line.inspection = DeliveryLine.Inspection.DONE;
      Compared model = found.get(line.id);
      if (model != null) {
        model.bodies().ifPresent(text -> line.fromModel(Map.of(PartReading.BODIES, Cell.of(text))));
        List<Finding> all = findings(line, model.findings());
        line.readingFindings = all.isEmpty() ? null : json.text(all);
        changed.add(line);
      }
    }
    if (!changed.isEmpty()) {
      judge.judge(deliveryId, changed);
    }
  }

  /** What was said of the line, with what its model says in place of what it said before. */
  private List<Finding> findings(DeliveryLine line, List<Finding> model) {
    List<Finding> all = new ArrayList<>();
    if (line.readingFindings != null) {
      Stream.of(json.read(line.readingFindings, Finding[].class))
          .filter(before -> !before.code().startsWith(PREFIX))
          .forEach(all::add);
    }
    all.addAll(model);
    return all;
  }
}
