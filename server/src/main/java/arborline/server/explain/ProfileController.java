package arborline.server.explain;

import arborline.core.tool.outline.SegmentTable;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ProfileController {

  /**
   * The rows of a segment table.
   *
   * @param points as far as they can be read
   * @param why what is wrong with the table; null where nothing is
   */
  record ProfileAnswer(boolean valid, List<SegmentTable.Corner> points, @Nullable String why) {}

  @GetMapping("/api/v1/explain/profile")
  ProfileAnswer profile(@RequestParam String text) {
    SegmentTable table = SegmentTable.read(text);
    return new ProfileAnswer(table.fault().isEmpty(), table.points(), table.fault().orElse(null));
  }
}
