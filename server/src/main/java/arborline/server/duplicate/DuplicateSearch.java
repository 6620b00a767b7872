package arborline.server.duplicate;

import arborline.core.duplicate.ComparedTool;
import arborline.core.duplicate.DuplicateGroups;
import arborline.core.duplicate.DuplicateGroups.Member;
import arborline.core.duplicate.Tolerance;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.PassingFault;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import arborline.server.tool.StoredTools;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import java.math.BigDecimal;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Looks through the whole shop for tools that may be one; what it found stays until the next. */
@Service
class DuplicateSearch {

  private static final Logger LOG = LoggerFactory.getLogger(DuplicateSearch.class);
  private static final String WORK = "duplicates";
  private static final int CHUNK = 2000;

  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final KeptApartTools apart;
  private final StopRequests stops;
  private final TransactionTemplate transaction;
  private final ObjectProvider<SchedulerClient> scheduler;
  private final Live live;
  private final Clock clock;

  DuplicateSearch(
      JdbcClient jdbc,
      Bulk bulk,
      KeptApartTools apart,
      StopRequests stops,
      TransactionTemplate transaction,
      ObjectProvider<SchedulerClient> scheduler,
      Live live,
      Clock clock) {
    this.jdbc = jdbc;
    this.bulk = bulk;
    this.apart = apart;
    this.stops = stops;
    this.transaction = transaction;
    this.scheduler = scheduler;
    this.live = live;
    this.clock = clock;
  }

  /**
   * The last search.
   *
   * @param state {@code WAITING}, {@code RUNNING}, {@code DONE}, {@code STOPPED} or {@code FAILED}
   * @param tolerance of lengths, mm
   * @param endedAt null while it goes on
   * @param tools how many were looked at so far
   * @param pairs how many were compared so far
   */
  record SearchView(
      String state,
      BigDecimal tolerance,
      Instant askedAt,
      String askedBy,
      @Nullable Instant endedAt,
      int tools,
      long pairs,
      String note) {}

  Optional<SearchView> last() {
    return jdbc.sql(
            """
            select state, tolerance, asked_at, asked_by, ended_at, tools, pairs, note
            from duplicate_search where id = 1\
            """)
        .query((row, number) ->
            new SearchView(
                row.getString(1),
                row.getBigDecimal(2).stripTrailingZeros(),
                row.getTimestamp(3).toInstant(),
                row.getString(4),
                Optional.ofNullable(row.getTimestamp(5)).map(Timestamp::toInstant).orElse(null),
                row.getInt(6),
                row.getLong(7),
                row.getString(8)))
        .optional();
  }

  /**
   * Has the shop searched in the background.
   *
   * @param tolerance of lengths, mm
   * @throws Refusal where a search goes on
   */
  void begin(BigDecimal tolerance) {
    String work = UUID.randomUUID().toString();
    transaction.executeWithoutResult(status -> {
      jdbc.sql(
              """
              insert ignore into duplicate_search
                (id, state, work, tolerance, asked_at, asked_by, tools, pairs, note)
              values (1, 'DONE', '', 0, current_timestamp(6), '', 0, 0, '')\
              """)
          .update();
      int begun =
          jdbc.sql(
                  """
                  update duplicate_search set state = 'WAITING', work = ?, tolerance = ?, asked_at = ?,
                    asked_by = ?, ended_at = null, tools = 0, pairs = 0, note = ''
                  where id = 1 and state <> 'RUNNING'\
                  """)
              .params(work, tolerance, Timestamp.from(Instant.now(clock)), Actor.name())
              .update();
      if (begun == 0) {
        throw Refusal.conflict("the shop is being searched already");
      }
      stops.clear(WORK);
      live.say("duplicates", 1, "");
    });
    DuplicateWork.queue(scheduler.getObject(), work);
  }

  /** Asks a search to stop. */
  void stop() {
    stops.ask(WORK);
  }

  /** Ends a search that was asked to stop. */
  private static final class StoppedException extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  /**
   * Does the work, unless another one was asked for since; begins anew where it was begun before.
   */
  void run(String work) {
    boolean open =
        jdbc.sql(
                """
                select exists(select 1 from duplicate_search
                  where work = ? and state in ('WAITING', 'RUNNING'))\
                """)
            .param(work)
            .query(Boolean.class)
            .single();
    if (open) {
      search(last().orElseThrow());
    }
  }

