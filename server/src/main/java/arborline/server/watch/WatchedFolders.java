package arborline.server.watch;

import arborline.core.library.Codes;
import arborline.server.account.Actor;
import arborline.server.library.Libraries;
import arborline.server.recipe.Recipes;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps which folders are watched. All of them stand in one place that the server was told. */
@Service
class WatchedFolders {

  private static final int MOST = 100;

  private final JdbcClient jdbc;
  private final Libraries libraries;
  private final Recipes recipes;
  private final Trail trail;
  private final Clock clock;
  private final String root;

  WatchedFolders(
      JdbcClient jdbc,
      Libraries libraries,
      Recipes recipes,
      Trail trail,
      Clock clock,
      @Value("${arbor.watched:}") String root) {
    this.jdbc = jdbc;
    this.libraries = libraries;
    this.recipes = recipes;
    this.trail = trail;
    this.clock = clock;
    this.root = root;
  }

  /**
   * A folder that is watched.
   *
   * @param libraryId into which its tools are meant to go; null for none
   * @param recipe by which its tables are read; null for the one that fits
   */
  record Folder(long id, String name, @Nullable Long libraryId, @Nullable String recipe) {}

  /** The place of all watched folders; nothing where the server was told none. */
  Optional<Path> root() {
    return root.isBlank() ? Optional.empty() : Optional.of(Path.of(root).toAbsolutePath());
  }

  Path place(Folder folder) {
    return root().orElseThrow().resolve(folder.name());
  }

  @Transactional(readOnly = true)
  public List<Folder> all() {
    return jdbc.sql("select id, name, library_id, recipe from watched_folder order by name")
        .query(Folder.class)
        .list();
  }

  /** Begins to watch a folder, which is made where it is not there. */
  @Transactional
  public Folder add(@Nullable String name, @Nullable Long libraryId, @Nullable String recipe) {
    Path place =
        root()
            .orElseThrow(() ->
                Refusal.conflict("this server watches no folders: start it with ARBOR_WATCHED"));
    String plain = name == null ? "" : name.strip();
    if (!plain.matches("[A-Za-z0-9][A-Za-z0-9 _-]{0,59}")) {
      throw Refusal.badRequest("a folder is named by up to 60 letters, digits, blanks, - and _");
    }
    if (libraryId != null) {
      libraries.get(libraryId);
    }
    if (recipe != null && !recipe.isBlank()) {
      recipes.named(recipe);
    }
    if (all().size() >= MOST) {
      throw Refusal.conflict("%d folders are watched already".formatted(MOST));
    }
    try {
      Files.createDirectories(place.resolve(plain));
      jdbc.sql(
              """
              insert into watched_folder
                (name, name_key, library_id, recipe, created_at, created_by)
              values (?, ?, ?, ?, ?, ?)\
              """)
          .params(
              plain,
              Codes.key(plain),
              libraryId,
              recipe == null || recipe.isBlank() ? null : recipe.strip(),
              LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC),
              Actor.name())
          .update();
    } catch (DuplicateKeyException taken) {
      throw Refusal.conflict("folder %s is watched already".formatted(plain));
    } catch (IOException failed) {
      throw Refusal.conflict("the folder cannot be made: " + failed.getMessage());
    }
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    trail.record(TrailRecord.of("folder", id, "watches folder " + plain));
    return new Folder(id, plain, libraryId, recipe);
  }

  /** Watches a folder no more; what is in it stays. */
  @Transactional
  public void remove(long id) {
    Folder folder =
        all().stream()
            .filter(known -> known.id() == id)
            .findFirst()
            .orElseThrow(() -> Refusal.notFound("there is no watched folder " + id));
    jdbc.sql("delete from watched_file where folder_id = ?").param(id).update();
    jdbc.sql("delete from watched_folder where id = ?").param(id).update();
    trail.record(TrailRecord.of("folder", id, "no longer watches folder " + folder.name()));
  }
}
