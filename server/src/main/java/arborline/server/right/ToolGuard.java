package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.Sharing;
import arborline.server.right.StoredRights.SharedLibrary;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Says which tools whoever acts now may see and change. A change of a tool reaches every library
 * that follows it, so he must maintain all of these that he sees; one that holds a version for
 * itself is not reached, but where a tool stands in no library that he maintains, it is not his to
 * change either: what belongs to it shows everywhere. A tool that stands in private libraries of
 * others only is not there for him.
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

  /** One entry: a tool in a library, following its newest version or not. */
  private record Held(long libraryId, long toolId, String code, boolean pinned) {}

  /** Refuses tools that may not be changed, and those that are not there for whoever acts. */
  public void needChange(Collection<Long> tools) {
    if (Askers.current().isEmpty() || tools.isEmpty()) {
      return;
    }
    needSight(tools);
    List<Held> held = new ArrayList<>();
    for (List<Long> some : chunks(tools)) {
      held.addAll(
          jdbc.sql(
                  """
                  select library_id, tool_id, code, pinned from entry where tool_id in (:ids)
                  order by library_id, code\
                  """)
              .param("ids", some)
              .query(Held.class)
              .list());
    }
    Map<Long, SharedLibrary> closed = new HashMap<>();
    libraries
        .notMaintained(held.stream().map(Held::libraryId).collect(Collectors.toSet()))
        .forEach(library -> closed.put(library.id(), library));
    refusing(held, closed)
        .ifPresent(entry -> {
          throw refusal(entry, closed.get(entry.libraryId()));
        });
  }

  /**
   * The entry that a change must not touch: one that follows its tool where nothing may be changed,
   * or one of a tool that stands at such places only, be it held there.
   */
  private Optional<Held> refusing(List<Held> held, Map<Long, SharedLibrary> closed) {
    if (closed.isEmpty()) {
      return Optional.empty();
    }
    Set<Long> hidden = libraries.hidden();
    Set<Long> open =
        held.stream()
            .filter(entry -> !closed.containsKey(entry.libraryId()))
            .filter(entry -> !hidden.contains(entry.libraryId()))
            .map(Held::toolId)
            .collect(Collectors.toSet());
    return held.stream()
        .filter(entry -> closed.containsKey(entry.libraryId()))
        .filter(entry -> !entry.pinned() || !open.contains(entry.toolId()))
        .findFirst();
  }

  private Refusal refusal(Held entry, SharedLibrary library) {
    String place = "%s stands in library '%s', ".formatted(entry.code(), library.name());
    return Refusal.of(
        HttpStatus.FORBIDDEN,
        library.rights().sharing() == Sharing.REFERENCE
            ? place
                + "a reference: nobody changes it there. %s may share that library otherwise"
                    .formatted(LibraryGuard.words(libraries.administrators(library)))
            : place
                + "which you may not change; %s may"
                    .formatted(LibraryGuard.words(libraries.who(library, LibraryRight.MAINTAIN))));
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