  private void search(SearchView asked) {
    try {
      List<ComparedTool> tools = tools();
      int[] count = {tools.size()};
      long[] pairs = {0};
      List<List<Member>> groups =
          DuplicateGroups.find(
              tools,
              new Tolerance(asked.tolerance()),
              apart.all(List.of()),
              compared -> {
                pairs[0] = compared;
                say(count[0], compared);
              });
      keep(groups, tools.size(), pairs[0]);
    } catch (StoppedException stopped) {
      stops.clear(WORK);
      end("STOPPED", "it was stopped; what the search before it found still stands");
    } catch (RuntimeException defect) {
      if (PassingFault.is(defect)) {
        throw defect;
      }
      LOG.error("the search for duplicates failed", defect);
      end("FAILED", "a fault of ours that was logged stops the search");
    }
  }

  /** A tool as it is stored. */
  private record Stored(long id, String code, String name, String classId, String vals) {}

  /** An item of a vendor. */
  private record Item(long targetId, String vendorKey, String itemKey) {}

  /** Those of derived libraries are meant to be like those of their bases. */
  private List<ComparedTool> tools() {
    Map<Long, Item> items = new HashMap<>();
    jdbc.sql(
            """
            select target_id, vendor_key, item_key from vendor_item
            where kind in ('CUTTER', 'INSERT') order by id\
            """)
        .query(Item.class)
        .list()
        .forEach(item -> items.put(item.targetId(), item));
    List<ComparedTool> tools = new ArrayList<>();
    List<Stored> some;
    long after = 0;
    do {
      some =
          jdbc.sql(
                  """
                  select t.id, t.code, v.name, v.class_id, v.vals
                  from tool t join tool_version v on v.id = t.version_id
                  where t.id > :after and t.merged_into is null
                    and exists (select 1 from entry e where e.tool_id = t.id)
                    and not exists (select 1 from derived_tool d where d.tool_id = t.id)
                  order by t.id limit :most\
                  """)
              .param("after", after)
              .param("most", CHUNK)
              .query(Stored.class)
              .list();
      for (Stored one : some) {
        Item item = items.get(one.id());
        tools.add(
            ComparedTool.of(
                one.id(),
                StoredTools.tool(one.code(), one.name(), one.classId(), one.vals()),
                item == null ? "" : item.vendorKey(),
                item == null ? "" : item.itemKey()));
        after = one.id();
      }
      say(tools.size(), 0);
    } while (some.size() == CHUNK);
    return tools;
  }

  private void say(int tools, long pairs) {
    if (stops.asked(WORK)) {
      throw new StoppedException();
    }
    transaction.executeWithoutResult(status -> {
      jdbc.sql("update duplicate_search set state = 'RUNNING', tools = ?, pairs = ? where id = 1")
          .params(tools, pairs)
          .update();
      live.say("duplicates", 1, "");
    });
  }

  /** A group with its identity. */
  private record Group(long id, int percent, int tools) {
    private static final Bulk.Target<Group> TARGET =
        new Bulk.Target<>(
            "duplicate_group",
            List.of("id", "percent", "tools"),
            group -> new Object[] {group.id, group.percent, group.tools});
  }

  /** A tool of a group. */
  private record Placed(long groupId, long toolId, int percent, int place) {
    private static final Bulk.Target<Placed> TARGET =
        new Bulk.Target<>(
            "duplicate_member",
            List.of("group_id", "tool_id", "percent", "place"),
            placed -> new Object[] {placed.groupId, placed.toolId, placed.percent, placed.place});
  }

  private void keep(List<List<Member>> found, int tools, long pairs) {
    List<Group> groups = new ArrayList<>();
    List<Placed> members = new ArrayList<>();
    for (List<Member> group : found) {
      long id = groups.size() + 1L;
      groups.add(new Group(id, group.getFirst().percent(), group.size()));
      for (int place = 0; place < group.size(); place++) {
        Member member = group.get(place);
        members.add(new Placed(id, member.id(), member.percent(), place));
      }
    }
    transaction.executeWithoutResult(status -> {
      jdbc.sql("delete from duplicate_group").update();
      bulk.insert(Group.TARGET, groups);
      bulk.insert(Placed.TARGET, members);
      finish("DONE", "");
      jdbc.sql("update duplicate_search set tools = ?, pairs = greatest(pairs, ?) where id = 1")
          .params(tools, pairs)
          .update();
    });
  }

  private void end(String state, String note) {
    transaction.executeWithoutResult(status -> finish(state, note));
  }

  private void finish(String state, String note) {
    jdbc.sql("update duplicate_search set state = ?, note = ?, ended_at = ? where id = 1")
        .params(state, note, Timestamp.from(Instant.now(clock)))
        .update();
    live.say("duplicates", 1, "");
  }
}
