package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.machine.Overlap;
import arborline.server.account.MayLoad;
import arborline.server.support.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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

/** The load plan of a machine: what is put in, taken out, numbered, kept. */
@RestController
@RequestMapping("/api/v1/machines")
class PlanController {

  private static final int MOST_PLACES = 500;
  private static final int HIGHEST_STEP = 1000;

  private final Plans plans;
  private final PlanFit fit;
  private final PlanNumbers numbers;
  private final Overlaps overlaps;
  private final PlaceKeeping keeping;

  PlanController(
      Plans plans, PlanFit fit, PlanNumbers numbers, Overlaps overlaps, PlaceKeeping keeping) {
    this.plans = plans;
    this.fit = fit;
    this.numbers = numbers;
    this.overlaps = overlaps;
    this.keeping = keeping;
  }

  /**
   * What was done.
   *
   * @param questions what is odd about the measures, in sentences
   */
  record PlanDone(long undo, List<String> questions) {}

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
    if (places.isEmpty() || places.size() > MOST_PLACES || step < 1 || step > HIGHEST_STEP) {
      throw Refusal.badRequest(
          "name 1 to %d places, and a step of 1 to %d".formatted(MOST_PLACES, HIGHEST_STEP));
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
