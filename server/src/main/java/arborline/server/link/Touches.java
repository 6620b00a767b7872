package arborline.server.link;

import arborline.core.sharing.LibraryRight;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a change of something would touch. */
@Service
class Touches {

  private static final int SHOWN = 100;

  /** Leaves out tools that stand only in libraries that whoever asks does not see. */
  private static final String SEEN =
      """
       and (not exists (select 1 from entry x where x.tool_id = %1$s)
        or exists (select 1 from entry x where x.tool_id = %1$s and x.library_id not in (:hidden)))\
      """;

  private final JdbcClient jdbc;
  private final LibraryGuard guard;
  private final ToolGuard seeing;

  Touches(JdbcClient jdbc, LibraryGuard guard, ToolGuard seeing) {
    this.jdbc = jdbc;
    this.guard = guard;
    this.seeing = seeing;
  }

  /**
   * Things of one kind that would be touched.
   *
   * @param relation how they hang on it
   * @param count of all, also of those that are not listed
   */
  record TouchedGroup(LinkKind kind, String relation, long count, List<LinkEnd> items) {}

  private record Row(String id, String name, String href) {}

  /** What a change of something touches, kind by kind; without what whoever asks does not see. */
  @Transactional(readOnly = true)
  List<TouchedGroup> of(LinkKind kind, String id) {
    List<TouchedGroup> groups = new ArrayList<>();
    switch (kind) {
      case TOOL -> tool(groups, number(id));
      case HOLDER -> holder(groups, number(id));
      case LIBRARY -> library(groups, number(id));
      case POST -> post(groups, number(id));
      case MACHINE -> machine(groups, id);
      default ->
          throw Refusal.badRequest(
              "kind: ask of TOOL, HOLDER, LIBRARY, POST or MACHINE what a change touches");
    }
    groups.removeIf(group -> group.count() == 0);
    return groups;
  }

  private static long number(String id) {
    try {
      return Long.parseLong(id);
    } catch (NumberFormatException wrong) {
      throw Refusal.badRequest("id: '%s' is no number".formatted(id));
    }
  }

  private void tool(List<TouchedGroup> groups, long id) {
    seeing.needSight(List.of(id));
    needed("select count(*) from tool where id = :id", id, "tool");
    add(
        groups,
        LinkKind.LIBRARY,
        "{has|have} it",
        """
        from entry e join library l on l.id = e.library_id
        where e.tool_id = :id and l.put_away_at is null and l.id not in (:hidden)\
        """,
        "cast(l.id as char) as id, l.name as name, concat('/libraries/', l.id) as href",
        "l.id",
        id);
    add(
        groups,
        LinkKind.MACHINE,
        "{has|have} it in the load",
        """
        from plan_place p join machine m on m.id = p.machine_id
        where p.tool_id = :id and m.retired_at is null\
        """,
        "m.id as id, concat(m.name, ', place ', p.place) as name, concat('/machines/', m.id) as href",
        "m.id",
        id);
    add(
        groups,
        LinkKind.STACK,
        "{holds|hold} it",
        "from stack s where s.tool_id = :id",
        "cast(s.id as char) as id, s.name as name, concat('/tools/', s.tool_id, '/stack') as href",
        "s.id",
        id);
    add(
        groups,
        LinkKind.POST,
        "{brings|bring} a library that has it",
        """
        from post p join entry e on e.library_id = p.library_id
        where e.tool_id = :id and p.deleted_at is null and p.library_id not in (:hidden)\
        """,
        "cast(p.id as char) as id, p.name as name, concat('/posts/', p.id) as href",
        "p.id",
        id);
    add(
        groups,
        LinkKind.OUTLET,
        "{writes|write} a library that has it",
        """
        from outlet o join entry e on e.library_id = o.library_id
        where e.tool_id = :id and o.library_id not in (:hidden)\
        """,
        "cast(o.id as char) as id, o.name as name, '/outlets' as href",
        "o.id",
        id);
  }

  private void holder(List<TouchedGroup> groups, long id) {
    needed("select count(*) from component where id = :id", id, "holder");
    add(
        groups,
        LinkKind.STACK,
        "{is|are} built with it",
        """
        from stack_part sp join stack s on s.id = sp.stack_id join tool t on t.id = s.tool_id
        where sp.component_id = :id\
        """
            + SEEN.formatted("s.tool_id"),
        "cast(s.id as char) as id, concat(s.name, ' of ', t.code) as name, concat('/tools/', t.id, '/stack') as href",
        "s.id",
        id);
    add(
        groups,
        LinkKind.TOOL,
        "{stands|stand} in it",
        """
        from stack_part sp join stack s on s.id = sp.stack_id join tool t on t.id = s.tool_id
        where sp.component_id = :id\
        """
            + SEEN.formatted("s.tool_id"),
        "cast(t.id as char) as id, t.code as name, concat('/tools/', t.id) as href",
        "t.id",
        id);
    add(
        groups,
        LinkKind.MACHINE,
        "{has|have} such a tool in the load",
        """
        from stack_part sp join stack s on s.id = sp.stack_id
        join plan_place p on p.tool_id = s.tool_id join machine m on m.id = p.machine_id
        where sp.component_id = :id and m.retired_at is null\
        """
            + SEEN.formatted("s.tool_id"),
        "m.id as id, m.name as name, concat('/machines/', m.id) as href",
        "m.id",
        id);
    add(
        groups,
        LinkKind.LIBRARY,
        "{has|have} such a tool",
        """
        from stack_part sp join stack s on s.id = sp.stack_id join entry e on e.tool_id = s.tool_id
        join library l on l.id = e.library_id
        where sp.component_id = :id and l.put_away_at is null and l.id not in (:hidden)\
        """,
        "cast(l.id as char) as id, l.name as name, concat('/libraries/', l.id) as href",
        "l.id",
        id);
  }

