package arborline.server.machine;

import arborline.core.connection.Connection;
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
import arborline.server.machine.JobKeeping.JobCall;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Machines as their pages show them, with their load plans. */
@Component
class MachineViews {

  private final Plans plans;
  private final PlanFit fit;
  private final OverlapStore stated;
  private final Nominals nominals;
  private final MachineLibraries libraries;
  private final UseHeads uses;
  private final JobKeeping jobs;
  private final OwnPlaces own;
  private final LibraryGuard seeing;
  private final ToolGuard seeingTools;

  MachineViews(
      Plans plans,
      PlanFit fit,
      OverlapStore stated,
      Nominals nominals,
      MachineLibraries libraries,
      UseHeads uses,
      JobKeeping jobs,
      OwnPlaces own,
      LibraryGuard seeing,
      ToolGuard seeingTools) {
    this.plans = plans;
    this.fit = fit;
    this.stated = stated;
    this.nominals = nominals;
    this.libraries = libraries;
    this.uses = uses;
    this.jobs = jobs;
    this.own = own;
    this.seeing = seeing;
    this.seeingTools = seeingTools;
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
   * @param measures what is measured of it at this machine
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
      List<MeasuredFields.MeasureView> measures,
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

  /** A machine as lists show it. */
  MachineHead head(Machines.Linked linked) {
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

  /** A machine with its load plan, without what whoever asks does not see. */
  MachineView of(Machines.Linked linked) {
    Machine machine = linked.machine();
    String id = machine.id();
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
        MeasuredFields.of(machine, planned.entry(), nominal),
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
}
