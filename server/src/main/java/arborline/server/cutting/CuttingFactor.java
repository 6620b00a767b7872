package arborline.server.cutting;

import arborline.core.cutting.CuttingOrigin;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import tools.jackson.core.type.TypeReference;

/** Cutting data of many tools multiplied by a factor; what was proven stays as it was proven. */
@Service
class CuttingFactor implements Undo<CuttingFactor.Deed> {

  private static final UndoKind<Deed> KIND =
      new UndoKind<>("cutting.factor", 1, Deed.class, Permission.EDIT);
  private static final int CHUNK = 500;
  private static final int MOST_SHOWN = 300;
  private static final BigDecimal MOST = new BigDecimal("100000");
  private static final TypeReference<Map<String, Object>> FORMULAS = new TypeReference<>() {};

  private final CuttingLineRepository lines;
  private final Tools tools;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;
  private final EntityManager entities;
  private final ToolGuard guard;

  CuttingFactor(
      CuttingLineRepository lines,
      Tools tools,
      Trail trail,
      Live live,
      Json json,
      Clock clock,
      EntityManager entities,
      ToolGuard guard) {
    this.guard = guard;
    this.lines = lines;
    this.tools = tools;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
    this.entities = entities;
  }

  /**
   * A line of which something is to be said.
   *
   * @param line its material and purpose
   * @param after what it would become; empty where it stays
   * @param why it stays as it is; empty where it does not
   */
  record FactoredLine(
      long toolId, String code, String line, String before, String after, String why) {}

  /**
   * What becomes, or became, of the lines.
   *
   * @param changed lines
   * @param left lines that stay as they are
   * @param undo line of the trail that takes it back; 0 where nothing was done
   */
  record FactorAnswer(
      int changed, int left, List<FactoredLine> edited, List<FactoredLine> kept, long undo) {}

  /** A line before and after. */
  record Step(
      long id,
      BigDecimal before,
      BigDecimal after,
      CuttingOrigin origin,
      String saidBy,
      Instant saidAt) {}

  record Deed(CuttingNumber number, List<Step> steps) {}

  /** Counts while lines are worked through. */
  private static final class Tally {
    private final List<FactoredLine> edited = new ArrayList<>();
    private final List<FactoredLine> kept = new ArrayList<>();
    private final List<Step> steps = new ArrayList<>();
    private int left;

    private void keep(FactoredLine row) {
      left++;
      if (kept.size() < MOST_SHOWN) {
        kept.add(row);
      }
    }

    private void change(FactoredLine row, Step step) {
      steps.add(step);
      if (edited.size() < MOST_SHOWN) {
        edited.add(row);
      }
    }
  }

