package arborline.server.explain;

import arborline.core.designation.Decoded;
import arborline.core.designation.InsertDesignation;
import arborline.core.designation.InsertProperties;
import arborline.core.designation.InsertReader;
import arborline.core.designation.ShankProperties;
import arborline.core.designation.ShankReader;
import arborline.core.finding.Finding;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Says what designations mean. */
@RestController
@RequestMapping("/api/v1/explain")
class DesignationController {

  /**
   * A designation in properties.
   *
   * @param properties decimal text in mm or degrees, or letters, by symbol
   * @param converted the other system's designation; null where it has none
   */
  record DesignationAnswer(
      boolean valid,
      Map<String, String> properties,
      List<Finding> findings,
      @Nullable String converted) {}

  @GetMapping("/insert")
  DesignationAnswer insert(@RequestParam String designation) {
    Decoded<InsertDesignation> read = InsertReader.read(designation);
    return new DesignationAnswer(
        read.valid(),
        read.value().map(InsertProperties::of).orElse(Map.of()),
        read.findings(),
        read.value().flatMap(InsertDesignation::converted).orElse(null));
  }

  @GetMapping("/shank")
  DesignationAnswer shank(@RequestParam String designation) {
    var read = ShankReader.read(designation);
    return new DesignationAnswer(
        read.valid(),
        read.value().map(ShankProperties::of).orElse(Map.of()),
        read.findings(),
        null);
  }
}
