package arborline.server.cutting;

import arborline.core.cutting.Cut;
import arborline.core.cutting.CutRequest;
import arborline.core.cutting.CuttingMethod;
import arborline.core.cutting.CuttingOrigin;
import arborline.core.cutting.Limits;
import arborline.core.cutting.StartingValues;
import arborline.core.cutting.Window;
import arborline.core.cutting.WorkMaterial;
import arborline.core.finding.Finding;
import arborline.core.machine.Machine;
import arborline.core.machine.MachineSpindle;
import arborline.core.tool.Geometry;
import arborline.core.tool.Motion;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.server.account.Actor;
import arborline.server.library.ToolCopied;
import arborline.server.machine.Machines;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolBelongings;
import arborline.server.tool.Tools;
import arborline.server.trail.StateUndo;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps and computes cutting data. */
@Service
class CuttingLines {

  private static final int OFFERED = 50;
  private static final BigDecimal MOST = BigDecimal.valueOf(100_000);

  private final CuttingLineRepository lines;
  private final Tools tools;
  private final Machines machines;
  private final Materials materials;
  private final Json json;
  private final Trail trail;
  private final ToolBelongings belongings;
  private final Clock clock;
  private final ToolGuard guard;

  CuttingLines(
      CuttingLineRepository lines,
      Tools tools,
      Machines machines,
      Materials materials,
      Json json,
      Trail trail,
      ToolBelongings belongings,
      Clock clock,
      ToolGuard guard) {
    this.guard = guard;
    this.lines = lines;
    this.tools = tools;
    this.machines = machines;
    this.materials = materials;
    this.json = json;
    this.trail = trail;
    this.belongings = belongings;
    this.clock = clock;
  }

  /**
   * A line as somebody writes it.
   *
   * @param material id; blank for a fixed line that ignores the material
   */
  record CuttingDraft(
      @Nullable String material,
      @Nullable String purpose,
      BigDecimal speed,
      BigDecimal feed,
      BigDecimal depth,
      BigDecimal width,
      @Nullable String coolant,
      @Nullable String origin) {}

  /** What to compute: a machine's limits count where one is named. */
  record Question(
      String material,
      double speed,
      double feed,
      double depth,
      double width,
      @Nullable Double work,
      @Nullable Boolean centred,
      @Nullable String machine,
      @Nullable Double compliance,
      @Nullable Double bend) {}

  /**
   * A computed cut; null where it cannot be, with the reason. No window where the feed is a pitch.
   */
  record Computed(@Nullable Cut cut, @Nullable Window window, List<Finding> findings) {}

  /** A line, and what takes the deed back. */
  record Kept(CuttingLine line, long undo) {}

  /** What was proven at a machine. */
  record Proof(String machine, BigDecimal speed, BigDecimal feed) {}

  @Transactional(readOnly = true)
  List<CuttingLine> of(long toolId) {
    tools.get(toolId);
    return lines.findByToolIdOrderById(toolId).stream()
        .sorted(
            Comparator.comparing((CuttingLine line) -> line.material)
                .thenComparing(line -> line.purpose)
                .thenComparing(line -> line.origin))
        .toList();
  }

  @Transactional(readOnly = true)
  /** What was proven with other tools of the same geometry. */
  List<CuttingLine> provenElsewhere(long toolId) {
    List<CuttingLine> similar = lines.provenWithSimilar(toolId);
    Map<Long, Tools.Known> others =
        tools.load(similar.stream().map(line -> line.toolId).distinct().toList());
    Tool mine = tools.get(toolId).tool();
    return similar.stream()
        .filter(line -> Geometry.same(mine, others.get(line.toolId).tool()))
        .limit(OFFERED)
        .toList();
  }

  @Transactional(readOnly = true)
  StartingValues start(long toolId, String material) {
    return StartingValues.of(method(toolId), materials.named(material));
  }

  private CuttingMethod method(long toolId) {
    return CuttingMethod.of(tools.get(toolId).tool())
        .orElseThrow(() ->
            Refusal.conflict("a tool of this class cuts nothing by turning: no cutting data"));
  }

  @Transactional(readOnly = true)
  Computed compute(long toolId, Question question) {
    CuttingMethod method = method(toolId);
    WorkMaterial material = materials.named(question.material());
    CutRequest request =
        new CutRequest(
            question.speed(),
            question.feed(),
            question.depth(),
            question.width(),
            Optional.ofNullable(question.work()).orElse(0.0),
            Boolean.TRUE.equals(question.centred()));
    Optional<Finding> obstacle = Cut.obstacle(method, request);
    if (obstacle.isPresent()) {
      return new Computed(null, null, List.of(obstacle.get()));
    }
    Limits limits = limits(question, tools.get(toolId).tool());
    Cut cut = Cut.of(method, material, request, limits);
    return new Computed(
        cut,
        method.feedIsPitch() ? null : Window.of(method, material, request, limits),
        cut.findings());
  }

  private Limits limits(Question question, Tool tool) {
    double compliance = Optional.ofNullable(question.compliance()).orElse(0.0);
    double bend = Optional.ofNullable(question.bend()).orElse(Double.POSITIVE_INFINITY);
    String machine = question.machine();
    if (machine == null || machine.isBlank()) {
      return new Limits(
          Double.POSITIVE_INFINITY,
          Double.POSITIVE_INFINITY,
          Double.POSITIVE_INFINITY,
          compliance,
          bend);
    }
    Machine chosen = machines.get(machine).machine();
    MachineSpindle drive =
        chosen
            .drive(turned(tool))
            .orElseThrow(() -> Refusal.conflict(chosen.name() + " has no spindle"));
    return new Limits(
        drive.rpm().doubleValue(),
        drive.power().doubleValue(),
        drive.torque().doubleValue(),
        compliance,
        bend);
  }

