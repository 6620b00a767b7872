package arborline.server.machine;

import arborline.server.right.LibraryGuard;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** From which library tools for a machine are picked where nobody says another. */
@Service
class PickFrom {

  /** So many libraries, the largest, and so many tools of each are looked at. */
  private static final int LIBRARIES = 12;

  private static final int TOOLS = 25;

  /** No library has this number. */
  private static final Set<Long> NONE = Set.of(0L);

  private final Machines machines;
  private final MachineLibraries chosen;
  private final Plans plans;
  private final Suits suits;
  private final LibraryGuard guard;
  private final JdbcClient jdbc;

  PickFrom(
      Machines machines,
      MachineLibraries chosen,
      Plans plans,
      Suits suits,
      LibraryGuard guard,
      JdbcClient jdbc) {
    this.machines = machines;
    this.chosen = chosen;
    this.plans = plans;
    this.suits = suits;
    this.guard = guard;
    this.jdbc = jdbc;
  }

  /**
   * The library of the machine, else the one from which most of its tools come, else the one with
   * the most that can go into it, else the largest; empty where there is none.
   */
  @Transactional(readOnly = true)
  Optional<Long> of(String machine) {
    machines.get(machine);
    Set<Long> hidden = guard.hidden();
    return chosen
        .of(machine)
        .map(MachineLibraries.MachineLibrary::libraryId)
        .or(() -> most(plans.plan(machine).values(), hidden))
        .or(() -> suited(machine, largest(hidden)));
  }

  private static Optional<Long> most(Collection<Plans.Planned> plan, Set<Long> hidden) {
    Map<Long, Integer> counts = new HashMap<>();
    plan.stream()
        .map(Plans.Planned::libraryId)
        .filter(library -> library != 0 && !hidden.contains(library))
        .forEach(library -> counts.merge(library, 1, Integer::sum));
    return counts.entrySet().stream()
        .max(
            Map.Entry.<Long, Integer>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
        .map(Map.Entry::getKey);
  }

  /** Libraries with tools, the largest first. */
  private List<Long> largest(Set<Long> hidden) {
    return jdbc.sql(
            """
            select l.id from library l join entry e on e.library_id = l.id
            where l.put_away_at is null and l.id not in (:hidden)
            group by l.id order by count(*) desc, l.id limit :most\
            """)
        .param("hidden", hidden.isEmpty() ? NONE : hidden)
        .param("most", LIBRARIES)
        .query(Long.class)
        .list();
  }

  private Optional<Long> suited(String machine, List<Long> libraries) {
    Map<Long, Integer> suited = new HashMap<>();
    libraries.forEach(library -> suited.put(library, suited(machine, library)));
    return libraries.stream()
        .max(
            Comparator.<Long, Integer>comparing(suited::get)
                .thenComparing(libraries::indexOf, Comparator.reverseOrder()));
  }

  private int suited(String machine, long library) {
    List<Long> tools =
        jdbc.sql("select tool_id from entry where library_id = ? order by number limit " + TOOLS)
            .param(library)
            .query(Long.class)
            .list();
    return tools.size() - suits.unsuited(machine, library, tools).size();
  }
}