  private void library(List<TouchedGroup> groups, long id) {
    guard.need(id, LibraryRight.USE);
    needed("select count(*) from library where id = :id and put_away_at is null", id, "library");
    add(
        groups,
        LinkKind.MACHINE,
        "{picks its|pick their} tools from it",
        """
        from machine_library ml join machine m on m.id = ml.machine_id
        where ml.library_id = :id and m.retired_at is null\
        """,
        "m.id as id, m.name as name, concat('/machines/', m.id) as href",
        "m.id",
        id);
    add(
        groups,
        LinkKind.TOOL,
        "of it {is|are} in loads of machines",
        """
        from plan_place p join tool t on t.id = p.tool_id join machine m on m.id = p.machine_id
        where p.library_id = :id and m.retired_at is null\
        """,
        "cast(t.id as char) as id, concat(t.code, ', ', m.name) as name, concat('/tools/', t.id) as href",
        "t.id",
        id);
    add(
        groups,
        LinkKind.POST,
        "{brings|bring} it",
        "from post p where p.library_id = :id and p.deleted_at is null",
        "cast(p.id as char) as id, p.name as name, concat('/posts/', p.id) as href",
        "p.id",
        id);
    add(
        groups,
        LinkKind.LIBRARY,
        "{is derived from it or includes|are derived from it or include} it",
        """
        from (select library_id from derived_library where base_id = :id
          union select library_id from library_include where from_id = :id) d
        join library l on l.id = d.library_id
        where l.put_away_at is null and l.id not in (:hidden)\
        """,
        "cast(l.id as char) as id, l.name as name, concat('/libraries/', l.id) as href",
        "l.id",
        id);
    add(
        groups,
        LinkKind.OUTLET,
        "{writes|write} it",
        "from outlet o where o.library_id = :id",
        "cast(o.id as char) as id, o.name as name, '/outlets' as href",
        "o.id",
        id);
  }

  private void post(List<TouchedGroup> groups, long id) {
    needed("select count(*) from post where id = :id and deleted_at is null", id, "post");
    add(
        groups,
        LinkKind.MACHINE,
        "{is|are} served by it",
        """
        from post p join machine m on m.id = p.machine_id
        where p.id = :id and m.retired_at is null\
        """,
        "m.id as id, m.name as name, concat('/machines/', m.id) as href",
        "m.id",
        id);
    add(
        groups,
        LinkKind.DEFAULTS,
        "{comes with it, or is|come with it, or are} replaced at a machine",
        """
        from (select concat('version ', version_no) as name from post_defaults where post_id = :id
          union select concat(machine_id, ': ', name) from own_default
            where post_id = :id and machine_id <> '') d\
        """,
        "d.name as id, d.name as name, concat('/posts/', :id) as href",
        "d.name",
        id);
  }

  private void machine(List<TouchedGroup> groups, String id) {
    if (jdbc.sql("select count(*) from machine where id = ? and retired_at is null")
            .param(id)
            .query(Long.class)
            .single()
        == 0) {
      throw Refusal.notFound("there is no machine " + id);
    }
    add(
        groups,
        LinkKind.POST,
        "{serves|serve} it",
        "from post p where p.machine_id = :id and p.deleted_at is null",
        "cast(p.id as char) as id, p.name as name, concat('/posts/', p.id) as href",
        "p.id",
        id);
    add(
        groups,
        LinkKind.TOOL,
        "{is|are} in its load",
        "from plan_place p join tool t on t.id = p.tool_id where p.machine_id = :id"
            + SEEN.formatted("p.tool_id"),
        "cast(t.id as char) as id, concat(t.code, ', place ', p.place) as name, concat('/tools/', t.id) as href",
        "t.id",
        id);
    add(
        groups,
        LinkKind.LIBRARY,
        "{is|are} picked from for it",
        """
        from machine_library ml join library l on l.id = ml.library_id
        where ml.machine_id = :id and l.put_away_at is null and l.id not in (:hidden)\
        """,
        "cast(l.id as char) as id, l.name as name, concat('/libraries/', l.id) as href",
        "l.id",
        id);
  }

  private void needed(String count, long id, String what) {
    if (jdbc.sql(count).param("id", id).query(Long.class).single() == 0) {
      throw Refusal.notFound("there is no %s %d".formatted(what, id));
    }
  }

  /**
   * Adds what a query finds.
   *
   * @param columns id, name and href of a thing
   * @param counted what is counted, each once
   */
  /** What is said of one, or of several: {@code {holds|hold} it}. */
  private static String words(String relation, long count) {
    return relation.replaceAll("\\{(.*)\\|(.*)}", count == 1 ? "$1" : "$2");
  }

  private void add(
      List<TouchedGroup> groups,
      LinkKind kind,
      String relation,
      String from,
      String columns,
      String counted,
      Object id) {
    Set<Long> hidden = guard.hidden();
    Set<Long> none = hidden.isEmpty() ? Set.of(0L) : hidden;
    long count =
        jdbc.sql("select count(distinct " + counted + ") " + from)
            .param("id", id)
            .param("hidden", none)
            .query(Long.class)
            .single();
    if (count > 0) {
      List<LinkEnd> items =
          jdbc
              .sql("select distinct " + columns + " " + from + " limit " + SHOWN)
              .param("id", id)
              .param("hidden", none)
              .query(Row.class)
              .list()
              .stream()
              .sorted(Comparator.comparing(Row::name))
              .map(row -> new LinkEnd(kind, row.id(), row.name(), row.href()))
              .toList();
      groups.add(new TouchedGroup(kind, words(relation, count), count, items));
    }
  }
}
