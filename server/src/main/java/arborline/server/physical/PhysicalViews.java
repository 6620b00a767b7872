package arborline.server.physical;

import arborline.core.cutting.WorkMaterial;
import arborline.core.physical.PhysicalState;
import arborline.core.physical.Stage;
import arborline.core.physical.Whereabouts;
import arborline.core.physical.WorkMaterialFamily;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import arborline.core.table.TableField;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.server.cutting.Materials;
import arborline.server.machine.Machines;
import arborline.server.machine.PieceSizes;
import arborline.server.machine.PlannedPieces;
import arborline.server.stack.Assemblies;
import arborline.server.tool.Tools;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Physical tools as people see them. */
@Component
class PhysicalViews {

  private final Tools tools;
  private final Machines machines;
  private final Materials materials;
  private final Assemblies assemblies;
  private final PieceSizes sizes;
  private final PlannedPieces planned;
  private final PieceMeasurements measurements;
  private final PhysicalStore store;
  private final PhysicalTools pieces;

  PhysicalViews(
      Tools tools,
      Machines machines,
      Materials materials,
      Assemblies assemblies,
      PieceSizes sizes,
      PlannedPieces planned,
      PieceMeasurements measurements,
      PhysicalStore store,
      PhysicalTools pieces) {
    this.tools = tools;
    this.machines = machines;
    this.materials = materials;
    this.assemblies = assemblies;
    this.sizes = sizes;
    this.planned = planned;
    this.measurements = measurements;
    this.store = store;
    this.pieces = pieces;
  }

  /**
   * A size of a piece.
   *
   * @param value in the unit; null while it was not measured since the piece was put together
   * @param nominal in the unit; null where nothing says it
   * @param last what was measured before, in the unit; null where nothing was
   * @param needed true where a program goes wrong without it
   */
  record PieceSize(
      String field,
      String title,
      String unit,
      @Nullable String value,
      @Nullable String nominal,
      @Nullable String last,
      @Nullable Instant measuredAt,
      @Nullable String measuredBy,
      @Nullable Gauge gauge,
      boolean needed,
      boolean signed,
      @Nullable String note) {}

  /** A material that a piece has cut. */
  record CutMaterial(String id, String name, WorkMaterialFamily family) {}

  /**
   * A piece.
   *
   * @param forMachine for which it is assembled; null for none
   * @param next states that may follow
   * @param machine that has it; null where none has
   * @param place of that machine; null for its spindle
   * @param where it is, in words
   * @param plannedFor where it is to be, in words; null where the plan does not have it
   * @param outline of the tool in its holder; null where it cannot be drawn
   */
  record PieceView(
      long id,
      String serial,
      long toolId,
      String code,
      String name,
      String classId,
      @Nullable String forMachine,
      @Nullable String forMachineName,
      PhysicalState state,
      List<PhysicalState> next,
      Stage stage,
      Whereabouts.Kind whereKind,
      @Nullable String machine,
      @Nullable String place,
      String where,
      @Nullable String plannedFor,
      @Nullable Instant assembledAt,
      @Nullable String assembledBy,
      List<String> parts,
      int regrinds,
      List<PieceSize> sizes,
      List<CutMaterial> cut,
      @Nullable Outline outline,
      int version) {}

  /** Views of pieces, in their order. */
  @Transactional(readOnly = true)
  List<PieceView> of(List<PhysicalTool> all) {
    List<Long> ids = all.stream().map(PhysicalTool::id).toList();
    Map<Long, Map<TableField, PieceMeasurement>> last = measurements.last(ids);
    Map<Long, List<String>> cuts = store.cuts(ids);
    Map<Optional<String>, List<PhysicalTool>> byMachine =
        all.stream().collect(Collectors.groupingBy(one -> Optional.ofNullable(one.forMachine())));
    Map<Long, PieceView> views = new HashMap<>();
    byMachine.forEach((machine, some) ->
        new Shown(machine.orElse(null), some)
            .views(last, cuts)
            .forEach(view -> views.put(view.id(), view)));
    return all.stream().map(one -> views.get(one.id())).filter(Objects::nonNull).toList();
  }

  /** Pieces that are for one machine, or for none. */
  private final class Shown {

