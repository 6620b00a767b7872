package arborline.server.post;

import arborline.core.post.OperationDefaults;
import arborline.core.post.Post;
import arborline.core.post.PostFaults;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.edition.EditionStore;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.post.PostStore.Defaults;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Posts of the shop: what they need, which machine they serve, what they bring. */
@Service
public class Posts implements Undo<Posts.Changed> {

  private static final UndoKind<Changed> KIND =
      new UndoKind<>("post.changed", 1, Changed.class, Permission.EDIT);

  private final PostStore store;
  private final Machines machines;
  private final EditionStore editions;
  private final LibraryGuard guard;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;

  Posts(
      PostStore store,
      Machines machines,
      EditionStore editions,
      LibraryGuard guard,
      Trail trail,
      Live live,
      Json json,
      Clock clock) {
    this.store = store;
    this.machines = machines;
    this.editions = editions;
    this.guard = guard;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
  }

  /**
   * A post as somebody wants it.
   *
   * @param machine which it serves; null for none
   * @param library that comes with it; null for none
   * @param edition of that library which it cites; null for none in particular
   */
  public record PostDraft(
      @Nullable Post post,
      @Nullable String machine,
      @Nullable Long library,
      @Nullable Long edition) {}

  /** A post before a change; null where there was none. */
  public record Changed(long post, @Nullable String before, int versionAfter) {}

  /** What was done. */
  public record PostDone(long id, int version, long undo) {}

  @Transactional(readOnly = true)
  List<PostRow> all() {
    return store.all();
  }

  @Transactional(readOnly = true)
  PostRow get(long id) {
    return store
        .get(id)
        .filter(post -> !post.deleted())
        .orElseThrow(() -> Refusal.notFound("there is no post " + id));
  }

  private PostRow lock(long id) {
    return store
        .lock(id)
        .filter(post -> !post.deleted())
        .orElseThrow(() -> Refusal.notFound("there is no post " + id));
  }

  @Transactional
  PostDone create(PostDraft draft) {
    Post post = sound(draft, 0);
    long id =
        store.insert(
            new PostRow(0, post, draft.machine(), draft.library(), draft.edition(), 1, false));
    return done(id, "made post '%s'".formatted(post.name()), null);
  }

  /** Makes a post with its defaults. */
  @Transactional
  public PostDone bring(PostDraft draft, Map<String, String> values) {
    refuse(new OperationDefaults(values));
    PostDone made = create(draft);
    if (!values.isEmpty()) {
      store.addDefaults(made.id(), 1, values, Instant.now(clock), Actor.name());
    }
    return made;
  }

  private Post sound(PostDraft draft, long id) {
    if (draft.post() == null) {
      throw Refusal.badRequest("post: say what it needs");
    }
    List<String> faults = PostFaults.of(draft.post());
    if (!faults.isEmpty()) {
      throw Refusal.badRequest(String.join("; ", faults));
    }
    if (store.named(draft.post().name(), id)) {
      throw Refusal.conflict(
          "there is a post '%s' already; choose another name".formatted(draft.post().name()));
    }
    if (draft.machine() != null) {
      machines.get(draft.machine());
    }
    if (draft.library() == null && draft.edition() != null) {
      throw Refusal.badRequest("library: say of which library the edition is");
    }
    if (draft.library() != null) {
      guard.need(draft.library(), LibraryRight.USE);
      if (draft.edition() != null && editions.get(draft.edition()).libraryId() != draft.library()) {
        throw Refusal.badRequest("edition %d is of another library".formatted(draft.edition()));
      }
    }
    return draft.post();
  }

  private PostDone done(long id, String text, @Nullable PostRow before) {
    int version = store.get(id).orElseThrow().version();
    live.say("post", Long.toString(id), "changed");
    long undo =
        trail.record(
            TrailRecord.of("post", Long.toString(id), text)
                .undoneBy(
                    KIND, new Changed(id, before == null ? null : json.text(before), version)));
    return new PostDone(id, version, undo);
  }

