package arborline.server.cutting;

import arborline.core.cutting.Cut;
import arborline.core.cutting.Edges;
import arborline.core.cutting.Limits;
import arborline.core.cutting.Start;
import arborline.core.cutting.Window;
import arborline.core.cutting.WorkMaterial;
import arborline.core.finding.Finding;
import arborline.core.machine.Machine;
import arborline.server.account.Actor;
import arborline.server.library.Tools;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.support.Refusal;
import arborline.server.trail.Said;
import arborline.server.trail.Trail;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps and computes cutting data. */
@Service
class CuttingLines {

  private static final BigDecimal MOST = BigDecimal.valueOf(100_000);

  private final CuttingLineRepository lines;
  private final Tools tools;
  private final Machines machines;
  private final Materials materials;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  CuttingLines(
      CuttingLineRepository lines,
      Tools tools,
      Machines machines,
      Materials materials,
      Trail trail,
      Live live,
      Clock clock) {
    this.lines = lines;
    this.tools = tools;
    this.machines = machines;
    this.materials = materials;
    this.trail = trail;
    this.live = live;
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
      @Nullable String machine,
      @Nullable Double compliance,
      @Nullable Double bend) {}

  /** A computed cut; null where it cannot be computed, with the reason. */
  record Computed(@Nullable Cut cut, @Nullable Window window, List<Finding> findings) {}

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
  List<CuttingLine> provenElsewhere(long toolId) {
    return lines.provenElsewhere(toolId);
  }

  @Transactional(readOnly = true)
  Start start(long toolId, String material) {
    return Start.of(tools.get(toolId).tool(), materials.named(material));
  }

  @Transactional(readOnly = true)
  Computed compute(long toolId, Question question) {
    Edges edges = Edges.of(tools.get(toolId).tool());
    WorkMaterial material = materials.named(question.material());
    Cut.Wish wish =
        new Cut.Wish(question.speed(), question.feed(), question.depth(), question.width());
    Optional<Finding> obstacle = Cut.obstacle(edges, wish);
    if (obstacle.isPresent()) {
      return new Computed(null, null, List.of(obstacle.get()));
    }
    Limits limits = limits(question);
    Cut cut = Cut.of(edges, material, wish, limits);
    return new Computed(cut, Window.of(edges, material, wish, limits), cut.findings());
  }

  private Limits limits(Question question) {
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
    return new Limits(
        chosen.limits().rpm().doubleValue(),
        chosen.limits().power().doubleValue(),
        chosen.limits().torque().doubleValue(),
        compliance,
        bend);
  }

  /** Keeps a new line. */
  @Transactional
  CuttingLine keep(long toolId, CuttingDraft draft) {
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
    said(toolId, "kept cutting data of ");
    return saved;
  }

  private static CuttingLine.Origin origin(@Nullable String name, String material) {
    String wanted =
        Optional.ofNullable(name).orElse("calculated").toUpperCase(java.util.Locale.ROOT);
    for (CuttingLine.Origin each : CuttingLine.Origin.values()) {
      if (each.name().equals(wanted) && each != CuttingLine.Origin.PROVEN) {
        if (material.isEmpty() && each != CuttingLine.Origin.FIXED) {
          throw Refusal.badRequest("only a fixed line can ignore the work material");
        }
        return each;
      }
    }
    throw Refusal.badRequest("origin is catalogue, calculated or fixed; proving is done by itself");
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
  CuttingLine prove(long id, Proof proof) {
    CuttingLine line = row(id);
    if (proof.machine() == null || proof.machine().isBlank()) {
      throw Refusal.badRequest("say on which machine it was proven");
    }
    line.beforeSpeed = line.speed;
    line.beforeFeed = line.feed;
    line.speed = positive("speed", proof.speed(), 3);
    line.feed = positive("feed", proof.feed(), 5);
    line.machine = cut(proof.machine());
    line.origin = CuttingLine.Origin.PROVEN;
    sign(line);
    said(line.toolId, "proved cutting data of ");
    return line;
  }

  @Transactional
  void remove(long id) {
    CuttingLine line = row(id);
    lines.delete(line);
    said(line.toolId, "took out cutting data of ");
  }

  private CuttingLine row(long id) {
    return lines.findById(id).orElseThrow(() -> Refusal.notFound("there is no cutting line " + id));
  }

  private void sign(CuttingLine line) {
    line.saidBy = Actor.name();
    line.saidAt = Instant.now(clock);
  }

  private void said(long toolId, String text) {
    trail.record(Said.of("tool", toolId, text + tools.get(toolId).tool().code()));
    live.say("tool", toolId, "cutting");
  }
}
