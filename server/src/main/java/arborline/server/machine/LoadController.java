package arborline.server.machine;

import arborline.server.account.MayLoad;
import arborline.server.machine.PlannedLoads.PlannedLoad;
import arborline.server.support.Refusal;
import arborline.server.support.ToolIds;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Loads planned with the fewest moves. */
@RestController
@RequestMapping("/api/v1/machines/{id}/load")
class LoadController {

  private static final int MOST_TOOLS = 200;
  private static final int MOST_SISTERS = 20;

  private final PlannedLoads loads;
  private final LoadPlanning planning;
  private final Plans plans;

  LoadController(PlannedLoads loads, LoadPlanning planning, Plans plans) {
    this.loads = loads;
    this.planning = planning;
    this.plans = plans;
  }

  /**
   * A tool of a load.
   *
   * @param libraryId from which it is picked; null for any
   * @param number how many of it; null for one
   */
  record WantedTool(@Nullable Long toolId, @Nullable Long libraryId, @Nullable Integer number) {}

  /**
   * What has to be in.
   *
   * @param keep tools that stay where they are planned; null for none
   * @param longer true where fewer moves are worth waiting for some seconds; null for no
   * @param allow true where the lead lets tools in that are not released; null for no
   */
  record LoadOrder(
      @Nullable List<WantedTool> wanted,
      @Nullable List<Long> keep,
      @Nullable Boolean longer,
      @Nullable Boolean allow) {}

  /** A tool in the place where it is to stand. */
  record WantedPlace(@Nullable String place, @Nullable Long toolId, @Nullable Long libraryId) {}

  /**
   * A load to be planned as it was found.
   *
   * @param stamp that came with it
   * @param allow true where the lead lets tools in that are not released; null for no
   */
  record TakenLoad(
      @Nullable List<WantedPlace> placement, @Nullable String stamp, @Nullable Boolean allow) {}

  record LoadDone(long undo) {}

  /** Says where the tools go with the fewest moves; nothing is changed. */
  @PostMapping("/plan")
  @MayLoad
  PlannedLoad plan(@PathVariable String id, @RequestBody LoadOrder order) {
    List<WantedTool> wanted = order.wanted() == null ? List.of() : order.wanted();
    ToolIds.of("wanted", wanted.stream().map(WantedTool::toolId).toList(), MOST_TOOLS);
    Map<Long, LoadSituations.Wanted> tools = new LinkedHashMap<>();
    int all = 0;
    for (WantedTool tool : wanted) {
      int number = tool.number() == null ? 1 : tool.number();
      if (number < 1 || number > MOST_SISTERS) {
        throw Refusal.badRequest("number: 1 to %d of a tool".formatted(MOST_SISTERS));
      }
      all += number;
      tools.put(
          tool.toolId(),
          new LoadSituations.Wanted(tool.libraryId() == null ? 0 : tool.libraryId(), number));
    }
    if (all > MOST_TOOLS) {
      throw Refusal.badRequest("a load has at most %d tools".formatted(MOST_TOOLS));
    }
    Set<Long> keep =
        order.keep() == null || order.keep().isEmpty()
            ? Set.of()
            : new HashSet<>(ToolIds.of("keep", order.keep(), 2 * MOST_TOOLS));
    return loads.plan(
        id,
        tools,
        keep,
        new PlannedLoads.Search(
            Boolean.TRUE.equals(order.longer()), Boolean.TRUE.equals(order.allow())));
  }

  /** By what the tools of a storage are to be sorted. */
  record SortOrder(String storage, LoadSort by) {}

  /** Says which moves sort the tools of a storage; nothing is changed. */
  @PostMapping("/sorted")
  @MayLoad
  PlannedLoad sorted(@PathVariable String id, @RequestBody SortOrder order) {
    return loads.sorted(id, order.storage(), order.by());
  }

  /** Stops what whoever asks has planned just now. */
  @DeleteMapping("/plan")
  @MayLoad
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop(@PathVariable String id) {
    planning.stop();
  }

  /**
   * Has the plan of the machine be the load that was found.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @PutMapping
  @MayLoad
  LoadDone take(
      @PathVariable String id,
      @RequestParam(defaultValue = "false") boolean changeJobs,
      @RequestBody TakenLoad load) {
    if (load.placement() == null || load.stamp() == null) {
      throw Refusal.badRequest("placement and stamp are missing: plan the load first");
    }
    Map<String, Plans.Picked> wanted = new LinkedHashMap<>();
    for (WantedPlace place : load.placement()) {
      if (place.place() == null || place.toolId() == null) {
        throw Refusal.badRequest("placement: each names a place and a tool");
      }
      Plans.Picked tool =
          new Plans.Picked(place.toolId(), place.libraryId() == null ? 0 : place.libraryId());
      if (wanted.put(place.place(), tool) != null) {
        throw Refusal.badRequest(
            "placement: %s is named twice; a place holds one tool".formatted(place.place()));
      }
    }
    return new LoadDone(
        plans.rearrange(
            id,
            new Plans.WantedLoad(wanted, Boolean.TRUE.equals(load.allow())),
            load.stamp(),
            changeJobs));
  }
}
