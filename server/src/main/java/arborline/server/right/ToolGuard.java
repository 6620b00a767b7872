package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import arborline.server.right.StoredRights.SharedLibrary;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Says which tools whoever acts now may see and change. A change of a tool reaches every library
 * that follows it, so he must maintain all of these that he sees; one that holds a version for
 * itself is not reached. A tool that stands in private libraries of others only is not there for
 * him.
 */
@Component
public class ToolGuard {

  private static final int CHUNK = 1000;

  private final LibraryGuard libraries;
  private final JdbcClient jdbc;

  ToolGuard(LibraryGuard libraries, JdbcClient jdbc) {
    this.libraries = libraries;
    this.jdbc = jdbc;
  }

  /** Refuses tools that may not be changed, and those that are not there for whoever acts. */
  public void needChange(Collection<Long> tools) {
    if (Askers.current().isEmpty() || tools.isEmpty()) {
      return;
    }
    needSight(tools);
    Set<Long> following = new HashSet<>();
    for (List<Long> some : chunks(tools)) {
      following.addAll(
          jdbc.sql("select distinct library_id from entry where tool_id in (:ids) and not pinned")
              .param("ids", some)
              .query(Long.class)
              .list());
    }
    List<SharedLibrary> closed = libraries.notMaintained(following);
    if (!closed.isEmpty()) {
      throw Refusal.of(HttpStatus.FORBIDDEN, refusal(closed.getFirst(), tools));
    }
  }

  private String refusal(SharedLibrary library, Collection<Long> tools) {
    String code =
        chunks(tools).stream()
            .flatMap(some ->
                jdbc
                    .sql(
                        """
                        select code from entry
                        where library_id = :library and tool_id in (:ids) and not pinned
                        order by code limit 1\
                        """)
                    .param("library", library.id())
                    .param("ids", some)
                    .query(String.class)
                    .optional()
                    .stream())
            .findFirst()
            .orElse("the tool");
    return "%s stands in library '%s', which you may not change; %s may"
        .formatted(
            code,
            library.name(),
            LibraryGuard.words(libraries.who(library, LibraryRight.MAINTAIN)));
  }

  /** Why whoever acts may not change a tool; nothing where he may. */
  public Optional<String> obstacle(long tool) {
    try {
      needChange(List.of(tool));
      return Optional.empty();
    } catch (Refusal refused) {
      return Optional.ofNullable(refused.getMessage());
    }
  }

  /** Refuses tools that are not there for whoever acts. */
  public void needSight(Collection<Long> tools) {
    Set<Long> hidden = libraries.hidden();
    if (hidden.isEmpty()) {
      return;
    }
    for (List<Long> some : chunks(tools)) {
      unseen(some, hidden).stream()
          .findFirst()
          .ifPresent(tool -> {
            throw Refusal.notFound("there is no tool " + tool);
          });
    }
  }

  /** Those of some tools that are not there for whoever acts. */
  public Set<Long> unseen(Collection<Long> tools) {
    Set<Long> hidden = libraries.hidden();
    Set<Long> unseen = new HashSet<>();
    if (!hidden.isEmpty()) {
      chunks(tools).forEach(some -> unseen.addAll(unseen(some, hidden)));
    }
    return unseen;
  }

  private List<Long> unseen(List<Long> tools, Set<Long> hidden) {
    return jdbc.sql(
            """
            select tool_id from entry where tool_id in (:tools)
            group by tool_id having max(library_id not in (:hidden)) = 0\
            """)
        .param("tools", tools)
        .param("hidden", hidden)
        .query(Long.class)
        .list();
  }

  private static List<List<Long>> chunks(Collection<Long> ids) {
    List<Long> all = ids.stream().distinct().sorted().toList();
    List<List<Long>> chunks = new ArrayList<>();
    for (int from = 0; from < all.size(); from += CHUNK) {
      chunks.add(all.subList(from, Math.min(all.size(), from + CHUNK)));
    }
    return chunks;
  }
}
