package arborline.server.news;

import arborline.server.vendor.VendorItems.TakenItem;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where tools and parts of vendors are used in the shop. */
@Component
@Transactional(readOnly = true)
class WhereUsed {

  private static final int MOST = 100;

  private final JdbcClient jdbc;

  WhereUsed(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A place where something is used.
   *
   * @param kind {@code library}, {@code machine} or {@code stack}
   * @param id of the library, of the machine, or of the tool that the stack holds
   * @param name of it, with the place where it stands there
   */
  record Use(String kind, String id, String name) {}

  /** The first hundred places. */
  List<Use> of(TakenItem item) {
    List<Use> uses = new ArrayList<>();
    if (item.tool()) {
      uses.addAll(
          uses(
              """
              select 'library' as kind, cast(b.id as char) as id, b.name
              from entry e join library b on b.id = e.library_id
              where e.tool_id = :id order by b.name\
              """,
              item.targetId()));
      uses.addAll(
          uses(
              """
              select 'machine' as kind, m.id, concat(m.name, ', pocket ', p.place) as name
              from plan_place p join machine m on m.id = p.machine_id
              where p.tool_id = :id order by m.name, p.place\
              """,
              item.targetId()));
    } else {
      uses.addAll(
          uses(
              """
              select distinct 'stack' as kind, cast(t.id as char) as id,
                concat(s.name, ' of ', t.code) as name
              from stack_part p join stack s on s.id = p.stack_id join tool t on t.id = s.tool_id
              where p.component_id = :id order by t.code, s.name\
              """,
              item.targetId()));
    }
    return uses;
  }

  private List<Use> uses(String sql, long id) {
    return jdbc.sql(sql + " limit " + MOST).param("id", id).query(Use.class).list();
  }
}
