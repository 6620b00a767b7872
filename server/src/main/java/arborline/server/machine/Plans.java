package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.Nominal;
import arborline.core.table.PlaceOrder;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.live.Live;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Load plans: puts tools into places where they fit, and says why where they do not. */
@Service
public class Plans {

  private final Machines machines;
  private final PlanRepository places;
  private final Tools tools;
  private final PickedTools picked;
  private final Nominals nominals;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final ToolGuard seeing;
  private final PlannableTools plannable;
  private final PlanFit fit;
  private final PlanNumbers numbers;
  private final JobKeeping jobs;

  Plans(
      Machines machines,
      PlanRepository places,
      Tools tools,
      PickedTools picked,
      Nominals nominals,
      Trail trail,
      Live live,
      Json json,
      ToolGuard seeing,
      PlannableTools plannable,
      PlanFit fit,
      PlanNumbers numbers,
      JobKeeping jobs) {
    this.fit = fit;
    this.numbers = numbers;
    this.jobs = jobs;
    this.plannable = plannable;
    this.seeing = seeing;
    this.machines = machines;
    this.places = places;
    this.tools = tools;
    this.picked = picked;
    this.nominals = nominals;
    this.trail = trail;
    this.live = live;
    this.json = json;
  }

  /**
   * What a place should hold.
   *
   * @param libraryId from which the tool was picked; 0 where nobody said
   */
  public record Planned(String place, long toolId, long libraryId, TableEntry entry) {}

  /** A state of some places, for taking back: an empty one has no tool. */
  record Before(String machineId, List<PlaceBefore> places) {}

  /**
   * A place before a change and after it; a tool of 0 is none.
   *
   * @param fields what was kept of the tool there; null without one
   * @param library from which it was picked; null where nobody said
   * @param toolAfter null where the change is from before this was kept
   */
  record PlaceBefore(
      String place,
      long toolId,
      @Nullable String fields,
      @Nullable Long library,
      @Nullable Long toolAfter,
      @Nullable String fieldsAfter) {}

  /**
   * What putting a tool into a place did.
   *
   * @param questions what is odd about its measures, in sentences
   */
  public record Put(long undo, List<String> questions) {}

  @Transactional(readOnly = true)
  public Map<String, Planned> plan(String machineId) {
    Map<String, Planned> plan = new TreeMap<>(PlaceOrder.BY_NUMBER);
    for (PlanPlace place : places.findByMachineId(machineId)) {
      plan.put(place.place, new Planned(place.place, place.toolId, place.library(), entry(place)));
    }
    return plan;
  }

  /** The tools of a plan as the libraries have them from which they were picked, by tool id. */
  @Transactional(readOnly = true)
  public Map<Long, Held> tools(Collection<Planned> plan) {
    Map<Long, Long> libraries = new HashMap<>();
    plan.forEach(planned -> libraries.put(planned.toolId(), planned.libraryId()));
    return tools.held(libraries);
  }

  private TableEntry entry(PlanPlace place) {
    return json.read(place.fields, TableEntry.class);
  }

