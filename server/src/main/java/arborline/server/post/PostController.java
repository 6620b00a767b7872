package arborline.server.post;

import arborline.core.post.DefaultKey;
import arborline.core.post.DefaultLayers;
import arborline.core.post.DefaultLayers.Effective;
import arborline.core.post.FeedShares;
import arborline.core.post.FeedShares.PurposeFeed;
import arborline.core.post.Post;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.account.MayEdit;
import arborline.server.edition.EditionStore;
import arborline.server.machine.Machines;
import arborline.server.post.PostChecks.PostReport;
import arborline.server.post.PostStore.Defaults;
import arborline.server.post.Posts.PostDone;
import arborline.server.post.Posts.PostDraft;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/posts")
class PostController {

  private static final String FORMAT = "arbor-line-post";
  private static final BigDecimal MOST_FEED = new BigDecimal(1_000_000);
  private static final int FINEST = 12;

  private final Posts posts;
  private final PostStore store;
  private final PostChecks checks;
  private final Machines machines;
  private final EditionStore editions;
  private final LibraryGuard guard;
  private final JdbcClient jdbc;

  PostController(
      Posts posts,
      PostStore store,
      PostChecks checks,
      Machines machines,
      EditionStore editions,
      LibraryGuard guard,
      JdbcClient jdbc) {
    this.posts = posts;
    this.store = store;
    this.checks = checks;
    this.machines = machines;
    this.editions = editions;
    this.guard = guard;
    this.jdbc = jdbc;
  }

  /**
   * A post with what it brings.
   *
   * @param machineName null where it serves none, or that was retired
   * @param libraryName null where it brings none, or whoever asks does not see it
   * @param editionNo null where it cites none
   * @param strays links that lead nowhere, in sentences
   */
  record PostView(
      long id,
      Post post,
      int version,
      @Nullable String machine,
      @Nullable String machineName,
      @Nullable Long library,
      @Nullable String libraryName,
      @Nullable Long edition,
      @Nullable Integer editionNo,
      int defaultsVersion,
      List<String> strays) {}

  /** A post as a file, with its defaults. */
  record PostFile(
      @Nullable String format,
      @Nullable Integer version,
      @Nullable Post post,
      @Nullable Map<String, String> defaults) {}

  /**
   * A default that can be said.
   *
   * @param unit mm, deg, share, text, or empty for a fixed choice
   */
  record DefaultKeyView(String key, String unit, List<String> words) {}

  /** Defaults that count, and where each comes from. */
  record DefaultsView(int version, List<Effective> items) {}

  record DefaultsOrder(@Nullable Integer version, @Nullable Map<String, @Nullable String> values) {}

  /**
   * A single default that is otherwise.
   *
   * @param machine null for whoever asks
   * @param value null for as it comes
   */
  record OwnDefault(@Nullable String machine, @Nullable String key, @Nullable String value) {}

  PostView view(PostRow row) {
    Optional<String> machine = machineName(row.machine());
    Optional<String> library = libraryName(row.library());
    Optional<Integer> edition =
        library.isEmpty() || row.edition() == null
            ? Optional.empty()
            : Optional.of(editions.get(row.edition()).number());
    List<String> strays = new java.util.ArrayList<>();
    if (row.machine() != null && machine.isEmpty()) {
      strays.add("machine %s was retired".formatted(row.machine()));
    }
    if (row.library() != null && library.isEmpty()) {
      strays.add("its library was deleted, or is not yours to see");
    }
    return new PostView(
        row.id(),
        row.post(),
        row.version(),
        row.machine(),
        machine.orElse(null),
        row.library(),
        library.orElse(null),
        row.edition(),
        edition.orElse(null),
        store.defaults(row.id()).version(),
        strays);
  }

  private Optional<String> machineName(@Nullable String id) {
    return machines.all().stream()
        .map(Machines.Linked::machine)
        .filter(machine -> machine.id().equals(id))
        .map(machine -> machine.name())
        .findFirst();
  }

  private Optional<String> libraryName(@Nullable Long id) {
    return id == null || guard.right(id).filter(right -> right.includes(LibraryRight.USE)).isEmpty()
        ? Optional.empty()
        : jdbc.sql("select name from library where id = ? and put_away_at is null")
            .param(id)
            .query(String.class)
            .optional();
  }

  @GetMapping
  Slice<PostView> all(@RequestParam(required = false) @Nullable String machine) {
    return Slice.all(
        posts.all().stream()
            .filter(post -> machine == null || machine.equals(post.machine()))
            .map(this::view)
            .toList());
  }