  /** True for tools against which the work turns. */
  private static boolean turned(Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .filter(known -> known.sheet().motion() == Motion.TURNS)
        .isPresent();
  }

  /** Keeps a new line. */
  @Transactional
  Kept keep(long toolId, CuttingDraft draft) {
    guard.needChange(List.of(toolId));
    CuttingLine line = new CuttingLine(toolId);
    line.material = Optional.ofNullable(draft.material()).orElse("");
    if (!line.material.isEmpty()) {
      materials.named(line.material);
    }
    line.origin = origin(draft.origin(), line.material);
    line.purpose = cut(draft.purpose());
    line.coolant = cut(draft.coolant());
    line.speed = positive("speed", draft.speed(), 3);
    line.feed = positive("feed", draft.feed(), 5);
    line.depth = notNegative("depth", draft.depth());
    line.width = notNegative("width", draft.width());
    sign(line);
    CuttingLine saved = lines.save(line);
    return new Kept(saved, record(saved, "kept cutting data of ", null, LineState.of(saved)));
  }

  private static CuttingOrigin origin(@Nullable String name, String material) {
    CuttingOrigin origin =
        CuttingOrigin.named(Optional.ofNullable(name).orElse("calculated"))
            .filter(known -> known != CuttingOrigin.PROVEN)
            .orElseThrow(() ->
                Refusal.badRequest(
                    "origin is catalogue, calculated or fixed; proving is done by itself"));
    if (material.isEmpty() && origin != CuttingOrigin.FIXED) {
      throw Refusal.badRequest("only a fixed line can ignore the work material");
    }
    return origin;
  }

  private static String cut(@Nullable String text) {
    String plain = Optional.ofNullable(text).map(String::strip).orElse("");
    return plain.length() > 60 ? plain.substring(0, 60) : plain;
  }

  private static BigDecimal positive(String name, BigDecimal value, int decimals) {
    if (value == null || value.signum() <= 0 || value.compareTo(MOST) > 0) {
      throw Refusal.badRequest("%s must be above 0 and at most 100 000".formatted(name));
    }
    return value.setScale(decimals, RoundingMode.HALF_UP);
  }

  private static BigDecimal notNegative(String name, BigDecimal value) {
    if (value == null || value.signum() < 0 || value.compareTo(MOST) > 0) {
      throw Refusal.badRequest("%s must be 0 to 100 000".formatted(name));
    }
    return value.setScale(4, RoundingMode.HALF_UP);
  }

  /** Marks a line as proven at a machine; what stood there before is kept beside it. */
  @Transactional
  Kept prove(long id, int version, Proof proof) {
    CuttingLine seen = row(id);
    if (lines.advance(id, version) == 0) {
      throw Refusal.conflict(
          "somebody else changed this line meanwhile: %s at vc %s, feed %s now; look at it again"
              .formatted(
                  seen.origin.name().toLowerCase(java.util.Locale.ROOT),
                  seen.speed.stripTrailingZeros().toPlainString(),
                  seen.feed.stripTrailingZeros().toPlainString()));
    }
    CuttingLine line = row(id);
    LineState before = LineState.of(line);
    if (proof.machine() == null || proof.machine().isBlank()) {
      throw Refusal.badRequest("say on which machine it was proven");
    }
    line.beforeSpeed = line.speed;
    line.beforeFeed = line.feed;
    line.speed = positive("speed", proof.speed(), 3);
    line.feed = positive("feed", proof.feed(), 5);
    line.machine = cut(proof.machine());
    line.origin = CuttingOrigin.PROVEN;
    sign(line);
    return new Kept(line, proven(line, before));
  }

  /** Takes a line out. Answers the line of the trail that takes it back. */
  @Transactional
  long remove(long id) {
    CuttingLine line = row(id);
    guard.needChange(List.of(line.toolId));
    lines.delete(line);
    return record(line, "took out cutting data of ", LineState.of(line), null);
  }

  /** What was proven with a tool is not lost to its copy. */
  @EventListener
  void copied(ToolCopied copied) {
    for (CuttingLine original : lines.findByToolIdOrderById(copied.from())) {
      CuttingLine copy = new CuttingLine(copied.to());
      LineState.of(original).to(copy);
      lines.save(copy);
    }
  }

  private CuttingLine row(long id) {
    return lines.findById(id).orElseThrow(() -> Refusal.notFound("there is no cutting line " + id));
  }

  private void sign(CuttingLine line) {
    line.saidBy = Actor.name();
    line.saidAt = Instant.now(clock).truncatedTo(ChronoUnit.MICROS);
  }

  private long proven(CuttingLine line, LineState before) {
    belongings.cuttingChanged(line.toolId);
    return trail.record(
        TrailRecord.of(
                "tool",
                line.toolId,
                "proved cutting data of " + tools.get(line.toolId).tool().code())
            .undoneBy(
                CuttingUndo.PROVEN,
                StateUndo.Deed.of(json, line.id, line.toolId, before, LineState.of(line))));
  }

  private long record(
      CuttingLine line, String text, @Nullable LineState before, @Nullable LineState after) {
    belongings.cuttingChanged(line.toolId);
    return trail.record(
        TrailRecord.of("tool", line.toolId, text + tools.get(line.toolId).tool().code())
            .undoneBy(
                CuttingUndo.CHANGED, StateUndo.Deed.of(json, line.id, line.toolId, before, after)));
  }
}
