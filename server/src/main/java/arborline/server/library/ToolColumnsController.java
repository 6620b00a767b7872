package arborline.server.library;

import arborline.server.support.Slice;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/tool-columns")
class ToolColumnsController {

  /** The columns that lists of tools can have, in their order. */
  @GetMapping
  Slice<ToolColumns.ToolColumn> all() {
    return Slice.all(ToolColumns.all());
  }
}
