package arborline.server.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.TableReading;
import arborline.core.recipe.Recipe;
import arborline.server.account.Actor;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps recipes. Each saving under a name is one more version; the newest one is used. */
@Service
public class Recipes {

  private static final int MOST = 500;

  private final JdbcClient jdbc;
  private final Trail trail;
  private final Json json;
  private final Clock clock;

  Recipes(JdbcClient jdbc, Trail trail, Json json, Clock clock) {
    this.jdbc = jdbc;
    this.trail = trail;
    this.json = json;
    this.clock = clock;
  }

  /** A recipe that is kept. */
  public record Kept(long id, Instant at, String by, Recipe recipe) {}

  private record Row(long id, String name, int number, String body, LocalDateTime at, String by) {}

  private Kept kept(Row row) {
    Recipe read = json.read(row.body(), RecipeBody.class).recipe();
    return new Kept(
        row.id(),
        row.at().toInstant(ZoneOffset.UTC),
        row.by(),
        new Recipe(
            row.name(),
            row.number(),
            read.headers(),
            read.charset(),
            read.delimiter(),
            read.decimal(),
            read.unit(),
            read.columns(),
            read.constants()));
  }

  private static final String NEWEST =
      """
      select r.id, r.name, r.number, r.body, r.created_at as at, r.created_by as `by`
      from recipe r
      join (select name_key, max(number) as number from recipe
        where put_away_at is null group by name_key) newest
        on newest.name_key = r.name_key and newest.number = r.number
      """;

  /** The newest version of each, by name. */
  @Transactional(readOnly = true)
  public List<Kept> all() {
    return jdbc.sql(NEWEST + " order by r.name limit " + MOST).query(Row.class).list().stream()
        .map(this::kept)
        .toList();
  }

  /** One version. */
  @Transactional(readOnly = true)
  public Kept get(long id) {
    return jdbc.sql(
            "select id, name, number, body, created_at as at, created_by as `by` from recipe"
                + " where id = ? and put_away_at is null")
        .param(id)
        .query(Row.class)
        .optional()
        .map(this::kept)
        .orElseThrow(() -> Refusal.notFound("there is no recipe " + id));
  }

  /** By its number as an address has it, or by its name. */
  @Transactional(readOnly = true)
  public Kept named(String idOrName) {
    Optional<Kept> byName =
        jdbc.sql(NEWEST + " where r.name_key = ?")
            .param(Recipe.key(idOrName))
            .query(Row.class)
            .optional()
            .map(this::kept);
    if (byName.isPresent()) {
      return byName.get();
    }
    if (idOrName.matches("\\d{1,18}")) {
      return get(Long.parseLong(idOrName));
    }
    throw Refusal.notFound(
        "there is no recipe '%s'"
            .formatted(idOrName.length() > 100 ? idOrName.substring(0, 100) : idOrName));
  }

  /** The recipe for a table with these columns: the most alike of those that fit. */
  @Transactional(readOnly = true)
  public Optional<Kept> fitting(TableReading proposed) {
    List<String> headers = proposed.columns().stream().map(Column::header).toList();
    Kept best = null;
    double most = 0;
    for (Kept kept : headers.isEmpty() ? List.<Kept>of() : all()) {
      double likeness = kept.recipe().likeness(headers);
      if (kept.recipe().fits(headers) && likeness > most) {
        best = kept;
        most = likeness;
      }
    }
    return Optional.ofNullable(best);
  }

  /** Keeps a recipe that comes as JSON. */
  @Transactional
  public Kept save(RecipeBody body) {
    return save(body.recipe());
  }

  /** Keeps what was decided about reading a table under a name. */
  @Transactional
  public Kept save(@Nullable String name, TableReading reading) {
    return save(Recipe.of(RecipeBody.checkedName(name), 1, reading));
  }

  /** Keeps a way of reading under a name, as one more version where the name is known. */
  @Transactional
  public Kept save(Recipe wanted) {
    String key = Recipe.key(wanted.name());
    int number =
        jdbc.sql("select coalesce(max(number), 0) + 1 from recipe where name_key = ? for update")
            .param(key)
            .query(Integer.class)
            .single();
    Recipe numbered =
        new Recipe(
            wanted.name(),
            number,
            wanted.headers(),
            wanted.charset(),
            wanted.delimiter(),
            wanted.decimal(),
            wanted.unit(),
            wanted.columns(),
            wanted.constants());
    Instant now = Instant.now(clock);
    try {
      jdbc.sql(
              """
              insert into recipe (name, name_key, number, body, created_at, created_by)
              values (?, ?, ?, ?, ?, ?)\
              """)
          .params(
              wanted.name(),
              key,
              number,
              json.text(RecipeBody.of(numbered)),
              LocalDateTime.ofInstant(now, ZoneOffset.UTC),
              Actor.name())
          .update();
    } catch (DuplicateKeyException taken) {
      throw Refusal.conflict(
          "somebody saved a recipe under this name at the same moment; save it again");
    }
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    trail.record(
        TrailRecord.of(
            "recipe", id, "saved recipe %s, version %d".formatted(wanted.name(), number)));
    return new Kept(id, now, Actor.name(), numbered);
  }

  /**
   * Puts all versions of a recipe away; deliveries that were read by it stay as they are.
   *
   * @return line of the trail that brings it back
   */
  @Transactional
  public long putAway(long id) {
    Kept kept = get(id);
    String key = Recipe.key(kept.recipe().name());
    LocalDateTime now = LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC);
    jdbc.sql("update recipe set put_away_at = ? where name_key = ? and put_away_at is null")
        .params(now, key)
        .update();
    return trail.record(
        TrailRecord.of("recipe", id, "deleted recipe " + kept.recipe().name())
            .undoneBy(RecipeUndo.KIND, new RecipeUndo.PutAway(key)));
  }
}