  /** Changes a post from a version of it on. */
  @Transactional
  PostDone change(long id, int version, PostDraft draft) {
    PostRow before = lock(id);
    if (before.version() != version) {
      throw Refusal.conflict("somebody changed this post meanwhile; look at it as it is now");
    }
    Post post = sound(draft, id);
    store.update(
        new PostRow(id, post, draft.machine(), draft.library(), draft.edition(), version, false),
        null);
    return done(id, "changed post '%s'".formatted(post.name()), before);
  }

  /** Has a post bring another library. */
  @Transactional
  public void bringing(long id, long library, @Nullable Long edition) {
    PostRow now = lock(id);
    change(id, now.version(), new PostDraft(now.post(), now.machine(), library, edition));
  }

  /** Has a post serve another machine. */
  @Transactional
  public void serving(long id, String machine) {
    PostRow now = lock(id);
    change(id, now.version(), new PostDraft(now.post(), machine, now.library(), now.edition()));
  }

  @Transactional
  PostDone delete(long id) {
    PostRow before = lock(id);
    store.update(before, Instant.now(clock));
    return done(id, "deleted post '%s'".formatted(before.post().name()), before);
  }

  /**
   * Has other defaults come with a post; those before are kept.
   *
   * @param version of the defaults that somebody started from; 0 for none
   */
  @Transactional
  Defaults defaults(long id, int version, Map<String, String> values) {
    PostRow post = lock(id);
    refuse(new OperationDefaults(values));
    if (store.defaults(id).version() != version) {
      throw Refusal.conflict(
          "somebody changed these defaults meanwhile; look at them as they are now");
    }
    store.addDefaults(id, version + 1, values, Instant.now(clock), Actor.name());
    live.say("post", Long.toString(id), "defaults");
    trail.record(
        TrailRecord.of(
            "post",
            Long.toString(id),
            "changed the defaults of post '%s', version %d"
                .formatted(post.post().name(), version + 1)));
    return store.defaults(id);
  }

  static void refuse(OperationDefaults defaults) {
    List<String> faults = defaults.faults();
    if (!faults.isEmpty()) {
      throw Refusal.badRequest(String.join("; ", faults));
    }
  }

  /**
   * Has a single default be otherwise at a machine, or for whoever asks.
   *
   * @param machine null for whoever asks
   * @param value null for as it comes
   */
  @Transactional
  void own(long id, @Nullable String machine, String key, @Nullable String value) {
    PostRow post = lock(id);
    refuse(new OperationDefaults(Map.of(key, value == null ? "" : value)), value == null);
    long account =
        machine == null
            ? Actor.account()
                .orElseThrow(() -> Refusal.badRequest("machine: a key has no defaults of its own"))
            : 0;
    if (machine != null) {
      machines.get(machine);
    }
    store.setOwn(id, machine == null ? "" : machine, account, key, value);
    live.say("post", Long.toString(id), "defaults");
    if (machine != null) {
      trail.record(
          TrailRecord.of(
              "post",
              Long.toString(id),
              "%s has %s %s of post '%s'"
                  .formatted(
                      machine,
                      key,
                      value == null ? "as it comes" : "as " + value,
                      post.post().name())));
    }
  }

  private static void refuse(OperationDefaults defaults, boolean keyOnly) {
    List<String> faults =
        defaults.faults().stream()
            .filter(fault -> !keyOnly || fault.endsWith("is no default that is known"))
            .toList();
    if (!faults.isEmpty()) {
      throw Refusal.badRequest(String.join("; ", faults));
    }
  }

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed changed) {
    PostRow now =
        store
            .lock(changed.post())
            .orElseThrow(() -> Refusal.notFound("there is no post " + changed.post()));
    if (now.version() != changed.versionAfter()) {
      throw Refusal.conflict("the post was changed since; take that back first");
    }
    if (changed.before() == null) {
      store.update(now, Instant.now(clock));
    } else {
      PostRow before = json.read(changed.before(), PostRow.class);
      if (store.named(before.post().name(), before.id())) {
        throw Refusal.conflict("another post is called '%s' now".formatted(before.post().name()));
      }
      store.update(before, null);
    }
    live.say("post", Long.toString(changed.post()), "changed");
  }
}
