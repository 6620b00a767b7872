package arborline.server.machine;

import arborline.server.account.MayLoad;
import arborline.server.machine.Uses.UseView;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How a planned tool is used in its place. */
@RestController
@RequestMapping("/api/v1/machines/{id}/plan/{place}/use")
class UseController {

  private final Uses uses;

  UseController(Uses uses) {
    this.uses = uses;
  }

  @GetMapping
  UseView one(@PathVariable String id, @PathVariable String place) {
    return uses.of(id, place);
  }

  /** What another use would come to; nothing is changed. */
  @PostMapping("/look")
  UseView look(@PathVariable String id, @PathVariable String place, @RequestBody UseOrder order) {
    return uses.look(id, place, order);
  }

  /**
   * Has a tool be used so.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @PutMapping
  @MayLoad
  UseView choose(
      @PathVariable String id,
      @PathVariable String place,
      @RequestParam(defaultValue = "false") boolean changeJobs,
      @RequestBody UseOrder order) {
    return uses.choose(id, place, order, changeJobs);
  }

  /**
   * Back to the usual use.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @DeleteMapping
  @MayLoad
  UseView reset(
      @PathVariable String id,
      @PathVariable String place,
      @RequestParam(defaultValue = "false") boolean changeJobs) {
    return uses.reset(id, place, changeJobs);
  }
}
