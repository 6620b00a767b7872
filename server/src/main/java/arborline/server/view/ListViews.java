package arborline.server.view;

import arborline.core.library.VisibleText;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Views of lists: one's own, and those that others share. */
@Service
class ListViews {

  private static final int MOST = 50;
  private static final int LONGEST_NAME = 60;
  private static final String SELECT =
      """
      select id, owner, name, shared, version_no, definition, changed_by
      from list_view where\
      """;

  private final JdbcClient jdbc;
  private final Json json;
  private final Live live;
  private final Clock clock;

  ListViews(JdbcClient jdbc, Json json, Live live, Clock clock) {
    this.jdbc = jdbc;
    this.json = json;
    this.live = live;
    this.clock = clock;
  }

  /**
   * A view.
   *
   * @param owner who made it
   * @param changeable true where whoever asks may change and delete it
   */
  record ListView(
      long id,
      String name,
      String owner,
      boolean shared,
      boolean changeable,
      int version,
      ViewDefinition definition) {}

  private record Row(
      long id,
      String owner,
      String name,
      boolean shared,
      int version,
      String definition,
      String changedBy) {

    private static Row of(ResultSet row) throws SQLException {
      return new Row(
          row.getLong(1),
          row.getString(2),
          row.getString(3),
          row.getBoolean(4),
          row.getInt(5),
          row.getString(6),
          row.getString(7));
    }

    private boolean changeable() {
      return owner.equals(Actor.name()) || shared && Actor.may(Permission.EDIT);
    }
  }

  /** One's own and the shared ones, by name. */
  @Transactional(readOnly = true)
  List<ListView> all() {
    return jdbc
        .sql(SELECT + " owner = ? or shared order by name, id")
        .param(Actor.name())
        .query((row, number) -> Row.of(row))
        .list()
        .stream()
        .map(this::view)
        .toList();
  }

  private ListView view(Row row) {
    return new ListView(
        row.id(),
        row.name(),
        row.owner(),
        row.shared(),
        row.changeable(),
        row.version(),
        json.read(row.definition(), ViewDefinition.class));
  }

  /** Keeps a new view. */
  @Transactional
  ListView add(String name, boolean shared, ViewDefinition definition) {
    String called = name(name);
    check(shared, definition);
    int has =
        jdbc.sql("select count(*) from list_view where owner = ?")
            .param(Actor.name())
            .query(Integer.class)
            .single();
    if (has >= MOST) {
      throw Refusal.conflict("%d views are kept at most; delete one first".formatted(MOST));
    }
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    try {
      jdbc.sql(
              """
              insert into list_view (owner, name, name_key, shared, version_no, definition,
                changed_at, changed_by)
              values (?, ?, ?, ?, 1, ?, ?, ?)\
              """)
          .params(
              Actor.name(),
              called,
              key(called),
              shared,
              json.text(definition),
              Timestamp.from(Instant.now(clock)),
              Actor.name())
          .update(key);
    } catch (DuplicateKeyException taken) {
      throw taken(called);
    }
    live.say("view", key.getKeyAs(Number.class).longValue(), "");
    return view(row(key.getKeyAs(Number.class).longValue()));
  }

  /**
   * Keeps a view as it is now.
   *
   * @param version that was looked at
   * @throws Refusal where somebody changed it since
   */
  @Transactional
  ListView change(long id, int version, String name, boolean shared, ViewDefinition definition) {
    String called = name(name);
    check(shared, definition);
    Row row = changeable(id);
    try {
      int changed =
          jdbc.sql(
                  """
                  update list_view set name = ?, name_key = ?, shared = ?, definition = ?,
                    version_no = version_no + 1, changed_at = ?, changed_by = ?
                  where id = ? and version_no = ?\
                  """)
              .params(
                  called,
                  key(called),
                  shared,
                  json.text(definition),
                  Timestamp.from(Instant.now(clock)),
                  Actor.name(),
                  id,
                  version)
              .update();
      if (changed == 0) {
        throw Refusal.conflict(
            "%s changed the view '%s' since; look at it again, or keep yours under another name"
                .formatted(row.changedBy(), row.name()));
      }
    } catch (DuplicateKeyException taken) {
      throw taken(called);
    }
    live.say("view", id, "");
    return view(row(id));
  }

  @Transactional
  void delete(long id) {
    changeable(id);
    jdbc.sql("delete from list_view where id = ?").param(id).update();
    live.say("view", id, "");
  }

  private Row changeable(long id) {
    Row row = row(id);
    if (!row.changeable()) {
      throw Refusal.conflict(
          "'%s' belongs to %s; keep yours under another name".formatted(row.name(), row.owner()));
    }
    return row;
  }

  private Row row(long id) {
    return jdbc.sql(SELECT + " id = ? and (owner = ? or shared)")
        .params(id, Actor.name())
        .query((row, number) -> Row.of(row))
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no view " + id));
  }

  private static void check(boolean shared, ViewDefinition definition) {
    definition.check();
    if (shared && !Actor.may(Permission.EDIT)) {
      throw Refusal.conflict("your role keeps views for itself; only who changes libraries shares");
    }
  }

  private static String name(String given) {
    String name = given.strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw Refusal.badRequest("a view has a name of 1 to %d characters".formatted(LONGEST_NAME));
    }
    VisibleText.fault("name", name)
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    return name;
  }

  private static String key(String name) {
    return name.toUpperCase(Locale.ROOT);
  }

  private static Refusal taken(String name) {
    return Refusal.conflict("there is a view '%s' already".formatted(name));
  }
}
