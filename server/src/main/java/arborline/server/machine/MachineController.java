package arborline.server.machine;

import arborline.core.connection.Connection;
import arborline.core.finding.Finding;
import arborline.core.machine.Assembly;
import arborline.core.machine.Fit;
import arborline.core.machine.Machine;
import arborline.core.machine.Overlap;
import arborline.core.scene.Scenes;
import arborline.core.scene.ToolsAtWork;
import arborline.core.scene.ToolsAtWork.AtWork;
import arborline.core.scene.ToolsAtWork.Pointing;
import arborline.core.scene.WorkScene;
import arborline.core.stack.AssemblyOutline.TurnedOutline;
import arborline.core.table.Nominal;
import arborline.core.table.PlaceOrder;
import arborline.core.table.TableField;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.account.MayEdit;
import arborline.server.account.MayLoad;
import arborline.server.machine.JobKeeping.JobCall;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.support.ToolIds;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/machines")
class MachineController {

  private static final int MOST_TOOLS = 500;
  private static final int HIGHEST_STEP = 1000;

  private final Machines machines;
  private final Plans plans;
  private final PlanFit fit;
  private final PlanNumbers numbers;
  private final Overlaps overlaps;
  private final OverlapStore stated;
  private final Nominals nominals;
  private final MachineLibraries libraries;
  private final Suits suits;
  private final PickFrom pickFrom;
  private final UseHeads uses;
  private final JobKeeping jobs;
  private final PlaceKeeping keeping;
  private final OwnPlaces own;
  private final LibraryGuard seeing;
  private final ToolGuard seeingTools;

  MachineController(
      Machines machines,
      Plans plans,
      PlanFit fit,
      PlanNumbers numbers,
      Overlaps overlaps,
      OverlapStore stated,
      Nominals nominals,
      MachineLibraries libraries,
      Suits suits,
      PickFrom pickFrom,
      UseHeads uses,
      JobKeeping jobs,
      PlaceKeeping keeping,
      OwnPlaces own,
      LibraryGuard seeing,
      ToolGuard seeingTools) {
    this.seeing = seeing;
    this.seeingTools = seeingTools;
    this.own = own;
    this.keeping = keeping;
    this.uses = uses;
    this.jobs = jobs;
    this.suits = suits;
    this.pickFrom = pickFrom;
    this.libraries = libraries;
    this.machines = machines;
    this.plans = plans;
    this.fit = fit;
    this.numbers = numbers;
    this.overlaps = overlaps;
    this.stated = stated;
    this.nominals = nominals;
  }

  record MachineHead(
      String id,
      String name,
      String kind,
      String seat,
      String seatName,
      String storages,
      int places,
      int planned,
      boolean linked) {}

  /**
   * A planned place.
   *
   * @param length measured length in mm; null while not measured
   * @param diameter measured diameter in mm; null while not measured
   * @param nominalLength gauge length of the kept stack in mm; null where none is kept
   * @param nominalDiameter diameter of the sheet in mm; null where it states none
   * @param questions what is odd about the measures, in sentences
   * @param outline of the tool in its holder; of the bare cutter where no stack is kept
   * @param turned what of it lies on an axis that its holder turned; null where nothing does
   * @param assembly its sizes with its holder; null where no stack is kept
   * @param use how it is used there; null where the machine has no such place
   * @param libraryNumber that it has in its library; null where it stands in none, and where that
   *     is no number for this machine
   * @param seen true where whoever asks sees the sheet of the tool
   * @param jobs that are open and call it as it is planned
   */
  record PlaceView(
      String place,
      long toolId,
      String code,
      String name,
      String number,
      @Nullable String length,
      @Nullable String diameter,
      @Nullable String nominalLength,
      @Nullable String nominalDiameter,
      List<String> questions,
      @Nullable Long libraryId,
      @Nullable String library,
      int versionNo,
      int newestNo,
      @Nullable Outline outline,
      @Nullable TurnedOutline turned,
      @Nullable Assembly assembly,
      UseHeads.@Nullable UseHead use,
      @Nullable Integer libraryNumber,
      boolean seen,
      List<JobCall> jobs) {}

