package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Allowance;
import arborline.core.inspect.Disposition;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.TrailRecord;
import java.util.List;
import java.util.Locale;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What somebody decides about lines of a delivery: that they are right, which values stand. */
@Service
class Deciding {

  private final LineDeeds deeds;
  private final FoundLines found;
  private final DecidedLines decided;
  private final Json json;

  Deciding(LineDeeds deeds, FoundLines found, DecidedLines decided, Json json) {
    this.deeds = deeds;
    this.found = found;
    this.decided = decided;
    this.json = json;
  }

  /**
   * Marks lines as looked at: queries no longer keep them from entering, and of those that pass it
   * is known that somebody holds them for right.
   */
  @Transactional
  LineDeeds.Changed look(long id, List<Long> lineIds) {
    return look(
        id,
        after -> FoundLines.among(lineIds, after),
        line ->
            line.disposition == Disposition.QUERY
                || line.disposition == Disposition.PASS && !line.lookedAt,
        "");
  }

  /** Marks all lines that have such a finding as looked at. */
  @Transactional
  LineDeeds.Changed look(long id, FindingChoice choice) {
    return look(
        id,
        after -> found.having(id, choice, after),
        line -> line.disposition == Disposition.QUERY,
        "queries of ");
  }

  /**
   * Settles for lines whose code the shop has for another tool whose values stand.
   *
   * @param lineIds the lines; null for all that have such a finding
   * @param finding that they have
   */
  @Transactional
  LineDeeds.Changed settle(
      long id, @Nullable List<Long> lineIds, FindingChoice finding, LineChoice choice) {
    Delivery delivery = deeds.ready(id);
    String text = json.text(choice);
    LineDeeds.Changed settled =
        deeds.make(
            delivery,
            concerned(id, lineIds, finding),
            line -> line.kind.standsAlone(),
            line -> line.choice = text,
            count ->
                "chose to %s for %s of %s"
                    .formatted(
                        choice.answer().name().toLowerCase(Locale.ROOT),
                        TrailRecord.count(count, "line"),
                        delivery.name));
    decided.note(id);
    return settled;
  }

  /**
   * Lets lines in that are held by doubts about their sizes.
   *
   * @param reason stays on the trail and with the lines
   */
  @Transactional
  LineDeeds.Changed allow(
      long id, @Nullable List<Long> lineIds, @Nullable FindingChoice choice, String reason) {
    Delivery delivery = deeds.ready(id);
    return deeds.make(
        delivery,
        concerned(id, lineIds, choice),
        this::allowable,
        line -> {
          line.allowed = reason;
          line.lookedAt = true;
        },
        count ->
            "let in %s of %s: %s"
                .formatted(TrailRecord.count(count, "held line"), delivery.name, reason));
  }

  private boolean allowable(DeliveryLine line) {
    List<Finding> held =
        Stream.of(json.read(line.findings, Finding[].class))
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList();
    return line.disposition == Disposition.HOLD && held.stream().allMatch(Allowance::possible);
  }

  private LongFunction<List<Long>> concerned(
      long id, @Nullable List<Long> lineIds, @Nullable FindingChoice choice) {
    if (lineIds != null) {
      return after -> FoundLines.among(lineIds, after);
    }
    if (choice == null) {
      throw Refusal.badRequest("say which lines or a finding are meant");
    }
    return after -> found.having(id, choice, after);
  }

  private LineDeeds.Changed look(
      long id, LongFunction<List<Long>> next, Predicate<DeliveryLine> concerned, String what) {
    Delivery delivery = deeds.ready(id);
    return deeds.make(
        delivery,
        next,
        concerned,
        line -> line.lookedAt = true,
        count ->
            "looked at %s%s of %s"
                .formatted(what, TrailRecord.count(count, "line"), delivery.name));
  }
}
