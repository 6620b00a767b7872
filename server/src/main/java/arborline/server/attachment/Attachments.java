package arborline.server.attachment;

import arborline.core.library.VisibleText;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.exchange.AttachmentsOfTools;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.FileHash;
import arborline.server.support.FileKind;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.UndoKind;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Files that belong to tools. A name stands once on a tool; a content is kept once. */
@Service
class Attachments implements AttachmentsOfTools {

  static final UndoKind<Removed> REMOVED =
      new UndoKind<>("attachment.removed", 1, Removed.class, Permission.EDIT);

  private static final long LARGEST = 64L * 1024 * 1024;
  private static final int MOST = 50;
  private static final int LONGEST_NAME = 150;

  private final StoredContent contents;
  private final Tools tools;
  private final ToolStore store;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final TransactionTemplate transaction;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  Attachments(
      StoredContent contents,
      Tools tools,
      ToolStore store,
      JdbcClient jdbc,
      Bulk bulk,
      TransactionTemplate transaction,
      Trail trail,
      Live live,
      Clock clock) {
    this.contents = contents;
    this.tools = tools;
    this.store = store;
    this.jdbc = jdbc;
    this.bulk = bulk;
    this.transaction = transaction;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /** What is kept of a removal. */
  record Removed(long attachmentId) {}

  /**
   * A file that belongs to a tool.
   *
   * @param size in bytes
   */
  record Attachment(
      long id,
      long toolId,
      String name,
      String mediaType,
      long size,
      String sha256,
      LocalDateTime createdAt,
      String createdBy) {

    Attached attached() {
      return new Attached(name, sha256);
    }
  }

  private static final String SELECT =
      """
      select id, tool_id, name, media_type, size, sha256, created_at, created_by from attachment
      """;

  List<Attachment> ofTool(long toolId) {
    tools.get(toolId);
    return jdbc.sql(SELECT + " where tool_id = ? and removed = 0 order by name_key")
        .param(toolId)
        .query(Attachment.class)
        .list();
  }

  Attachment get(long toolId, long id) {
    return jdbc.sql(SELECT + " where tool_id = ? and id = ? and removed = 0")
        .params(toolId, id)
        .query(Attachment.class)
        .optional()
        .orElseThrow(() -> Refusal.notFound("the tool has no such attachment"));
  }

  /** A name that is safe in a path and in a table. */
  static String plainName(String name) {
    String shown =
        VisibleText.only(name.replaceAll(".*[/\\\\]", "")).replaceAll("[|<>:\"?*]", "_").strip();
    String plain = shown.isBlank() || shown.startsWith(".") ? "file" + shown : shown;
    int more = plain.length() - LONGEST_NAME;
    return more > 0 ? plain.substring(more) : plain;
  }

  private static String key(String name) {
    return name.toLowerCase(Locale.ROOT);
  }

  /** Attaches a file to a tool. */
  Attachment add(long toolId, String givenName, Path file) throws IOException {
    tools.get(toolId);
    long size = Files.size(file);
    if (size == 0 || size > LARGEST) {
      throw Refusal.badRequest(
          size == 0 ? "the file is empty" : "the file is larger than 64 MB; keep it elsewhere");
    }
    String sha256 = FileHash.of(file);
    String name = plainName(givenName);
    long id =
        transaction.execute(status -> {
          try {
            store.lock(toolId);
            requireRoom(toolId);
            if (named(toolId, name).isPresent()) {
              throw Refusal.conflict(
                  "the tool has an attachment %s already; remove it first".formatted(name));
            }
            contents.keep(sha256, file);
            long added = insert(toolId, name, size, sha256);
            trail.record(
                TrailRecord.of("tool", toolId, "attached %s to %s".formatted(name, code(toolId))));
            return added;
          } catch (IOException broken) {
            throw new UncheckedIOException(broken);
          }
        });
    return get(toolId, id);
  }

  private String code(long toolId) {
    return tools.get(toolId).tool().code();
  }

  private void requireRoom(long toolId) {
    long there =
        jdbc.sql("select count(*) from attachment where tool_id = ? and removed = 0")
            .param(toolId)
            .query(Long.class)
            .single();
    if (there >= MOST) {
      throw Refusal.conflict("a tool has at most %d attachments".formatted(MOST));
    }
  }

  private Optional<String> named(long toolId, String name) {
    return jdbc.sql(
            "select sha256 from attachment where tool_id = ? and removed = 0 and name_key = ?")
        .params(toolId, key(name))
        .query(String.class)
        .optional();
  }

  private long insert(long toolId, String name, long size, String sha256) {
    jdbc.sql(
            """
            insert into attachment (tool_id, name, name_key, media_type, size, sha256, created_at,
              created_by)
            values (?, ?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            toolId,
            name,
            key(name),
            FileKind.mediaType(name),
            size,
            sha256,
            LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC),
            Actor.name())
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    live.say("tool", toolId, "attachment");
    return id;
  }

  /** A file of a delivery that is meant for a tool. */
  record Delivered(String name, long size, String sha256, long deliveryId, int fileNo) {}

  /** Those of these files that a tool does not have. */
  List<Delivered> unknown(long toolId, Collection<Delivered> some) {
    List<String> known =
        jdbc.sql("select sha256 from attachment where tool_id = ? and removed = 0")
            .param(toolId)
            .query(String.class)
            .list();
    return some.stream().filter(file -> !known.contains(file.sha256())).toList();
  }

  /** Attaches files of a delivery to a tool that is locked; returns the rows that were made. */
  @Transactional(propagation = Propagation.MANDATORY)
  List<Long> take(long toolId, Collection<Delivered> some) {
    return unknown(toolId, some).stream()
        .filter(file -> file.size() <= LARGEST)
        .limit(MOST)
        .map(file -> {
          contents.keep(file.sha256(), file.size(), file.deliveryId(), file.fileNo());
          return insert(toolId, free(toolId, plainName(file.name())), file.size(), file.sha256());
        })
        .toList();
  }

  /** A name that no other attachment of the tool has: {@code photo-2.png}. */
  private String free(long toolId, String name) {
    int dot = name.lastIndexOf('.');
    String base = dot < 0 ? name : name.substring(0, dot);
    String free = name;
    for (int number = 2; named(toolId, free).isPresent(); number++) {
      free = "%s-%d%s".formatted(base, number, dot < 0 ? "" : name.substring(dot));
    }
    return free;
  }

  /** Takes rows out that came with a taking. */
  @Transactional(propagation = Propagation.MANDATORY)
  void takeBack(Collection<Long> rows) {
    bulk.each("update attachment set removed = id where id = ? and removed = 0", rows);
  }

  /** Removes an attachment; returns the line of the trail that brings it back. */
  long remove(long toolId, long id) {
    return transaction.execute(status -> {
      store.lock(toolId);
      Attachment attachment = get(toolId, id);
      takeBack(List.of(id));
      live.say("tool", toolId, "attachment");
      return trail.record(
          TrailRecord.of(
                  "tool", toolId, "removed %s from %s".formatted(attachment.name(), code(toolId)))
              .undoneBy(REMOVED, new Removed(id)));
    });
  }

  /** Brings a removed attachment back. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void bringBack(Removed deed) {
    Attachment gone =
        jdbc.sql(SELECT + " where id = ? and removed <> 0")
            .param(deed.attachmentId())
            .query(Attachment.class)
            .optional()
            .orElseThrow(() -> Refusal.conflict("the attachment is back already"));
    store.lock(gone.toolId());
    if (named(gone.toolId(), gone.name()).isPresent()) {
      throw Refusal.conflict(
          "the tool has another attachment %s now; remove it first".formatted(gone.name()));
    }
    requireRoom(gone.toolId());
    jdbc.sql("update attachment set removed = 0 where id = ?").param(gone.id()).update();
    live.say("tool", gone.toolId(), "attachment");
  }

  private record OfTool(long toolId, String name, String sha256) {}

  @Override
  public Map<Long, List<Attached>> of(Collection<Long> toolIds) {
    return toolIds.isEmpty()
        ? new HashMap<>()
        : jdbc
            .sql(
                """
                select tool_id, name, sha256 from attachment
                where tool_id in (:ids) and removed = 0 order by tool_id, name_key\
                """)
            .param("ids", toolIds)
            .query(OfTool.class)
            .list()
            .stream()
            .collect(
                Collectors.groupingBy(
                    OfTool::toolId,
                    LinkedHashMap::new,
                    Collectors.mapping(
                        row -> new Attached(row.name(), row.sha256()), Collectors.toList())));
  }

  @Override
  public void copy(Attached attached, OutputStream target) throws IOException {
    contents.copy(attached.sha256(), target);
  }
}