  /**
   * Multiplies a number of the lines of some tools, or says what that would do.
   *
   * @param material of the lines that are meant; null for all
   * @param expected how many lines somebody was told would change; below 0 where nobody was
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  FactorAnswer multiply(
      List<Long> toolIds,
      CuttingNumber number,
      BigDecimal factor,
      @Nullable String material,
      int expected,
      boolean preview) {
    Tally tally = new Tally();
    List<Long> ordered = toolIds.stream().sorted().toList();
    guard.needChange(ordered);
    for (int from = 0; from < ordered.size(); from += CHUNK) {
      List<Long> some = ordered.subList(from, Math.min(ordered.size(), from + CHUNK));
      if (!preview) {
        lines.touchAll(some);
      }
      Map<Long, String> codes = codes(some);
      for (CuttingLine line : lines.findByToolIdInOrderById(some)) {
        if (material == null || line.material.equals(material)) {
          judge(line, codes.getOrDefault(line.toolId, ""), number, factor, tally);
        }
      }
      if (!preview) {
        entities.flush();
      }
      entities.clear();
    }
    if (preview) {
      TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
      return answer(tally, 0);
    }
    if (expected >= 0 && expected != tally.steps.size()) {
      throw Refusal.conflict(
          "%s would change now, not %d; nothing was changed, look again"
              .formatted(TrailRecord.count(tally.steps.size(), "line"), expected));
    }
    return answer(tally, tally.steps.isEmpty() ? 0 : record(tally, number, factor, ordered));
  }

  private Map<Long, String> codes(Collection<Long> ids) {
    Map<Long, String> codes = new HashMap<>();
    tools.load(ids).forEach((id, known) -> codes.put(id, known.tool().code()));
    return codes;
  }

  private void judge(
      CuttingLine line, String code, CuttingNumber number, BigDecimal factor, Tally tally) {
    BigDecimal before = number.of(line);
    BigDecimal after = number.rounded(before.multiply(factor));
    Optional<String> why = whyNot(line, number, after);
    FactoredLine row =
        new FactoredLine(
            line.toolId,
            code,
            (line.material + " " + line.purpose).strip(),
            before.stripTrailingZeros().toPlainString(),
            why.isPresent() ? "" : after.stripTrailingZeros().toPlainString(),
            why.orElse(""));
    if (why.isPresent()) {
      tally.keep(row);
    } else if (after.compareTo(before) != 0) {
      tally.change(row, new Step(line.id, before, after, line.origin, line.saidBy, line.saidAt));
      number.set(line, after);
      if (line.origin == CuttingOrigin.CATALOGUE) {
        line.origin = CuttingOrigin.CALCULATED;
      }
      line.saidBy = Actor.name();
      line.saidAt = Instant.now(clock).truncatedTo(ChronoUnit.MICROS);
    }
  }

  private Optional<String> whyNot(CuttingLine line, CuttingNumber number, BigDecimal after) {
    if (line.origin == CuttingOrigin.PROVEN) {
      return Optional.of("what was proven stays as it was proven");
    }
    if (line.formulas != null
        && json.read(line.formulas, FORMULAS).keySet().stream()
            .anyMatch(number.name()::equalsIgnoreCase)) {
      return Optional.of("it follows from a formula");
    }
    if (after.compareTo(MOST) > 0 || after.signum() == 0 && number.of(line).signum() > 0) {
      return Optional.of("it would be %s".formatted(after.stripTrailingZeros().toPlainString()));
    }
    return Optional.empty();
  }

  private static FactorAnswer answer(Tally tally, long undo) {
    return new FactorAnswer(tally.steps.size(), tally.left, tally.edited, tally.kept, undo);
  }

  private long record(Tally tally, CuttingNumber number, BigDecimal factor, List<Long> toolIds) {
    toolIds.stream().limit(MOST_SHOWN).forEach(id -> live.say("tool", id, "cutting"));
    return trail.record(
        TrailRecord.of(
                "tool",
                tally.edited.getFirst().toolId(),
                "multiplied the %s of %s of cutting data by %s"
                    .formatted(
                        number.name().toLowerCase(Locale.ROOT),
                        TrailRecord.count(tally.steps.size(), "line"),
                        factor.stripTrailingZeros().toPlainString()))
            .undoneBy(KIND, new Deed(number, tally.steps)));
  }

  @Override
  public UndoKind<Deed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Deed deed) {
    List<Step> steps = deed.steps();
    for (int from = 0; from < steps.size(); from += CHUNK) {
      List<Step> some = steps.subList(from, Math.min(steps.size(), from + CHUNK));
      List<Long> ids = some.stream().map(Step::id).toList();
      lines.touch(ids);
      Map<Long, CuttingLine> known = new HashMap<>();
      lines.findByIdIn(ids).forEach(line -> known.put(line.id, line));
      guard.needChange(known.values().stream().map(line -> line.toolId).toList());
      some.forEach(step -> back(step, known.get(step.id()), deed.number()));
      entities.flush();
      entities.clear();
    }
  }

  private static void back(Step step, @Nullable CuttingLine line, CuttingNumber number) {
    if (line == null || number.of(line).compareTo(step.after()) != 0) {
      throw Refusal.conflict("a line of cutting data was changed since; take that back first");
    }
    number.set(line, step.before());
    line.origin = step.origin();
    line.saidBy = step.saidBy();
    line.saidAt = step.saidAt();
  }
}
