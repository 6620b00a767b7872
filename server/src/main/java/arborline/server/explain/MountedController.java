package arborline.server.explain;

import arborline.core.tool.Completed;
import arborline.core.tool.Process;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.core.turning.EdgeClearances;
import arborline.core.turning.MountedFront;
import arborline.core.turning.MountedView;
import arborline.core.turning.Mounting;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Shows a tool of the shop as it sits on a turret. */
@RestController
@RequestMapping("/api/v1/tools")
class MountedController {

  private final Tools tools;

  MountedController(Tools tools) {
    this.tools = tools;
  }

  /**
   * A mounted tool.
   *
   * @param work external, internal, face or center
   * @param view from above; null where it cannot be mounted so
   * @param front along the spindle; null where it cannot be mounted so
   * @param clearances null where edge angle or corner angle is not known
   */
  record MountedAnswer(
      String work,
      OrientationController.OrientationAnswer orientation,
      @Nullable MountedView view,
      @Nullable MountedFront front,
      @Nullable EdgeClearances clearances) {}

  @GetMapping("/{id}/mounted")
  MountedAnswer mounted(
      @PathVariable long id,
      @RequestParam(defaultValue = "rear") String turretSide,
      @RequestParam(defaultValue = "main") String spindle,
      @RequestParam(defaultValue = "down") String rake,
      @RequestParam(required = false) @Nullable String work) {
    Tool tool = Completed.of(tools.get(id).tool()).tool();
    boolean turning =
        ToolClasses.named(tool.toolClass())
            .map(known -> known.sheet().process())
            .filter(process -> process == Process.TURNING || process == Process.HOLE_MAKING)
            .isPresent();
    if (!turning) {
      throw Refusal.conflict("%s is no tool for turning".formatted(tool.code()));
    }
    String hand = tool.word("HAND").orElse("R");
    String where = work != null ? work : usual(tool);
    String mount = where.equals("external") ? "radial" : "axial";
    Choices choices = new Choices();
    Mounting mounting =
        choices.mounting(turretSide, "own", spindle, "common", mount, where, hand, rake);
    OrientationController.OrientationAnswer orientation =
        OrientationController.answer(choices, mounting);
    return new MountedAnswer(
        where,
        orientation,
        orientation.valid()
            ? Silhouettes.of(tool)
                .map(outline ->
                    MountedView.of(mounting, outline, mounting.hand() == Mounting.Hand.L))
                .orElse(null)
            : null,
        orientation.valid() ? MountedFront.of(mounting, tool) : null,
        EdgeClearances.of(tool).orElse(null));
  }

  /** Bars with a least bore work inside, face groovers on a face, all others outside. */
  private static String usual(Tool tool) {
    return tool.has("DMIN") ? "internal" : tool.has("DAXN") ? "face" : "external";
  }
}