  /**
   * A machine with its load plan.
   *
   * @param seatName what people call its spindle
   * @param version of the definition
   * @param linked true where a control is linked
   * @param placeWord what its places are called together
   * @param ownPlaces places that are kept for one tool each
   * @param storagesInWords such as {@code chain of 48 pockets}
   * @param overlaps places that tools are stated to cover beside their own, by tool id
   * @param library from which tools for it are picked first; null where none was chosen
   * @param scene its spindles with their work; null where it turns none
   * @param atWork which planned tools stand in the scene, by the place that is chosen; under an
   *     empty name where none is
   */
  record MachineView(
      Machine machine,
      int version,
      boolean linked,
      String seatName,
      String placeWord,
      String storagesInWords,
      List<StorageView> storages,
      List<String> ownPlaces,
      List<PlaceView> plan,
      Map<Long, Overlap> overlaps,
      MachineLibraries.@Nullable MachineLibrary library,
      @Nullable WorkScene scene,
      Map<String, List<AtWork>> atWork) {}

  /**
   * What was done.
   *
   * @param questions what is odd about the measures, in sentences
   */
  record PlanDone(long undo, List<String> questions) {}

  @GetMapping
  Slice<MachineHead> all() {
    return Slice.all(machines.all().stream().map(this::head).toList());
  }

  private MachineHead head(Machines.Linked linked) {
    Machine machine = linked.machine();
    return new MachineHead(
        machine.id(),
        machine.name(),
        machine.kind(),
        machine.seat(),
        Connection.tradeName(machine.seat()),
        StorageView.words(machine),
        machine.places().size(),
        plans.plan(machine.id()).size(),
        !linked.link().isEmpty());
  }

  @GetMapping("/{id}")
  MachineView one(@PathVariable String id) {
    Machines.Linked linked = machines.get(id);
    Machine machine = linked.machine();
    Map<String, Plans.Planned> plan = plans.plan(id);
    Map<Long, Tools.Held> known = plans.tools(plan.values());
    Map<String, Nominal> nominal = nominals.of(machine, PickedTools.tools(known));
    Map<String, AssembledTool> assembled = fit.assembled(machine, plan.values(), known);
    Map<String, UseHeads.UseHead> heads =
        uses.of(machine, plan, PickedTools.tools(known), assembled);
    Map<String, List<JobCall>> calls = jobs.calls(id, plan);
    Set<Long> hidden = seeing.hidden();
    Set<Long> unseen = seeingTools.unseen(known.keySet());
    List<PlaceView> views =
        plan.values().stream()
            .map(planned ->
                place(
                    machine,
                    planned,
                    hidden,
                    !unseen.contains(planned.toolId()),
                    known.get(planned.toolId()),
                    assembled.get(planned.place()),
                    heads.get(planned.place()),
                    calls.get(planned.place()),
                    nominal.getOrDefault(planned.entry().key(), Nominal.UNKNOWN)))
            .toList();
    Map<String, Double> lengths = new HashMap<>();
    views.forEach(view -> {
      if (view.outline() != null) {
        lengths.put(view.place(), view.outline().length());
      }
    });
    Optional<WorkScene> scene = Scenes.of(machine);
    return new MachineView(
        machine,
        linked.version(),
        !linked.link().isEmpty(),
        Connection.tradeName(machine.seat()),
        machine.placeWord(),
        StorageView.words(machine),
        StorageView.all(machine, place -> lengths.getOrDefault(place, 0.0)),
        own.of(id).keySet().stream().sorted(PlaceOrder.BY_NUMBER).toList(),
        views,
        stated.of(id),
        libraries.of(id).orElse(null),
        scene.orElse(null),
        scene
            .map(one -> ToolsAtWork.byChosen(machine, one, pointing(heads, assembled)))
            .orElse(Map.of()));
  }

