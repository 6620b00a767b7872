package arborline.server.tool;

import arborline.core.library.Standing;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.right.ToolGuard;
import arborline.server.rule.ShopRuling;
import arborline.server.support.Refusal;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** How far tools are trusted, in the database; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class ToolStandings {

  private static final int CHUNK = 1000;

  /** Of more tools at once nobody is told one by one. */
  private static final int MOST_TOLD = 100;

  private final JdbcClient jdbc;
  private final ToolStore store;
  private final Live live;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final ToolGuard guard;
  private final ShopRuling ruling;
  private final Tools tools;

  ToolStandings(
      JdbcClient jdbc,
      ToolStore store,
      Live live,
      ApplicationEventPublisher events,
      Clock clock,
      ToolGuard guard,
      ShopRuling ruling,
      Tools tools) {
    this.tools = tools;
    this.ruling = ruling;
    this.guard = guard;
    this.jdbc = jdbc;
    this.store = store;
    this.live = live;
    this.events = events;
    this.clock = clock;
  }

  /**
   * How far a tool is trusted.
   *
   * @param by who brought it there; null where it never had another standing
   */
  record TrustedTool(Standing standing, @Nullable String by, @Nullable Instant at) {}

  /** How far one tool is trusted. */
  TrustedTool of(long toolId) {
    return jdbc.sql("select standing, standing_by, standing_at from tool where id = :id")
        .param("id", toolId)
        .query((row, index) ->
            new TrustedTool(
                Standing.at(row.getInt(1)),
                row.getString(2),
                Optional.ofNullable(row.getTimestamp(3)).map(Timestamp::toInstant).orElse(null)))
        .single();
  }

  private record Standee(long id, String code, int standing, @Nullable Long mergedInto) {}

  /**
   * Brings tools to a standing; nobody else changes them until the transaction ends.
   *
   * @param from which standing all of them must have; empty for any
   * @return those that had another one, by what they had
   * @throws Refusal where a tool is unknown, was merged into another, or has not the standing that
   *     it must have
   */
  Map<Standing, List<Long>> move(Collection<Long> ids, Optional<Standing> from, Standing to) {
    ruling.needStanding(to);
    List<Long> ordered = ids.stream().distinct().sorted().toList();
    store.hold(ordered);
    guard.needChange(ordered);
    Map<Standing, List<Long>> former = new EnumMap<>(Standing.class);
    for (int begin = 0; begin < ordered.size(); begin += CHUNK) {
      List<Long> some = ordered.subList(begin, Math.min(ordered.size(), begin + CHUNK));
      List<Long> moved = moved(some, from, to, former);
      if (!moved.isEmpty()) {
        write(moved, to);
      }
    }
    return former;
  }

  private List<Long> moved(
      List<Long> some, Optional<Standing> from, Standing to, Map<Standing, List<Long>> former) {
    List<Standee> known =
        jdbc.sql("select id, code, standing, merged_into from tool where id in (:ids) order by id")
            .param("ids", some)
            .query(Standee.class)
            .list();
    if (known.size() < some.size()) {
      List<Long> there = known.stream().map(Standee::id).toList();
      throw Refusal.notFound(
          "there is no tool " + some.stream().filter(id -> !there.contains(id)).findFirst().get());
    }
    refuseIncomplete(known, to);
    List<Long> moved = new ArrayList<>();
    for (Standee tool : known) {
      Standing had = Standing.at(tool.standing());
      refuse(tool, had, from);
      if (had != to) {
        moved.add(tool.id());
        former.computeIfAbsent(had, standing -> new ArrayList<>()).add(tool.id());
      }
    }
    return moved;
  }

  /** What lacks something is nothing but a draft. */
  private void refuseIncomplete(List<Standee> known, Standing to) {
    if (to != Standing.CHECKED && to != Standing.RELEASED) {
      return;
    }
    List<Long> doubtful =
        known.stream()
            .filter(tool ->
                Standing.at(tool.standing()) == Standing.DRAFT
                    || Standing.at(tool.standing()) == Standing.RETIRED)
            .map(Standee::id)
            .toList();
    tools
        .current(doubtful)
        .values()
        .forEach(tool ->
            ToolJudge.missing(tool.tool()).stream()
                .findFirst()
                .ifPresent(finding -> {
                  throw Refusal.conflict(
                      "%s stays a draft: %s".formatted(tool.code(), finding.message()));
                }));
  }

  private static void refuse(Standee tool, Standing had, Optional<Standing> from) {
    if (tool.mergedInto() != null) {
      throw Refusal.conflict(
          "%s was merged into another tool; move that one".formatted(tool.code()));
    }
    if (from.isPresent() && from.get() != had) {
      throw Refusal.conflict(
          "%s is %s by now; what was done since must be taken back first"
              .formatted(tool.code(), had.word()));
    }
  }

  private void write(List<Long> moved, Standing to) {
    jdbc.sql(
            """
            update tool set standing = :standing, standing_by = :by, standing_at = :at
            where id in (:ids)\
            """)
        .param("standing", to.place())
        .param("by", Actor.name())
        .param("at", Timestamp.from(Instant.now(clock)))
        .param("ids", moved)
        .update();
    events.publishEvent(new StandingChanged(moved));
    moved.stream().limit(MOST_TOLD).forEach(id -> live.say("tool", id, "standing"));
  }
}
