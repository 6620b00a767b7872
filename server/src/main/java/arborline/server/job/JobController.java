package arborline.server.job;

import arborline.core.table.ProgramUse;
import arborline.server.account.MayEdit;
import arborline.server.job.Jobs.JobDone;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs: where they run and which tools they call. */
@RestController
@RequestMapping("/api/v1/jobs")
class JobController {

  private final Jobs jobs;
  private final JobViews views;

  JobController(Jobs jobs, JobViews views) {
    this.jobs = jobs;
    this.views = views;
  }

  /**
   * A tool that a job is to call.
   *
   * @param number by which its program calls it; null for the one that it has at the machine, else
   *     in its library, else the next free one
   * @param libraryId from which it is taken; null for any that has it
   * @param uses what its program does with it, as {@code radius compensation}; null or none for
   *     what is usual of its class
   */
  record JobToolOrder(
      @Nullable Integer number,
      @Nullable Long toolId,
      @Nullable Long libraryId,
      @Nullable List<@Nullable String> uses) {}

  /**
   * A job as somebody wants it.
   *
   * @param part that comes of it; null for none named
   * @param machine on which it runs
   */
  record JobOrder(
      @Nullable String name,
      @Nullable String part,
      @Nullable String machine,
      @Nullable List<@Nullable JobToolOrder> tools) {}

  /**
   * A job to be made.
   *
   * @param ofLoad true where it calls all that is planned at the machine, as it is numbered there
   * @param copyOf job whose tools it calls besides; null for none
   */
  record NewJob(@Nullable JobOrder job, @Nullable Boolean ofLoad, @Nullable Long copyOf) {}

  /** Whether a job is finished. */
  record FinishOrder(@Nullable Boolean finished) {}

  /**
   * All jobs: open ones first, then by name.
   *
   * @param machine on which they run; null for any
   */
  @GetMapping
  Slice<JobViews.JobHead> all(@RequestParam(required = false) @Nullable String machine) {
    return Slice.all(
        views.heads(
            jobs.all().stream()
                .filter(job -> machine == null || job.machine().equals(machine))
                .toList()));
  }

  @GetMapping("/{id}")
  JobViews.JobView one(@PathVariable long id) {
    return views.view(jobs.get(id));
  }

  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  JobDone create(@RequestBody NewJob order) {
    JobRow wanted = row(0, order.job());
    List<JobTool> tools = new ArrayList<>(wanted.tools());
    List<JobTool> known = new ArrayList<>();
    if (Boolean.TRUE.equals(order.ofLoad())) {
      known.addAll(views.load(wanted.machine()));
    }
    if (order.copyOf() != null) {
      known.addAll(jobs.get(order.copyOf()).tools());
    }
    tools.addAll(known);
    return jobs.create(wanted.calling(tools), known);
  }

  /** Changes a job from a version of it on. */
  @PutMapping("/{id}")
  @MayEdit
  JobDone change(@PathVariable long id, @RequestParam int version, @RequestBody JobOrder order) {
    return jobs.change(id, version, row(id, order));
  }

  @PutMapping("/{id}/finished")
  @MayEdit
  JobDone finish(@PathVariable long id, @RequestBody FinishOrder order) {
    if (order.finished() == null) {
      throw Refusal.badRequest("finished: true or false");
    }
    return jobs.finish(id, order.finished());
  }

  @DeleteMapping("/{id}")
  @MayEdit
  JobDone delete(@PathVariable long id) {
    return jobs.delete(id);
  }

  private static JobRow row(long id, @Nullable JobOrder order) {
    if (order == null || order.machine() == null) {
      throw Refusal.badRequest("machine: say on which the job runs");
    }
    List<@Nullable JobToolOrder> tools = order.tools() == null ? List.of() : order.tools();
    return new JobRow(
        id,
        order.name() == null ? "" : order.name().strip(),
        order.part() == null ? "" : order.part().strip(),
        order.machine(),
        false,
        1,
        false,
        tools.stream().map(JobController::tool).toList());
  }

  private static JobTool tool(@Nullable JobToolOrder order) {
    if (order == null || order.toolId() == null) {
      throw Refusal.badRequest("tools: each has a toolId");
    }
    int number = order.number() == null ? JobNumbers.NONE : order.number();
    List<@Nullable String> uses = order.uses() == null ? List.of() : order.uses();
    return new JobTool(
        number,
        order.toolId(),
        order.libraryId(),
        uses.stream().map(JobController::use).collect(Collectors.toUnmodifiableSet()));
  }

  private static ProgramUse use(@Nullable String words) {
    return ProgramUse.named(words == null ? "" : words)
        .orElseThrow(
            () -> Refusal.badRequest("uses: one of " + String.join(", ", JobViews.POSSIBLE_USES)));
  }
}