  private static Map<String, Pointing> pointing(
      Map<String, UseHeads.UseHead> heads, Map<String, AssembledTool> assembled) {
    Map<String, Pointing> pointing = new LinkedHashMap<>();
    heads.forEach((place, use) ->
        pointing.put(
            place,
            new Pointing(
                use.spindle(),
                use.along(),
                Optional.ofNullable(assembled.get(place))
                    .flatMap(AssembledTool::turned)
                    .map(TurnedOutline::angle)
                    .orElse(0.0))));
    return pointing;
  }

  /**
   * Which library tools for a machine are picked from first.
   *
   * @param library null for none
   * @param edition as which it stands there; null for none in particular
   */
  record LibraryChoice(@Nullable Long library, @Nullable Long edition) {}

  @PutMapping("/{id}/library")
  @MayEdit
  PlanDone choose(@PathVariable String id, @RequestBody LibraryChoice choice) {
    return new PlanDone(libraries.choose(id, choice.library(), choice.edition()), List.of());
  }

  /**
   * From which library tools for a machine are picked where nobody says another.
   *
   * @param library null where there is none
   */
  record PickedFrom(@Nullable Long library) {}

  @GetMapping("/{id}/picked-from")
  PickedFrom pickedFrom(@PathVariable String id) {
    return new PickedFrom(pickFrom.of(id).orElse(null));
  }

  private static PlaceView place(
      Machine machine,
      Plans.Planned planned,
      Set<Long> hidden,
      boolean seen,
      Tools.Held known,
      @Nullable AssembledTool assembled,
      UseHeads.@Nullable UseHead use,
      List<JobCall> calls,
      Nominal nominal) {
    Optional<UsedIn> from = known.from().filter(one -> !hidden.contains(one.libraryId()));
    boolean told =
        Stream.concat(known.from().stream(), known.others().stream())
            .noneMatch(one -> hidden.contains(one.libraryId()));
    List<String> questions = new ArrayList<>();
    if (told) {
      questions.addAll(PickedTools.questions(known, planned.libraryId()));
    }
    questions.addAll(TypedMeasures.questions(nominal, planned.entry()));
    PlanNumbers.question(machine, planned.entry()).ifPresent(questions::add);
    if (assembled != null) {
      assembled.retired().forEach(part -> questions.add(Fit.retired(part)));
    }
    return new PlaceView(
        planned.place(),
        planned.toolId(),
        planned.entry().get(TableField.TOOL),
        known.tool().name(),
        planned.entry().get(TableField.NUMBER),
        planned.entry().get(TableField.LENGTH),
        planned.entry().get(TableField.DIAMETER),
        size(nominal, TableField.LENGTH),
        size(nominal, TableField.DIAMETER),
        questions,
        from.map(UsedIn::libraryId).orElse(null),
        from.map(UsedIn::library).orElse(null),
        known.versionNo(),
        known.newestNo(),
        assembled == null ? Silhouettes.of(known.tool()).orElse(null) : assembled.outline().bare(),
        assembled == null ? null : assembled.turned().map(TurnedOutline::bare).orElse(null),
        assembled == null ? null : assembled.assembly(),
        use,
        known.number().filter(own -> machine.numbering().question(own).isEmpty()).orElse(null),
        seen,
        calls);
  }

  private static @Nullable String size(Nominal nominal, TableField field) {
    BigDecimal size = nominal.sizes().get(field);
    return size == null ? null : size.toPlainString();
  }

  /**
   * Tools of which somebody wants to know whether they can go into a machine.
   *
   * @param libraryId from which they are picked; null for any
   */
  record SuitsQuestion(@Nullable Long libraryId, List<Long> tools) {}

  /** Why tools can go into no place of a machine, by tool; those that can are left out. */
  @PostMapping("/{id}/unsuited")
  Map<Long, String> unsuited(@PathVariable String id, @RequestBody SuitsQuestion question) {
    return suits.unsuited(
        id, question.libraryId(), ToolIds.of("tools", question.tools(), MOST_TOOLS));
  }