  /**
   * Puts a tool into a place, out of where it was; what was in the place leaves the plan.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @Transactional
  public Put put(String machineId, String place, PlanOrder order, boolean changeJobs) {
    Machine machine = machines.lock(machineId).machine();
    List<PlanPlace> standing = fit.standing(machine, order.toolId());
    if (standing.isEmpty()) {
      seeing.needSight(List.of(order.toolId()));
    }
    Optional<PlanPlace> old = left(machine, place, order, standing);
    String although =
        standing.isEmpty()
            ? plannable.although(order.toolId(), Boolean.TRUE.equals(order.allow()))
            : "";
    long named = PlanFit.library(standing, order.libraryId());
    Held known = picked.one(order.toolId(), named);
    needIn(known, order.libraryId());
    fit.refuseMisfit(
        machine,
        place,
        known,
        old.map(former -> Set.of(former.place)).orElse(Set.of()),
        old.isEmpty());
    Optional<PlanPlace> occupant =
        places
            .findByMachineIdAndPlace(machineId, place)
            .filter(there -> old.filter(there::equals).isEmpty());
    long library = known.from().map(UsedIn::libraryId).orElse(0L);
    TableEntry entry = kept(machine, place, known, old, standing);
    entry = TypedMeasures.typed(entry, TableField.LENGTH, order.length());
    entry = TypedMeasures.typed(entry, TableField.DIAMETER, order.diameter());
    entry = TypedMeasures.typed(machine, entry, order.sizes());
    PlanPlace put = new PlanPlace(machineId, place, order.toolId(), library, json.text(entry));
    List<PlanPlace> then = new ArrayList<>(places.findByMachineId(machineId));
    old.ifPresent(then::remove);
    occupant.ifPresent(then::remove);
    then.add(put);
    List<String> numbered =
        numbers.settle(machine, then, renumbered(old, put) ? List.of(put) : List.of());
    entry = entry(put);
    numbers.refuseSame(machine, then);
    Before before = before(machineId, place, old, occupant, order.toolId(), put.fields);
    JobKeeping.JobLoad found = jobs.before(machine);
    occupant.ifPresent(places::delete);
    old.ifPresent(places::delete);
    places.flush();
    places.save(put);
    String changed = jobs.refuseChanged(machine, found, changeJobs);
    live.say("machine", machineId, "plan");
    boolean stays = old.filter(former -> former.place.equals(place)).isPresent();
    long undo =
        trail.record(
            TrailRecord.of(
                    "machine",
                    machineId,
                    stays
                        ? "measured %s in %s: %s%s"
                            .formatted(
                                known.tool().code(),
                                machine.words(place),
                                TypedMeasures.words(entry),
                                changed)
                        : "planned %s for %s%s%s"
                            .formatted(
                                known.tool().code(), machine.words(place), although, changed))
                .undoneBy(PlanUndo.KIND, before));
    List<String> questions = new ArrayList<>(PickedTools.questions(known, named));
    questions.addAll(questions(machine, known, entry));
    questions.addAll(numbered);
    PlanNumbers.question(machine, entry).ifPresent(questions::add);
    return new Put(undo, questions);
  }

  /** True for a tool that comes in, or goes by the number of another library from now on. */
  private boolean renumbered(Optional<PlanPlace> old, PlanPlace put) {
    return old.filter(former -> numbers.number(former) == numbers.number(put)).isEmpty();
  }

  /** The place that the tool leaves; empty where it comes in, or one more of it does. */
  private Optional<PlanPlace> left(
      Machine machine, String place, PlanOrder order, List<PlanPlace> standing) {
    Optional<PlanPlace> there =
        standing.stream().filter(one -> one.place.equals(place)).findFirst();
    if (order.sister()) {
      if (there.isPresent()) {
        throw Refusal.conflict(
            "%s stands in %s already".formatted(fit.code(there.get()), machine.words(place)));
      }
      if (!standing.isEmpty() && !machine.numbering().sisters()) {
        throw Refusal.conflict(
            "%s stands in %s already, and %s has no sister tools: put in a copy of the tool"
                .formatted(
                    fit.code(standing.getFirst()),
                    PlanFit.words(machine, standing),
                    machine.name()));
      }
      return Optional.empty();
    }
    if (order.from() == null && there.isPresent()) {
      return there;
    }
    if (there.isPresent() && !place.equals(order.from())) {
      throw Refusal.conflict("its sister stands in %s already".formatted(machine.words(place)));
    }
    return fit.left(machine, order.toolId(), order.from());
  }

  private static void needIn(Held known, @Nullable Long library) {
    if (library != null && known.from().filter(from -> from.libraryId() == library).isEmpty()) {
      throw Refusal.conflict("that library does not have %s".formatted(known.tool().code()));
    }
  }

  /**
   * What is kept of a tool that goes into a place: all of the piece that leaves another one, the
   * number of its sister else. A number stays as long as the tool goes by the same library.
   */
  private TableEntry kept(
      Machine machine,
      String place,
      Held known,
      Optional<PlanPlace> old,
      List<PlanPlace> standing) {
    long library = known.from().map(UsedIn::libraryId).orElse(0L);
    TableEntry entry = old.map(this::entry).orElse(TableEntry.EMPTY);
    String number =
        old.or(() -> standing.stream().findFirst())
            .filter(former -> former.library() == library)
            .map(former -> entry(former).get(TableField.NUMBER))
            .orElse(null);
    return PlanNumbers.named(machine, place, known, entry.with(TableField.NUMBER, number));
  }

  /** A measure is compared with what the tool should measure as soon as it is typed. */
  private List<String> questions(Machine machine, Held known, TableEntry entry) {
    Nominal nominal =
        nominals
            .of(machine, Map.of(known.id(), known.tool()))
            .getOrDefault(known.tool().code().toUpperCase(Locale.ROOT), Nominal.UNKNOWN);
    return TypedMeasures.questions(nominal, entry);
  }

  private static Before before(
      String machineId,
      String place,
      Optional<PlanPlace> old,
      Optional<PlanPlace> occupant,
      long toolId,
      String fields) {
    List<PlaceBefore> before = new ArrayList<>();
    Optional<PlanPlace> there = occupant.or(() -> old.filter(former -> former.place.equals(place)));
    before.add(
        new PlaceBefore(
            place,
            there.map(occupied -> occupied.toolId).orElse(0L),
            there.map(occupied -> occupied.fields).orElse(null),
            there.map(occupied -> occupied.libraryId).orElse(null),
            toolId,
            fields));
    old.filter(former -> !former.place.equals(place))
        .ifPresent(former ->
            before.add(
                new PlaceBefore(
                    former.place, former.toolId, former.fields, former.libraryId, 0L, null)));
    return new Before(machineId, before);
  }

