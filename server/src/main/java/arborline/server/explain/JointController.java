package arborline.server.explain;

import arborline.core.connection.Joint;
import arborline.core.finding.Finding;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Says which sides of a joint mate. */
@RestController
@RequestMapping("/api/v1/explain")
class JointController {

  /** Whether two sides mate; {@code valid} is false where a code itself is wrong. */
  record JointAnswer(
      boolean valid,
      boolean mates,
      String why,
      Map<String, String> properties,
      List<Finding> findings) {}

  @GetMapping("/joint")
  JointAnswer joint(@RequestParam String a, @RequestParam String b) {
    Joint joint = Joint.of(a, b);
    boolean valid = !joint.why().startsWith("invalid code");
    List<Finding> findings =
        joint.mates()
            ? joint.warning().map(warning -> Finding.query("joint-look", warning)).stream().toList()
            : List.of(Finding.hold("joint", joint.why(), "CCMS", "CCWS"));
    return new JointAnswer(valid, joint.mates(), joint.why(), Map.of(), findings);
  }
}
