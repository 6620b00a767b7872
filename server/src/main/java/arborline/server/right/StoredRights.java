package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.Sharing;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Rights in libraries, in the database. */
@Component
class StoredRights {

  private final JdbcClient jdbc;

  StoredRights(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A library and the rights in it. */
  record SharedLibrary(long id, String name, LibraryRights rights) {}

  private record Row(long id, String name, String sharing) {}

  private record Said(long library, long account, String role, LibraryRight held) {}

  /** A library that was not deleted. */
  Optional<SharedLibrary> library(long id) {
    return libraries(List.of(id)).stream().findFirst();
  }

  /** Those of some libraries that were not deleted. */
  List<SharedLibrary> libraries(Collection<Long> ids) {
    if (ids.isEmpty()) {
      return List.of();
    }
    return with(
        jdbc.sql("select id, name, sharing from library where id in (:ids) and put_away_at is null")
            .param("ids", ids)
            .query(Row.class)
            .list());
  }

  /** All private libraries, deleted ones too: nobody sees what was done in those either. */
  List<SharedLibrary> ofFew() {
    return with(
        jdbc.sql(
                """
                select id, name, sharing from library
                where sharing = 'PRIVATE'\
                """)
            .query(Row.class)
            .list());
  }

  private List<SharedLibrary> with(List<Row> rows) {
    if (rows.isEmpty()) {
      return List.of();
    }
    Map<Long, List<Said>> said = new HashMap<>();
    jdbc.sql(
            "select library_id, account_id, role, held from library_right where library_id in (:ids)")
        .param("ids", rows.stream().map(Row::id).toList())
        .query(row -> {
          said.computeIfAbsent(row.getLong(1), library -> new ArrayList<>())
              .add(
                  new Said(
                      row.getLong(1),
                      row.getLong(2),
                      row.getString(3),
                      LibraryRight.valueOf(row.getString(4))));
        });
    return rows.stream()
        .map(row ->
            new SharedLibrary(
                row.id(),
                row.name(),
                rights(Sharing.valueOf(row.sharing()), said.getOrDefault(row.id(), List.of()))))
        .toList();
  }

  private static LibraryRights rights(Sharing sharing, List<Said> said) {
    Map<Long, LibraryRight> people = new HashMap<>();
    Map<String, LibraryRight> roles = new HashMap<>();
    for (Said one : said) {
      if (one.account() != 0) {
        people.put(one.account(), one.held());
      } else {
        roles.put(one.role(), one.held());
      }
    }
    return new LibraryRights(sharing, people, roles);
  }

  /** Has other rights stand in a library from now on. */
  void write(long library, LibraryRights rights) {
    jdbc.sql("update library set sharing = ? where id = ?")
        .params(rights.sharing().name(), library)
        .update();
    jdbc.sql("delete from library_right where library_id = ?").param(library).update();
    rights.people().forEach((account, held) -> insert(library, account, "", held));
    rights.roles().forEach((role, held) -> insert(library, 0, role, held));
  }

  private void insert(long library, long account, String role, LibraryRight held) {
    jdbc.sql("insert into library_right (library_id, account_id, role, held) values (?, ?, ?, ?)")
        .params(library, account, role, held.name())
        .update();
  }

  /** Libraries of which an account is the only one said to own it. */
  List<String> ownedAlone(long account) {
    return jdbc.sql(
            """
            select b.name from library_right r join library b on b.id = r.library_id
            where r.account_id = ? and r.held = 'OWNER' and b.sharing = 'PRIVATE'
              and b.put_away_at is null and not exists (
                select 1 from library_right o left join account a on a.id = o.account_id
                where o.library_id = r.library_id and o.held = 'OWNER'
                  and o.account_id <> r.account_id and a.disabled_at is null)
            order by b.name\
            """)
        .param(account)
        .query(String.class)
        .list();
  }

  /** Names of accounts that are not shut out. */
  Map<Long, String> names(Set<Long> accounts) {
    Map<Long, String> names = new HashMap<>();
    if (!accounts.isEmpty()) {
      jdbc.sql("select id, name from account where id in (:ids) and disabled_at is null")
          .param("ids", accounts)
          .query(row -> {
            names.put(row.getLong(1), row.getString(2));
          });
    }
    return names;
  }
}