    private final @Nullable String machine;
    private final List<PhysicalTool> some;
    private final Map<Long, Tool> known = new HashMap<>();
    private final Map<Long, PieceSizes.Sizes> expected;
    private final Map<Long, Assemblies.AssembledTool> assembled;
    private final Map<String, PlannedPieces.Pieces> plans = new HashMap<>();

    Shown(@Nullable String machine, List<PhysicalTool> some) {
      this.machine = machine;
      this.some = some;
      tools
          .current(some.stream().map(PhysicalTool::toolId).distinct().toList())
          .forEach((id, tool) -> known.put(id, tool.tool()));
      this.expected = sizes.of(machine, known);
      this.assembled =
          machine == null ? Map.of() : assemblies.of(known, machines.get(machine).machine().seat());
    }

    List<PieceView> views(
        Map<Long, Map<TableField, PieceMeasurement>> last, Map<Long, List<String>> cuts) {
      List<PieceView> views = new ArrayList<>();
      for (PhysicalTool piece : some) {
        if (known.containsKey(piece.toolId())) {
          views.add(
              view(
                  piece,
                  last.getOrDefault(piece.id(), Map.of()),
                  cuts.getOrDefault(piece.id(), List.of())));
        }
      }
      return views;
    }

    private PieceView view(
        PhysicalTool piece, Map<TableField, PieceMeasurement> last, List<String> cut) {
      Tool tool = known.get(piece.toolId());
      List<PieceSize> measured = sizes(piece, last);
      boolean whole =
          measured.stream().filter(PieceSize::needed).allMatch(size -> size.value() != null);
      Optional<PlannedPieces.At> at = planned(piece);
      boolean waits = machine != null && plan(machine).waiting().contains(piece.toolId());
      Assemblies.AssembledTool held = assembled.get(piece.toolId());
      return new PieceView(
          piece.id(),
          piece.serial(),
          piece.toolId(),
          tool.code(),
          tool.name(),
          tool.toolClass(),
          machine,
          machine == null ? null : machines.get(machine).machine().name(),
          piece.state(),
          piece.state().following(),
          Stage.of(piece.state(), piece.where(), piece.assembled(), whole, at.isPresent() || waits),
          piece.where().kind(),
          piece.where().machine().orElse(null),
          piece.where().place().orElse(null),
          pieces.words(piece.where()),
          at.map(place -> "%s of %s".formatted(place.words(), place.machine())).orElse(null),
          piece.assembledAt(),
          piece.assembledBy(),
          piece.parts(),
          piece.regrinds(),
          measured,
          cut.stream().map(PhysicalViews.this::cut).toList(),
          held == null ? Silhouettes.of(tool).orElse(null) : held.outline().bare(),
          piece.version());
    }

    private Optional<PlannedPieces.At> planned(PhysicalTool piece) {
      String there = piece.where().machine().orElse(machine);
      return there == null
          ? Optional.empty()
          : Optional.ofNullable(plan(there).places().get(piece.serial()));
    }

    private PlannedPieces.Pieces plan(String id) {
      return plans.computeIfAbsent(id, planned::of);
    }

    private List<PieceSize> sizes(PhysicalTool piece, Map<TableField, PieceMeasurement> last) {
      PieceSizes.Sizes all = expected.get(piece.toolId());
      return all.sizes().stream()
          .map(size -> size(piece, all.unit(), size, last.get(size.field())))
          .toList();
    }
  }

  private static PieceSize size(
      PhysicalTool piece, Unit unit, PieceSizes.Size size, @Nullable PieceMeasurement last) {
    boolean holds = last != null && last.holdsOf(piece);
    return new PieceSize(
        size.field().key(),
        size.field().title(),
        unit.code(),
        holds ? shown(last.size(), unit) : null,
        size.nominal().map(nominal -> shown(nominal, unit)).orElse(null),
        last == null || holds ? null : shown(last.size(), unit),
        last == null ? null : last.at(),
        last == null ? null : last.by(),
        last == null ? null : last.gauge(),
        size.needed(),
        size.signed(),
        size.note());
  }

  private static String shown(BigDecimal mm, Unit unit) {
    return Conversion.convert(mm, Unit.MILLIMETRE, unit)
        .amount()
        .stripTrailingZeros()
        .toPlainString();
  }

  private CutMaterial cut(String id) {
    WorkMaterial material = materials.named(id);
    return new CutMaterial(id, material.name(), WorkMaterialFamily.of(material));
  }
}