  /**
   * Why a tool cannot go into which places.
   *
   * @param from the place that it would leave, where several of it are planned
   * @param another true where one more of it is to go in
   */
  @GetMapping("/{id}/plan/refusals")
  Map<String, List<Finding>> refusals(
      @PathVariable String id,
      @RequestParam long toolId,
      @RequestParam(required = false) @Nullable Long libraryId,
      @RequestParam(required = false) @Nullable String from,
      @RequestParam(defaultValue = "false") boolean another) {
    return fit.refusals(id, toolId, libraryId, from, another);
  }

  /**
   * Puts a tool into a place.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @PutMapping("/{id}/plan/{place}")
  @MayLoad
  PlanDone put(
      @PathVariable String id,
      @PathVariable String place,
      @RequestParam(defaultValue = "false") boolean changeJobs,
      @RequestBody PlanOrder order) {
    Plans.Put put = plans.put(id, place, order, changeJobs);
    return new PlanDone(put.undo(), put.questions());
  }

  /**
   * Places whose tools are numbered anew, in their order.
   *
   * @param first number of the first of them
   * @param step from each to the next; null for 1
   */
  record NumberOrder(@Nullable List<@Nullable String> places, int first, @Nullable Integer step) {}

  /**
   * Numbers planned tools anew.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @PutMapping("/{id}/numbers")
  @MayLoad
  PlanDone renumber(
      @PathVariable String id,
      @RequestParam(defaultValue = "false") boolean changeJobs,
      @RequestBody NumberOrder order) {
    return new PlanDone(numbers.renumber(id, sequence(order), changeJobs), List.of());
  }

  /** The number that each place would have; nothing is changed. */
  @PostMapping("/{id}/numbers/look")
  @MayLoad
  Map<String, Integer> numbers(@PathVariable String id, @RequestBody NumberOrder order) {
    return numbers.look(id, sequence(order));
  }

  private static PlanNumbers.Sequence sequence(NumberOrder order) {
    List<String> places =
        order.places() == null
            ? List.of()
            : order.places().stream().filter(Objects::nonNull).toList();
    int step = order.step() == null ? 1 : order.step();
    if (places.isEmpty() || places.size() > MOST_TOOLS || step < 1 || step > HIGHEST_STEP) {
      throw Refusal.badRequest(
          "name 1 to %d places, and a step of 1 to %d".formatted(MOST_TOOLS, HIGHEST_STEP));
    }
    return new PlanNumbers.Sequence(places, order.first(), step);
  }

  /**
   * States which places a planned tool covers beside its own.
   *
   * @param overlap null for what its diameter says
   */
  record OverlapOrder(@Nullable Overlap overlap) {}

  @PutMapping("/{id}/overlaps/{toolId}")
  @MayLoad
  PlanDone cover(
      @PathVariable String id, @PathVariable long toolId, @RequestBody OverlapOrder order) {
    return new PlanDone(overlaps.state(id, toolId, order.overlap()), List.of());
  }

  /** Whether a place is kept for the tool that is planned there. */
  record KeepOrder(@Nullable Boolean kept) {}

  @PutMapping("/{id}/plan/{place}/kept")
  @MayLoad
  PlanDone keep(@PathVariable String id, @PathVariable String place, @RequestBody KeepOrder order) {
    return new PlanDone(keeping.keep(id, place, Boolean.TRUE.equals(order.kept())), List.of());
  }

  /**
   * Takes a tool out of the plan.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @DeleteMapping("/{id}/plan/{place}")
  @MayLoad
  PlanDone clear(
      @PathVariable String id,
      @PathVariable String place,
      @RequestParam(defaultValue = "false") boolean changeJobs) {
    return new PlanDone(plans.clear(id, place, changeJobs), List.of());
  }
}
