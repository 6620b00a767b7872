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

/** Files that belong to tools and parts. A name stands once on each; a content is kept once. */
@Service
class Attachments implements AttachmentsOfTools {

  static final UndoKind<Removed> REMOVED =
      new UndoKind<>("attachment.removed", 1, Removed.class, Permission.EDIT);

  private static final long LARGEST = 64L * 1024 * 1024;
  private static final int MOST = 50;
  private static final int COPIED_AT_ONCE = 1000;
  private static final int LONGEST_NAME = 150;

  private final StoredContent contents;
  private final AttachmentOwners owners;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final TransactionTemplate transaction;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  Attachments(
      StoredContent contents,
      AttachmentOwners owners,
      JdbcClient jdbc,
      Bulk bulk,
      TransactionTemplate transaction,
      Trail trail,
      Live live,
      Clock clock) {
    this.contents = contents;
    this.owners = owners;
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
   * A file that belongs to a tool or a part.
   *
   * @param size in bytes
   */
  record Attachment(
      long id,
      AttachmentOwner.Kind owner,
      long ownerId,
      String name,
      String mediaType,
      long size,
      String sha256,
      LocalDateTime createdAt,
      String createdBy) {

    AttachmentOwner belongsTo() {
      return new AttachmentOwner(owner, ownerId);
    }

    Attached attached() {
      return new Attached(name, sha256);
    }
  }

  private static final String SELECT =
      """
      select id, owner, owner_id, name, media_type, size, sha256, created_at, created_by from attachment
      """;

  List<Attachment> all(AttachmentOwner owner) {
    owners.code(owner);
    return jdbc.sql(SELECT + " where owner = ? and owner_id = ? and removed = 0 order by name_key")
        .params(owner.kind().name(), owner.id())
        .query(Attachment.class)
        .list();
  }

  Attachment get(AttachmentOwner owner, long id) {
    return jdbc.sql(SELECT + " where owner = ? and owner_id = ? and id = ? and removed = 0")
        .params(owner.kind().name(), owner.id(), id)
        .query(Attachment.class)
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no such attachment"));
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

  /** Attaches a file. */
  Attachment add(AttachmentOwner owner, String givenName, Path file) throws IOException {
    String code = owners.code(owner);
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
            owners.lock(owner);
            requireRoom(owner);
            if (named(owner, name).isPresent()) {
              throw Refusal.conflict(
                  "%s has an attachment %s already; remove it first".formatted(code, name));
            }
            contents.keep(sha256, file);
            long added = insert(owner, name, size, sha256);
            trail.record(
                TrailRecord.of(
                    owner.kind().word(), owner.id(), "attached %s to %s".formatted(name, code)));
            return added;
          } catch (IOException broken) {
            throw new UncheckedIOException(broken);
          }
        });
    return get(owner, id);
  }

  private void requireRoom(AttachmentOwner owner) {
    long there =
        jdbc.sql("select count(*) from attachment where owner = ? and owner_id = ? and removed = 0")
            .params(owner.kind().name(), owner.id())
            .query(Long.class)
            .single();
    if (there >= MOST) {
      throw Refusal.conflict("at most %d attachments are possible".formatted(MOST));
    }
  }

  private Optional<String> named(AttachmentOwner owner, String name) {
    return jdbc.sql(
            """
            select sha256 from attachment
            where owner = ? and owner_id = ? and removed = 0 and name_key = ?\
            """)
        .params(owner.kind().name(), owner.id(), key(name))
        .query(String.class)
        .optional();
  }

  private long insert(AttachmentOwner owner, String name, long size, String sha256) {
    jdbc.sql(
            """
            insert into attachment (owner, owner_id, name, name_key, media_type, size, sha256,
              created_at, created_by)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            owner.kind().name(),
            owner.id(),
            name,
            key(name),
            FileKind.mediaType(name),
            size,
            sha256,
            LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC),
            Actor.name())
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    live.say(owner.kind().word(), owner.id(), "attachment");
    return id;
  }

  /** A file of a delivery that is meant for a tool or a part. */
  record Delivered(String name, long size, String sha256, long deliveryId, int fileNo) {}

  /** Those of these files that one does not have. */
  List<Delivered> unknown(AttachmentOwner owner, Collection<Delivered> some) {
    List<String> known =
        jdbc.sql("select sha256 from attachment where owner = ? and owner_id = ? and removed = 0")
            .params(owner.kind().name(), owner.id())
            .query(String.class)
            .list();
    return some.stream().filter(file -> !known.contains(file.sha256())).toList();
  }

  /** Attaches files of a delivery to what is locked; returns the rows that were made. */
  @Transactional(propagation = Propagation.MANDATORY)
  List<Long> take(AttachmentOwner owner, Collection<Delivered> some) {
    return unknown(owner, some).stream()
        .filter(file -> file.size() <= LARGEST)
        .limit(MOST)
        .map(file -> {
          contents.keep(file.sha256(), file.size(), file.deliveryId(), file.fileNo());
          return insert(owner, free(owner, plainName(file.name())), file.size(), file.sha256());
        })
        .toList();
  }

  /** A name that no other attachment of it has: {@code photo-2.png}. */
  private String free(AttachmentOwner owner, String name) {
    int dot = name.lastIndexOf('.');
    String base = dot < 0 ? name : name.substring(0, dot);
    String free = name;
    for (int number = 2; named(owner, free).isPresent(); number++) {
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
  long remove(AttachmentOwner owner, long id) {
    return transaction.execute(status -> {
      owners.lock(owner);
      Attachment attachment = get(owner, id);
      takeBack(List.of(id));
      live.say(owner.kind().word(), owner.id(), "attachment");
      return trail.record(
          TrailRecord.of(
                  owner.kind().word(),
                  owner.id(),
                  "removed %s from %s".formatted(attachment.name(), owners.code(owner)))
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
    AttachmentOwner owner = gone.belongsTo();
    owners.lock(owner);
    if (named(owner, gone.name()).isPresent()) {
      throw Refusal.conflict(
          "%s has another attachment %s now; remove it first"
              .formatted(owners.code(owner), gone.name()));
    }
    requireRoom(owner);
    jdbc.sql("update attachment set removed = 0 where id = ?").param(gone.id()).update();
    live.say(owner.kind().word(), owner.id(), "attachment");
  }

  private record Owned(long ownerId, String name, String sha256) {}

  @Override
  public Map<Long, List<Attached>> of(Collection<Long> toolIds) {
    return of(AttachmentOwner.Kind.TOOL, toolIds);
  }

  @Override
  public Map<Long, List<Attached>> ofParts(Collection<Long> componentIds) {
    return of(AttachmentOwner.Kind.COMPONENT, componentIds);
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void copyAll(Map<Long, Long> copies) {
    Map<Long, List<Attached>> known = new HashMap<>();
    List<Long> all = List.copyOf(copies.keySet());
    for (int from = 0; from < all.size(); from += COPIED_AT_ONCE) {
      known.putAll(of(all.subList(from, Math.min(all.size(), from + COPIED_AT_ONCE))));
    }
    known.keySet().forEach(original -> copy(original, copies.get(original)));
  }

  private void copy(long original, long copy) {
    jdbc.sql(
            """
            insert into attachment (owner, owner_id, name, name_key, media_type, size, sha256,
              created_at, created_by)
            select owner, :copy, name, name_key, media_type, size, sha256, created_at, created_by
            from attachment a where owner = 'TOOL' and owner_id = :original and removed = 0
              and not exists (select 1 from attachment own
                where own.owner = 'TOOL' and own.owner_id = :copy and own.removed = 0)\
            """)
        .param("copy", copy)
        .param("original", original)
        .update();
  }

  private Map<Long, List<Attached>> of(AttachmentOwner.Kind kind, Collection<Long> ids) {
    return ids.isEmpty()
        ? new HashMap<>()
        : jdbc
            .sql(
                """
                select owner_id, name, sha256 from attachment
                where owner = :owner and owner_id in (:ids) and removed = 0
                order by owner_id, name_key\
                """)
            .param("owner", kind.name())
            .param("ids", ids)
            .query(Owned.class)
            .list()
            .stream()
            .collect(
                Collectors.groupingBy(
                    Owned::ownerId,
                    LinkedHashMap::new,
                    Collectors.mapping(
                        row -> new Attached(row.name(), row.sha256()), Collectors.toList())));
  }

  @Override
  public void copy(Attached attached, OutputStream target) throws IOException {
    contents.copy(attached.sha256(), target);
  }
}
