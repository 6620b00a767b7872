package arborline.server.machine;

import arborline.server.account.MayEdit;
import arborline.server.machine.MachineViews.MachineHead;
import arborline.server.machine.MachineViews.MachineView;
import arborline.server.machine.PlanController.PlanDone;
import arborline.server.support.Slice;
import arborline.server.support.ToolIds;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/machines")
class MachineController {

  private static final int MOST_TOOLS = 500;

  private final Machines machines;
  private final MachineViews views;
  private final MachineLibraries libraries;
  private final Suits suits;
  private final PickFrom pickFrom;

  MachineController(
      Machines machines,
      MachineViews views,
      MachineLibraries libraries,
      Suits suits,
      PickFrom pickFrom) {
    this.machines = machines;
    this.views = views;
    this.libraries = libraries;
    this.suits = suits;
    this.pickFrom = pickFrom;
  }

  @GetMapping
  Slice<MachineHead> all() {
    return Slice.all(machines.all().stream().map(views::head).toList());
  }

  @GetMapping("/{id}")
  MachineView one(@PathVariable String id) {
    return views.of(machines.get(id));
  }

  /**
   * Which library tools for a machine are picked from first.
   *
   * @param library null for none
   * @param edition as which it stands there; null for none in particular
   */
  record LibraryChoice(@Nullable Long library, @Nullable Long edition) {}

  @PutMapping("/{id}/library")
  @MayEdit
  PlanDone choose(@PathVariable String id, @RequestBody LibraryChoice choice) {
    return new PlanDone(libraries.choose(id, choice.library(), choice.edition()), List.of());
  }

  /**
   * From which library tools for a machine are picked where nobody says another.
   *
   * @param library null where there is none
   */
  record PickedFrom(@Nullable Long library) {}

  @GetMapping("/{id}/picked-from")
  PickedFrom pickedFrom(@PathVariable String id) {
    return new PickedFrom(pickFrom.of(id).orElse(null));
  }

  /**
   * Tools of which somebody wants to know whether they can go into a machine.
   *
   * @param libraryId from which they are picked; null for any
   */
  record SuitsQuestion(@Nullable Long libraryId, List<Long> tools) {}

  /** Why tools can go into no place of a machine, by tool; those that can are left out. */
  @PostMapping("/{id}/unsuited")
  Map<Long, String> unsuited(@PathVariable String id, @RequestBody SuitsQuestion question) {
    return suits.unsuited(
        id, question.libraryId(), ToolIds.of("tools", question.tools(), MOST_TOOLS));
  }
}