  /**
   * Has the whole plan be another one: every tool that stood keeps what was measured of it.
   *
   * @param wanted what is to stand where
   * @param stamp of the plan that it was made from
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @Transactional
  long rearrange(String machineId, WantedLoad wanted, String stamp, boolean changeJobs) {
    Machine machine = machines.lock(machineId).machine();
    List<PlanPlace> before = places.findByMachineId(machineId);
    LoadSituations.needStamp(
        before.stream().filter(place -> machine.hasPlace(place.place)).toList(), stamp);
    Rearrangement change = new Rearrangement(before, wanted.tools());
    if (!machine.numbering().sisters() && change.twice().isPresent()) {
      throw Refusal.badRequest("a tool cannot be put in twice; name each once");
    }
    List<PlanPlace> then = new ArrayList<>();
    Set<String> allowed = new TreeSet<>();
    wanted
        .tools()
        .forEach((place, tool) -> {
          if (!allowance(machine, tool, wanted.allow()).isEmpty()) {
            allowed.add(tools.get(tool.toolId()).tool().code());
          }
          then.add(planned(machine, place, tool, change.from(place)));
        });
    numbers.settle(
        machine, then, then.stream().filter(place -> change.from(place.place).isEmpty()).toList());
    numbers.refuseSame(machine, then);
    JobKeeping.JobLoad found = jobs.before(machine);
    places.deleteAll(before);
    places.flush();
    then.forEach(places::save);
    places.flush();
    for (PlanPlace place : then) {
      if (change.moved(place)) {
        fit.refuseMisfit(machine, place, change.from(place.place).isEmpty());
      }
    }
    String although = jobs.refuseChanged(machine, found, changeJobs);
    live.say("machine", machineId, "plan");
    return trail.record(
        TrailRecord.of("machine", machineId, change.words() + unreleased(allowed) + although)
            .undoneBy(PlanUndo.KIND, new Before(machineId, change.before(then))));
  }

  /** A tool as it is picked. */
  record Picked(long toolId, long libraryId) {}

  /**
   * A whole load.
   *
   * @param tools the tool of each place and the library from which it is picked
   * @param allow true where the lead lets tools in that are not released
   */
  record WantedLoad(Map<String, Picked> tools, boolean allow) {}

  /** What lets a tool in that did not stand; empty where nothing has to, and for one that stood. */
  private String allowance(Machine machine, Picked tool, boolean allow) {
    if (!fit.standing(machine, tool.toolId()).isEmpty()) {
      return "";
    }
    seeing.needSight(List.of(tool.toolId()));
    return plannable.although(tool.toolId(), allow);
  }

  private static String unreleased(Set<String> codes) {
    return codes.isEmpty()
        ? ""
        : ", and allowed %s, not released".formatted(String.join(", ", codes));
  }

  private PlanPlace planned(Machine machine, String place, Picked tool, Optional<PlanPlace> from) {
    if (!machine.hasPlace(place)) {
      throw Refusal.badRequest("%s has no place '%s'".formatted(machine.name(), place));
    }
    List<PlanPlace> standing = fit.standing(machine, tool.toolId());
    Held known = picked.one(tool.toolId(), tool.libraryId());
    TableEntry entry = kept(machine, place, known, from, standing);
    return new PlanPlace(machine.id(), place, tool.toolId(), tool.libraryId(), json.text(entry));
  }

  /**
   * Takes a tool out of the plan.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @Transactional
  public long clear(String machineId, String place, boolean changeJobs) {
    Machine machine = machines.lock(machineId).machine();
    PlanPlace old =
        places
            .findByMachineIdAndPlace(machineId, place)
            .orElseThrow(() -> Refusal.notFound("nothing is planned for " + machine.words(place)));
    Before before =
        new Before(
            machineId,
            List.of(new PlaceBefore(place, old.toolId, old.fields, old.libraryId, 0L, null)));
    JobKeeping.JobLoad found = jobs.before(machine);
    places.delete(old);
    String although = jobs.refuseChanged(machine, found, changeJobs);
    live.say("machine", machineId, "plan");
    return trail.record(
        TrailRecord.of(
                "machine",
                machineId,
                "took %s out of the plan for %s%s"
                    .formatted(fit.code(old), machine.words(place), although))
            .undoneBy(PlanUndo.KIND, before));
  }
}