  @GetMapping("/{id}")
  PostView one(@PathVariable long id) {
    return view(posts.get(id));
  }

  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  PostDone create(@RequestBody PostDraft draft) {
    return posts.create(draft);
  }

  @PutMapping("/{id}")
  @MayEdit
  PostDone change(@PathVariable long id, @RequestParam int version, @RequestBody PostDraft draft) {
    return posts.change(id, version, draft);
  }

  @DeleteMapping("/{id}")
  @MayEdit
  PostDone delete(@PathVariable long id) {
    return posts.delete(id);
  }

  /** What of a library can be posted; of the post's own where none is named. */
  @GetMapping("/{id}/check")
  PostReport check(@PathVariable long id, @RequestParam(required = false) @Nullable Long library) {
    return checks.check(id, library);
  }

  @GetMapping("/{id}/file")
  ResponseEntity<PostFile> file(@PathVariable long id) {
    PostRow post = posts.get(id);
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename("post-%d.json".formatted(id))
                .build()
                .toString())
        .body(new PostFile(FORMAT, 1, post.post(), store.defaults(id).values()));
  }

  /** Makes a post of a file. */
  @PostMapping("/import")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  PostDone bring(@RequestBody PostFile file) {
    if (!FORMAT.equals(file.format()) || file.version() == null || file.version() != 1) {
      throw Refusal.badRequest(
          "format: this is no post; its format is '%s', version 1".formatted(FORMAT));
    }
    return posts.bring(
        new PostDraft(file.post(), null, null, null),
        file.defaults() == null ? Map.of() : file.defaults());
  }

  @GetMapping("/default-keys")
  Slice<DefaultKeyView> keys() {
    return Slice.all(
        Arrays.stream(DefaultKey.values())
            .map(key -> new DefaultKeyView(key.key(), key.unit(), key.words()))
            .toList());
  }

  /**
   * What operations begin with, for whoever asks, at a machine; that of the post where none is
   * named.
   */
  @GetMapping("/{id}/defaults")
  DefaultsView defaults(
      @PathVariable long id, @RequestParam(required = false) @Nullable String machine) {
    PostRow post = posts.get(id);
    String at = machine == null ? post.machine() : machine;
    Defaults defaults = store.defaults(id);
    return new DefaultsView(
        defaults.version(),
        DefaultLayers.of(
            defaults.values(),
            at == null ? Map.of() : store.own(id, at, 0),
            Actor.account().map(account -> store.own(id, "", account)).orElse(Map.of())));
  }

  /**
   * Feeds by purpose, for whoever asks.
   *
   * @param feed what the cutting data say, mm/min
   */
  @GetMapping("/{id}/feeds")
  Slice<PurposeFeed> feeds(
      @PathVariable long id,
      @RequestParam BigDecimal feed,
      @RequestParam(required = false) @Nullable String machine) {
    if (feed.signum() <= 0 || feed.compareTo(MOST_FEED) > 0 || feed.scale() > FINEST) {
      throw Refusal.badRequest(
          "feed: above 0 up to %s mm/min".formatted(MOST_FEED.toPlainString()));
    }
    return Slice.all(FeedShares.of(defaults(id, machine).items(), feed));
  }

  @PutMapping("/{id}/defaults")
  @MayEdit
  DefaultsView change(@PathVariable long id, @RequestBody DefaultsOrder order) {
    if (order.values() == null || order.version() == null) {
      throw Refusal.badRequest("values and version are missing");
    }
    posts.defaults(id, order.version(), order.values());
    return defaults(id, null);
  }

  @PutMapping("/{id}/defaults/machine")
  @MayEdit
  DefaultsView atMachine(@PathVariable long id, @RequestBody OwnDefault own) {
    if (own.machine() == null || own.key() == null) {
      throw Refusal.badRequest("machine and key are missing");
    }
    posts.own(id, own.machine(), own.key(), own.value());
    return defaults(id, own.machine());
  }

  /** Has a single default be otherwise for whoever asks. */
  @PutMapping("/{id}/defaults/mine")
  DefaultsView mine(@PathVariable long id, @RequestBody OwnDefault own) {
    if (own.key() == null) {
      throw Refusal.badRequest("key: say which default");
    }
    posts.own(id, null, own.key(), own.value());
    return defaults(id, null);
  }
}
