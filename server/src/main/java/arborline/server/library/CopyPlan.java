package arborline.server.library;

import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.server.library.CopySource.Picked;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Works out under which numbers picked tools would enter a library, and which would not. */
@Component
class CopyPlan {

  private final JdbcClient jdbc;
  private final EntryStore store;

  CopyPlan(JdbcClient jdbc, EntryStore store) {
    this.jdbc = jdbc;
    this.store = store;
  }

  /** What becomes of a tool. */
  enum Outcome {
    ENTERS,
    HERE,
    REFUSED
  }

  /**
   * A tool and what becomes of it.
   *
   * @param number under which it enters or stands there; 0 where it cannot enter
   * @param why it stays out, or has another number than where it comes from; empty for neither
   */
  record Planned(Picked picked, Outcome outcome, int number, String why) {}

  private record Held(long toolId, String process, int number, String code) {}

  /** The plan for a library that is locked, or is only looked at. */
  List<Planned> of(Library library, List<Picked> picked, Numbering numbering) {
    Map<Long, Integer> here = new HashMap<>();
    Map<String, String> codes = new HashMap<>();
    for (Held held :
        jdbc.sql("select tool_id, process, number, code from entry where library_id = ?")
            .param(library.id)
            .query(Held.class)
            .list()) {
      here.put(held.toolId(), held.number());
      codes.put(held.process() + held.number(), held.code());
    }
    NumberSeries numbers = store.series(library, numbering);
    Set<Long> kept = numbering == Numbering.KEEP ? kept(library, picked, here, numbers) : Set.of();
    List<Planned> plan = new ArrayList<>();
    int position = 0;
    for (Picked one : picked) {
      position++;
      Planned planned =
          kept.contains(one.entryId())
              ? new Planned(one, Outcome.ENTERS, one.number(), "")
              : planned(library, one, here, codes, numbers, position);
      plan.add(planned);
      if (planned.outcome() == Outcome.ENTERS) {
        here.put(one.toolId(), planned.number());
        codes.put(process(library, one) + planned.number(), one.code());
      }
    }
    return plan;
  }

  /** Whose numbers are free, before others take them because their own are not. */
  private static Set<Long> kept(
      Library library, List<Picked> picked, Map<Long, Integer> here, NumberSeries numbers) {
    Set<Long> kept = new HashSet<>();
    Set<Long> tools = new HashSet<>(here.keySet());
    for (Picked one : picked) {
      boolean enters =
          one.entryId() > 0
              && tools.add(one.toolId())
              && EntryStore.refusal(library, one.classId()).isEmpty();
      if (enters && numbers.claim(one.number(), EntryStore.process(one.classId()))) {
        kept.add(one.entryId());
      }
    }
    return kept;
  }

  private static String process(Library library, Picked one) {
    return library.processes().numbersWith(EntryStore.process(one.classId())).name();
  }

  private static Planned planned(
      Library library,
      Picked one,
      Map<Long, Integer> here,
      Map<String, String> codes,
      NumberSeries numbers,
      int position) {
    Integer known = here.get(one.toolId());
    if (known != null) {
      return new Planned(one, Outcome.HERE, known, "it stands there as number " + known);
    }
    Optional<String> refusal = EntryStore.refusal(library, one.classId());
    if (refusal.isPresent()) {
      return new Planned(one, Outcome.REFUSED, 0, refusal.get());
    }
    OptionalInt came = one.number() > 0 ? OptionalInt.of(one.number()) : OptionalInt.empty();
    OptionalInt number =
        numbers.next(came, one.classId(), EntryStore.process(one.classId()), position);
    if (number.isEmpty()) {
      return new Planned(
          one, Outcome.REFUSED, 0, EntryStore.noNumberLeft(library, one.classId()).getMessage());
    }
    String owner = codes.get(process(library, one) + one.number());
    String why =
        one.number() == 0 || number.getAsInt() == one.number()
            ? ""
            : owner == null
                ? "number %d becomes %d".formatted(one.number(), number.getAsInt())
                : "number %d belongs to %s; %d instead"
                    .formatted(one.number(), owner, number.getAsInt());
    return new Planned(one, Outcome.ENTERS, number.getAsInt(), why);
  }
}
