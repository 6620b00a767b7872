package arborline.server.tool;

import arborline.core.library.Standing;
import arborline.server.account.Permission;
import arborline.server.support.Retried;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Brings tools to another standing, and back again. */
@Service
public class StandingMoves implements Undo<StandingMoves.Deed> {

  private static final UndoKind<Deed> KIND =
      new UndoKind<>("tools.standing", 1, Deed.class, Permission.EDIT);

  private final ToolStandings standings;
  private final Tools tools;
  private final Trail trail;
  private final TransactionTemplate transaction;

  StandingMoves(
      ToolStandings standings, Tools tools, Trail trail, PlatformTransactionManager transactions) {
    this.standings = standings;
    this.tools = tools;
    this.trail = trail;
    this.transaction = new TransactionTemplate(transactions);
  }

  /**
   * Tools that were brought to a standing.
   *
   * @param former their ids by what they had before
   */
  record Deed(Standing to, Map<Standing, List<Long>> former) {}

  /**
   * What became of tools that were to have a standing.
   *
   * @param changed how many have it since
   * @param same how many had it before
   * @param undo line of the trail that takes it back; 0 where nothing changed
   */
  public record StandingMoved(Standing standing, int changed, int same, long undo) {}

  /** Brings tools to a standing, all or none. */
  public StandingMoved move(List<Long> ids, Standing to) {
    return Retried.of(() -> transaction.execute(status -> moved(ids, to)));
  }

  private StandingMoved moved(List<Long> ids, Standing to) {
    Map<Standing, List<Long>> former = standings.move(ids, Optional.empty(), to);
    List<Long> changed = former.values().stream().flatMap(List::stream).sorted().toList();
    return new StandingMoved(
        to,
        changed.size(),
        ids.size() - changed.size(),
        changed.isEmpty() ? 0 : record(changed, new Deed(to, new TreeMap<>(former))));
  }

  private long record(List<Long> changed, Deed deed) {
    String which =
        changed.size() == 1
            ? tools.get(changed.getFirst()).tool().code()
            : TrailRecord.count(changed.size(), "tool");
    return trail.record(
        TrailRecord.of("tool", changed.getFirst(), deed.to().deed() + " " + which)
            .undoneBy(KIND, deed));
  }

  @Override
  public UndoKind<Deed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Deed deed) {
    deed.former().forEach((had, ids) -> standings.move(ids, Optional.of(deed.to()), had));
  }
}
