package arborline.server.edition;

import arborline.core.library.VisibleText;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.edition.EditionStore.PlacedTool;
import arborline.server.library.LibraryContents;
import arborline.server.library.LibraryLocks;
import arborline.server.library.LibraryRefill;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Publishes libraries: an edition is what stood in one, with a number, for ever. */
@Service
public class Editions {

  private static final int LONGEST_WORDS = 500;

  private final EditionStore store;
  private final LibraryNow now;
  private final LibraryLocks locks;
  private final LibraryGuard guard;
  private final Ids ids;
  private final Trail trail;
  private final Live live;
  private final Clock clock;
  private final LibraryRefill refill;
  private final LibraryContents libraries;

  Editions(
      EditionStore store,
      LibraryNow now,
      LibraryLocks locks,
      LibraryGuard guard,
      Ids ids,
      Trail trail,
      Live live,
      Clock clock,
      LibraryRefill refill,
      LibraryContents libraries) {
    this.libraries = libraries;
    this.refill = refill;
    this.store = store;
    this.now = now;
    this.locks = locks;
    this.guard = guard;
    this.ids = ids;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /** The editions of a library, the newest first. */
  @Transactional(readOnly = true)
  public List<EditionHead> of(long library) {
    guard.need(library, LibraryRight.USE);
    return store.of(library);
  }

  /** The name of a library that whoever asks sees. */
  @Transactional(readOnly = true)
  public String library(long id) {
    guard.need(id, LibraryRight.USE);
    return libraries.name(id);
  }

  /** An edition of a library that whoever asks sees. */
  @Transactional(readOnly = true)
  public EditionHead get(long id) {
    EditionHead edition = store.get(id);
    guard.need(edition.libraryId(), LibraryRight.USE);
    return edition;
  }

  /**
   * Publishes a library as it stands; nobody changes it meanwhile.
   *
   * @param words why
   */
  @Transactional
  public EditionHead make(long library, @Nullable String words) {
    String said = Optional.ofNullable(words).orElse("").strip();
    if (said.length() > LONGEST_WORDS) {
      throw Refusal.badRequest("words have at most %d characters".formatted(LONGEST_WORDS));
    }
    VisibleText.fault("the words", said)
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    String name = locks.lock(library, LibraryRight.MAINTAIN);
    Optional<EditionHead> before = store.newest(library);
    long id = ids.next("edition");
    MessageDigest digest = LibraryNow.digest();
    int[] tools = {0};
    now.visit(
        library,
        some -> {
          store.add(id, some);
          some.tools().forEach(tool -> digest.update(line(tool)));
          some.parts().forEach((code, hash) -> digest.update(line(code, hash)));
          tools[0] += some.tools().size();
        });
    String hash = HexFormat.of().formatHex(digest.digest());
    before
        .filter(newest -> newest.hash().equals(hash))
        .ifPresent(newest -> {
          throw Refusal.conflict(
              "nothing in library '%s' changed since edition %d".formatted(name, newest.number()));
        });
    EditionHead made =
        new EditionHead(
            id,
            library,
            before.map(EditionHead::number).orElse(0) + 1,
            said,
            hash,
            tools[0],
            Instant.now(clock),
            Actor.name());
    store.add(made);
    trail.record(
        TrailRecord.of(
            "library",
            library,
            "published edition %d of library %s".formatted(made.number(), name)));
    live.say("library", library, "edition");
    return made;
  }

  /**
   * A library that holds what an edition has: the tools, their versions, numbers and sections.
   * Cutting data and stacks belong to the tools and stay as they are.
   *
   * @param undo line of the trail that takes it back
   */
  record EditionBack(long libraryId, int number, int tools, long undo) {}

  /** Has the library hold again what an edition has. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  EditionBack back(long id) {
    EditionHead edition = get(id);
    String name = locks.lock(edition.libraryId(), LibraryRight.MAINTAIN);
    List<LibraryRefill.Wanted> wanted =
        store.tools(id).values().stream()
            .map(tool ->
                new LibraryRefill.Wanted(
                    tool.toolId(), tool.versionId(), tool.number(), tool.section()))
            .toList();
    long undo =
        refill.fill(
            edition.libraryId(),
            wanted,
            "took library %s back to edition %d".formatted(name, edition.number()));
    return new EditionBack(edition.libraryId(), edition.number(), edition.tools(), undo);
  }

  private static byte[] line(String part, String hash) {
    return "%s\t%s\n".formatted(part, hash).getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] line(PlacedTool tool) {
    return "%s\t%s\t%d\t%s\n"
        .formatted(tool.code(), tool.hash(), tool.number(), tool.section())
        .getBytes(StandardCharsets.UTF_8);
  }

  /** Tools of an edition behind a cursor, in the order of codes. */
  @Transactional(readOnly = true)
  Slice<PlacedTool> tools(long id, @Nullable String after, int limit) {
    get(id);
    String code = "";
    long tool = 0;
    if (after != null && !after.isEmpty()) {
      int end = after.indexOf('-');
      if (!after.substring(0, Math.max(0, end)).matches("\\d{1,18}")) {
        throw Refusal.badRequest("after is the cursor of the page before");
      }
      tool = Long.parseLong(after.substring(0, end));
      code = after.substring(end + 1);
    }
    return Slice.cut(
        store.tools(id, code, tool, limit + 1), limit, last -> last.toolId() + "-" + last.code());
  }
}
