package arborline.server.duplicate;

import arborline.core.duplicate.KeptApart;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tools of which somebody said that they are not one, for good. */
@Service
class KeptApartTools implements Undo<KeptApartTools.Deed> {

  private static final UndoKind<Deed> KIND =
      new UndoKind<>("tools.apart", 1, Deed.class, Permission.EDIT);

  private final JdbcClient jdbc;
  private final Tools tools;
  private final Trail trail;
  private final Clock clock;

  KeptApartTools(JdbcClient jdbc, Tools tools, Trail trail, Clock clock) {
    this.jdbc = jdbc;
    this.tools = tools;
    this.trail = trail;
    this.clock = clock;
  }

  /** Two tools, the smaller id first. */
  record Pair(long toolId, long otherId) {}

  record Deed(List<Pair> pairs) {}

  /** Keeps each of some tools apart from each other; answers the line of the trail. */
  @Transactional
  long keep(List<Long> ids) {
    Map<Long, Tools.Known> known = tools.load(ids);
    ids.stream()
        .filter(id -> !known.containsKey(id))
        .findFirst()
        .ifPresent(id -> {
          throw Refusal.notFound("there is no tool " + id);
        });
    List<Pair> fresh = new ArrayList<>();
    List<Long> sorted = ids.stream().sorted().toList();
    for (int i = 0; i < sorted.size(); i++) {
      for (int j = i + 1; j < sorted.size(); j++) {
        Pair pair = new Pair(sorted.get(i), sorted.get(j));
        if (write(pair)) {
          fresh.add(pair);
        }
      }
    }
    if (fresh.isEmpty()) {
      return 0;
    }
    String codes =
        sorted.stream().map(id -> known.get(id).tool().code()).collect(Collectors.joining(", "));
    return trail.record(
        TrailRecord.of("tool", sorted.getFirst(), "said that %s are not one tool".formatted(codes))
            .undoneBy(KIND, new Deed(fresh)));
  }

  private boolean write(Pair pair) {
    return jdbc.sql(
                """
                insert ignore into kept_apart (tool_id, other_id, said_at, said_by)
                values (?, ?, ?, ?)\
                """)
            .params(pair.toolId(), pair.otherId(), Timestamp.from(Instant.now(clock)), Actor.name())
            .update()
        > 0;
  }

  /** All that was said; of some tools where these are named. */
  KeptApart all(Collection<Long> among) {
    String which = among.isEmpty() ? "" : " where tool_id in (:ids) or other_id in (:ids)";
    KeptApart apart = new KeptApart();
    JdbcClient.StatementSpec query = jdbc.sql("select tool_id, other_id from kept_apart" + which);
    (among.isEmpty() ? query : query.param("ids", among))
        .query(Pair.class)
        .list()
        .forEach(pair -> apart.add(pair.toolId(), pair.otherId()));
    return apart;
  }

  @Override
  public UndoKind<Deed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Deed deed) {
    deed.pairs()
        .forEach(pair ->
            jdbc.sql("delete from kept_apart where tool_id = ? and other_id = ?")
                .params(pair.toolId(), pair.otherId())
                .update());
  }
}
