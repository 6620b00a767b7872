package arborline.server.explain;

import arborline.core.finding.Finding;
import arborline.core.turning.Mounting;
import arborline.core.turning.Orientation;
import arborline.core.turning.ToolOrientation;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Says how a turning tool stands in its mounting. */
@RestController
@RequestMapping("/api/v1/explain")
class OrientationController {

  /**
   * How a tool stands.
   *
   * @param code tip orientation 0 to 8
   * @param spindle M3 or M4
   * @param tip direction from nose centre to imaginary tip in program X and Z
   */
  record OrientationAnswer(
      boolean valid,
      @Nullable Integer code,
      @Nullable String spindle,
      @Nullable String contactSide,
      @Nullable String feed,
      @Nullable List<Integer> tip,
      Map<String, String> properties,
      List<Finding> findings) {

    static OrientationAnswer impossible(Finding why) {
      return new OrientationAnswer(false, null, null, null, null, null, Map.of(), List.of(why));
    }
  }

  @GetMapping("/orientation")
  OrientationAnswer orientation(
      @RequestParam String turretSide,
      @RequestParam(defaultValue = "own") String xAxis,
      @RequestParam(defaultValue = "main") String spindle,
      @RequestParam(defaultValue = "common") String zAxis,
      @RequestParam String mount,
      @RequestParam String work,
      @RequestParam String hand,
      @RequestParam String rake) {
    Choices choices = new Choices();
    return answer(
        choices, choices.mounting(turretSide, xAxis, spindle, zAxis, mount, work, hand, rake));
  }

  /** How a mounting stands, or why its words or the mounting itself cannot be. */
  static OrientationAnswer answer(Choices choices, Mounting mounting) {
    Optional<Finding> obstacle = choices.fault().or(() -> Orientation.obstacle(mounting));
    return obstacle
        .map(OrientationAnswer::impossible)
        .orElseGet(() -> answer(Orientation.of(mounting)));
  }

  private static OrientationAnswer answer(ToolOrientation orientation) {
    return new OrientationAnswer(
        true,
        orientation.orientation(),
        orientation.spindle(),
        orientation.contact(),
        orientation.feed(),
        List.of(orientation.tipX(), orientation.tipZ()),
        Map.of(),
        orientation.remark().map(remark -> Finding.note("orientation-remark", remark)).stream()
            .toList());
  }
}
