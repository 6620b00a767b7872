package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.machine.Fit;
import arborline.core.machine.Loaded;
import arborline.core.machine.Machine;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import arborline.core.storage.StorageDefinition;
import arborline.core.table.Nominal;
import arborline.core.table.PlaceOrder;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.tool.Tool;
import arborline.server.live.Live;
import arborline.server.machine.MachineDefining.FallsOut;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
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
  private final Assemblies assemblies;
  private final Nominals nominals;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final ToolGuard seeing;
  private final PlannableTools plannable;
  private final OwnPlaces own;

  Plans(
      Machines machines,
      PlanRepository places,
      Tools tools,
      PickedTools picked,
      Assemblies assemblies,
      Nominals nominals,
      Trail trail,
      Live live,
      Json json,
      ToolGuard seeing,
      PlannableTools plannable,
      OwnPlaces own) {
    this.own = own;
    this.plannable = plannable;
    this.seeing = seeing;
    this.machines = machines;
    this.places = places;
    this.tools = tools;
    this.picked = picked;
    this.assemblies = assemblies;
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

  /** What the plan says of a place before and after something was taken from the control. */
  public record Change(TableEntry before, TableEntry after) {}

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
   * Why the tool cannot go where, for every place that refuses it.
   *
   * @param libraryId from which it is picked; null as it is planned, else from any
   */
  @Transactional(readOnly = true)
  public Map<String, List<Finding>> refusals(
      String machineId, long toolId, @Nullable Long libraryId) {
    if (places.findByMachineIdAndToolId(machineId, toolId).isEmpty()) {
      seeing.needSight(List.of(toolId));
    }
    Machine machine = machines.get(machineId).machine();
    Held meant = meant(machineId, toolId, libraryId);
    Map<String, Loaded> occupied = occupied(machine, toolId);
    Map<String, Long> kept = own.of(machineId);
    Map<String, List<Finding>> refusals = new HashMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Loaded tool = loaded(machine, storage, meant);
      for (String place : storage.all()) {
        List<Finding> holds = new ArrayList<>(holds(machine, place, tool, occupied));
        OwnPlaces.obstacle(machine, kept, place, toolId).ifPresent(holds::addFirst);
        if (!holds.isEmpty()) {
          refusals.put(place, holds);
        }
      }
    }
    return refusals;
  }

  private Held meant(String machineId, long toolId, @Nullable Long libraryId) {
    return picked.one(
        toolId, library(places.findByMachineIdAndToolId(machineId, toolId), libraryId));
  }

  private static long library(Optional<PlanPlace> old, @Nullable Long named) {
    return named == null ? old.map(PlanPlace::library).orElse(0L) : named;
  }

  private Loaded loaded(Machine machine, StorageDefinition storage, Held known) {
    return loaded(known, assemblies.of(Map.of(known.id(), known.tool()), machine.seat(storage)));
  }

  private static Loaded loaded(Held known, Map<Long, AssembledTool> assembled) {
    return new Loaded(
        known.tool(), Optional.ofNullable(assembled.get(known.id())).map(AssembledTool::assembly));
  }

  /** The tools of a plan in their holders, by place; those without a stack are left out. */
  Map<String, AssembledTool> assembled(
      Machine machine, Collection<Planned> plan, Map<Long, Held> known) {
    Map<String, AssembledTool> assembled = new HashMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Map<Long, Tool> tools = new HashMap<>();
      List<Planned> here =
          plan.stream()
              .filter(planned -> storage.index(planned.place()).isPresent())
              .filter(planned -> known.containsKey(planned.toolId()))
              .toList();
      here.forEach(planned -> tools.put(planned.toolId(), known.get(planned.toolId()).tool()));
      Map<Long, AssembledTool> held = assemblies.of(tools, machine.seat(storage));
      here.stream()
          .filter(planned -> held.containsKey(planned.toolId()))
          .forEach(planned -> assembled.put(planned.place(), held.get(planned.toolId())));
    }
    return assembled;
  }

  /** The offset number that a planned tool has until somebody says otherwise: its number. */
  int offset(TableEntry entry) {
    String number = entry.get(TableField.NUMBER);
    return number == null ? 1 : Integer.parseInt(number);
  }

  int offset(PlanPlace place) {
    return offset(entry(place));
  }

  /** The code of a planned tool. */
  String code(PlanPlace place) {
    return Optional.ofNullable(entry(place).get(TableField.TOOL)).orElse("a tool");
  }

  /** Planned tools that would not fit into their places if the machine were so defined. */
  List<FallsOut> misfits(Machine machine) {
    Map<String, Loaded> occupied = occupied(machine, 0);
    List<FallsOut> misfits = new ArrayList<>();
    occupied.forEach((place, tool) -> {
      Map<String, Loaded> others = new HashMap<>(occupied);
      others.remove(place);
      holds(machine, place, tool, others).stream()
          .findFirst()
          .ifPresent(hold -> misfits.add(new FallsOut(place, tool.tool().code(), hold.message())));
    });
    misfits.sort(Comparator.comparing(FallsOut::place, PlaceOrder.BY_NUMBER));
    return misfits;
  }

  /** What stands in the places of a machine but for one tool, each in the holder for its seat. */
  private Map<String, Loaded> occupied(Machine machine, long exceptTool) {
    List<PlanPlace> all = places.findByMachineId(machine.id());
    Map<Long, Held> known = picked.of(all);
    Map<String, Loaded> occupied = new HashMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Map<String, Held> here = new LinkedHashMap<>();
      all.stream()
          .filter(place -> place.toolId != exceptTool && known.containsKey(place.toolId))
          .filter(place -> storage.index(place.place).isPresent())
          .forEach(place -> here.put(place.place, known.get(place.toolId)));
      Map<Long, Tool> tools = new HashMap<>();
      here.values().forEach(held -> tools.put(held.id(), held.tool()));
      Map<Long, AssembledTool> assembled = assemblies.of(tools, machine.seat(storage));
      here.forEach((place, held) -> occupied.put(place, loaded(held, assembled)));
    }
    return occupied;
  }

  private static List<Finding> holds(
      Machine machine, String place, Loaded tool, Map<String, Loaded> occupied) {
    return Fit.check(machine, place, tool, occupied).stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .toList();
  }

  /**
   * Puts a tool into a place, out of where it was; what was in the place leaves the plan.
   *
   * @param libraryId from which it was picked, by whose version and number it goes; null for the
   *     one from which it is planned already, else any that has it
   * @param length measured length from the gauge line as typed; null keeps what is known
   * @param diameter measured diameter as typed; null keeps what is known
   * @param allow true where the lead lets a tool in that is not released
   */
  @Transactional
  public Put put(
      String machineId,
      String place,
      long toolId,
      @Nullable Long libraryId,
      @Nullable String length,
      @Nullable String diameter,
      boolean allow) {
    Machine machine = machines.lock(machineId).machine();
    Optional<PlanPlace> old = places.findByMachineIdAndToolId(machineId, toolId);
    if (old.isEmpty()) {
      seeing.needSight(List.of(toolId));
    }
    String although = old.isPresent() ? "" : plannable.although(toolId, allow);
    long named = library(old, libraryId);
    Held known = picked.one(toolId, named);
    if (libraryId != null && known.from().filter(from -> from.libraryId() == libraryId).isEmpty()) {
      throw Refusal.conflict("that library does not have %s".formatted(known.tool().code()));
    }
    refuseMisfit(machine, place, known);
    Optional<PlanPlace> occupant =
        places.findByMachineIdAndPlace(machineId, place).filter(there -> there.toolId != toolId);
    TableEntry entry = old.map(this::entry).orElse(TableEntry.EMPTY);
    entry = identity(machine, place, known, entry, occupant);
    entry = measured(entry, TableField.LENGTH, length);
    entry = measured(entry, TableField.DIAMETER, diameter);
    Before before = before(machineId, place, old, occupant, toolId, json.text(entry));
    occupant.ifPresent(places::delete);
    old.ifPresent(places::delete);
    places.flush();
    long from = known.from().map(UsedIn::libraryId).orElse(0L);
    places.save(new PlanPlace(machineId, place, toolId, from, json.text(entry)));
    live.say("machine", machineId, "plan");
    boolean stays = old.filter(former -> former.place.equals(place)).isPresent();
    long undo =
        trail.record(
            TrailRecord.of(
                    "machine",
                    machineId,
                    stays
                        ? "measured %s in %s: %s"
                            .formatted(known.tool().code(), machine.words(place), sizes(entry))
                        : "planned %s for %s%s"
                            .formatted(known.tool().code(), machine.words(place), although))
                .undoneBy(PlanUndo.KIND, before));
    List<String> questions = new ArrayList<>(PickedTools.questions(known, named));
    questions.addAll(questions(machine, known, entry));
    return new Put(undo, questions);
  }

  /** A measure is compared with what the tool should measure as soon as it is typed. */
  private List<String> questions(Machine machine, Held known, TableEntry entry) {
    Nominal nominal =
        nominals
            .of(machine, Map.of(known.id(), known.tool()))
            .getOrDefault(known.tool().code().toUpperCase(Locale.ROOT), Nominal.UNKNOWN);
    return questions(nominal, entry);
  }

  /** What is odd about measures of a tool, in sentences. */
  static List<String> questions(Nominal nominal, TableEntry entry) {
    List<String> questions = new ArrayList<>();
    for (TableField field : List.of(TableField.LENGTH, TableField.DIAMETER)) {
      if (entry.get(field) != null) {
        nominal.question(field, entry.number(field)).ifPresent(questions::add);
      }
    }
    return questions;
  }

  private static String sizes(TableEntry entry) {
    return "length %s, diameter %s"
        .formatted(
            Optional.ofNullable(entry.get(TableField.LENGTH)).orElse("not set"),
            Optional.ofNullable(entry.get(TableField.DIAMETER)).orElse("not set"));
  }

  /** Refuses where the tool of a place does not fit there as the plan is now. */
  void refuseMisfit(Machine machine, PlanPlace planned) {
    refuseMisfit(machine, planned.place, picked.one(planned.toolId, planned.library()));
  }

  /** Refuses a tool that does not fit into a place as the plan is now. */
  void refuseMisfit(Machine machine, String place, Held known) {
    Map<String, Loaded> occupied = occupied(machine, known.id());
    occupied.remove(place);
    StorageDefinition storage =
        machine.placed(place).map(Machine.Placed::storage).orElse(machine.storages().getFirst());
    List<Finding> holds =
        new ArrayList<>(holds(machine, place, loaded(machine, storage, known), occupied));
    OwnPlaces.obstacle(machine, own.of(machine.id()), place, known.id()).ifPresent(holds::addFirst);
    if (!holds.isEmpty()) {
      throw Refusal.conflict(
          "%s does not fit into %s: %s"
              .formatted(known.tool().code(), machine.words(place), holds.getFirst().message()),
          holds);
    }
  }

  private TableEntry identity(
      Machine machine, String place, Held known, TableEntry entry, Optional<PlanPlace> leaving) {
    TableEntry named = named(machine, place, known, entry);
    String number = named.get(TableField.NUMBER);
    for (PlanPlace other : places.findByMachineId(machine.id())) {
      boolean stays = other.toolId != known.id() && leaving.filter(other::equals).isEmpty();
      if (stays && Objects.equals(number, entry(other).get(TableField.NUMBER))) {
        throw Refusal.conflict(
            "number %s is used by %s in %s; renumber one of them"
                .formatted(number, entry(other).get(TableField.TOOL), machine.words(other.place)));
      }
    }
    return named;
  }

  /** Code, number and name of a tool in a place: its own number, or that of the place. */
  private static TableEntry named(Machine machine, String place, Held known, TableEntry entry) {
    int own =
        known
            .number()
            .orElseThrow(
                () -> Refusal.conflict("%s is in no library now".formatted(known.tool().code())));
    String number =
        machine.numbering().numberIsPlace() ? machine.number(place) : Integer.toString(own);
    return entry
        .with(TableField.TOOL, known.tool().code())
        .with(TableField.NUMBER, number)
        .with(TableField.NAME, machine.habits().fit(known.tool().name()));
  }

  private static TableEntry measured(TableEntry entry, TableField field, @Nullable String typed) {
    if (typed == null) {
      return entry;
    }
    if (typed.isBlank()) {
      return entry.with(field, null);
    }
    return switch (EntryParser.parse(typed, Unit.MILLIMETRE)) {
      case Entry.Refused refused ->
          throw Refusal.badRequest(
              "%s '%s': %s; %s"
                  .formatted(field.title(), typed, refused.reason(), refused.remedy()));
      case Entry.Understood understood -> {
        if (understood.quantity().amount().signum() <= 0) {
          throw Refusal.badRequest("%s '%s' must be above zero".formatted(field.title(), typed));
        }
        yield entry.with(field, understood.quantity().in(Unit.MILLIMETRE).toPlainString());
      }
    };
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
   * @param wanted the tool of each place and the library from which it is picked
   * @param stamp of the plan that it was made from
   */
  @Transactional
  long rearrange(String machineId, Map<String, Picked> wanted, String stamp) {
    Machine machine = machines.lock(machineId).machine();
    List<PlanPlace> before = places.findByMachineId(machineId);
    LoadSituations.needStamp(
        before.stream().filter(place -> machine.hasPlace(place.place)).toList(), stamp);
    Rearrangement change = new Rearrangement(before);
    wanted.forEach((place, tool) -> change.put(place, tool, planned(machine, place, tool, change)));
    List<PlanPlace> then = change.then(machineId);
    refuseSameNumbers(machine, then);
    places.deleteAll(before);
    places.flush();
    then.forEach(places::save);
    places.flush();
    for (PlanPlace place : then) {
      if (change.moved(place)) {
        refuseMisfit(machine, place);
      }
    }
    live.say("machine", machineId, "plan");
    return trail.record(
        TrailRecord.of("machine", machineId, change.words())
            .undoneBy(PlanUndo.KIND, new Before(machineId, change.before(then))));
  }

  /** A tool as it is picked. */
  record Picked(long toolId, long libraryId) {}

  private String planned(Machine machine, String place, Picked tool, Rearrangement change) {
    if (!machine.hasPlace(place)) {
      throw Refusal.badRequest("%s has no place '%s'".formatted(machine.name(), place));
    }
    Optional<PlanPlace> old = change.old(tool.toolId());
    if (old.isEmpty()) {
      seeing.needSight(List.of(tool.toolId()));
      plannable.although(tool.toolId(), false);
    }
    Held known = picked.one(tool.toolId(), tool.libraryId());
    TableEntry entry = old.map(this::entry).orElse(TableEntry.EMPTY);
    return json.text(named(machine, place, known, entry));
  }

  private void refuseSameNumbers(Machine machine, List<PlanPlace> plan) {
    Map<String, PlanPlace> numbers = new HashMap<>();
    for (PlanPlace place : plan) {
      PlanPlace other = numbers.put(entry(place).get(TableField.NUMBER), place);
      if (other != null) {
        throw Refusal.conflict(
            "%s and %s have one number, %s; renumber one of them"
                .formatted(code(other), code(place), entry(place).get(TableField.NUMBER)));
      }
    }
  }

  /** Takes a tool out of the plan. */
  @Transactional
  public long clear(String machineId, String place) {
    Machine machine = machines.lock(machineId).machine();
    PlanPlace old =
        places
            .findByMachineIdAndPlace(machineId, place)
            .orElseThrow(() -> Refusal.notFound("nothing is planned for " + machine.words(place)));
    Before before =
        new Before(
            machineId,
            List.of(new PlaceBefore(place, old.toolId, old.fields, old.libraryId, 0L, null)));
    places.delete(old);
    live.say("machine", machineId, "plan");
    return trail.record(
        TrailRecord.of(
                "machine",
                machineId,
                "took %s out of the plan for %s"
                    .formatted(entry(old).get(TableField.TOOL), machine.words(place)))
            .undoneBy(PlanUndo.KIND, before));
  }

  /**
   * Writes what was taken from the control into the plan; an empty entry clears its place. A place
   * that somebody planned anew meanwhile stays as they left it.
   */
  @Transactional
  public void take(String machineId, Map<String, Change> taken) {
    Map<String, TableEntry> open = new LinkedHashMap<>();
    Map<Long, Long> libraries = new HashMap<>();
    taken.forEach((place, change) -> {
      Optional<PlanPlace> now = places.findByMachineIdAndPlace(machineId, place);
      if (sameTool(now.map(this::entry).orElse(TableEntry.EMPTY), change.before())) {
        now.ifPresent(there -> {
          libraries.put(there.toolId, there.library());
          places.delete(there);
        });
        open.put(place, change.after());
      }
    });
    places.flush();
    open.forEach((place, entry) -> {
      if (!entry.empty()) {
        takeOne(machineId, place, entry, libraries);
      }
    });
    live.say("machine", machineId, "plan");
  }

  private static boolean sameTool(TableEntry now, TableEntry before) {
    return now.key().equals(before.key())
        && TableField.SIZES.stream()
            .allMatch(field -> Objects.equals(now.get(field), before.get(field)));
  }

  private void takeOne(
      String machineId, String place, TableEntry entry, Map<Long, Long> libraries) {
    String code = entry.get(TableField.TOOL);
    long toolId =
        tools
            .byCode(code)
            .orElseThrow(() -> Refusal.conflict("no library of the shop has " + code));
    places
        .findByMachineIdAndToolId(machineId, toolId)
        .ifPresent(other -> {
          throw Refusal.conflict(
              "%s is planned for place %s as well; decide that place too"
                  .formatted(code, other.place));
        });
    TableEntry kept = entry.with(TableField.OFFSET, null);
    for (TableField wear : TableField.WEAR) {
      kept = kept.with(wear, null);
    }
    long library = libraries.getOrDefault(toolId, 0L);
    places.save(new PlanPlace(machineId, place, toolId, library, json.text(kept)));
  }
}
