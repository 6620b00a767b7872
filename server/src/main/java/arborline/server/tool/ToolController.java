package arborline.server.tool;

import arborline.core.tool.Motion;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.outline.Outline;
import arborline.server.account.MayEdit;
import arborline.server.support.Slice;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1")
class ToolController {

  private final Sheets sheets;

  ToolController(Sheets sheets) {
    this.sheets = sheets;
  }

  /**
   * A tool class for choosing, with an outline that shows its kind.
   *
   * @param cuts true where cutting data can be computed
   */
  record ClassHead(String id, String title, String process, boolean cuts, Outline outline) {}

  @GetMapping("/classes")
  Slice<ClassHead> classes() {
    return Slice.all(
        ToolClasses.all().stream()
            .map(each ->
                new ClassHead(
                    each.sheet().id(),
                    each.sheet().title(),
                    each.sheet().process().name().toLowerCase(java.util.Locale.ROOT),
                    each.sheet().motion() != Motion.STANDS,
                    each.outline(ExampleTools.of(each))))
            .toList());
  }

  /** The JSON Schema of our tool files. */
  @GetMapping(value = "/schema/tools", produces = "application/schema+json")
  org.springframework.core.io.Resource schema() {
    return new org.springframework.core.io.ClassPathResource(
        "arborline/core/exchange/arbor-line-tools.schema.json");
  }

  @GetMapping("/tools/{id}")
  Sheets.Sheet sheet(@PathVariable long id) {
    return sheets.sheet(id);
  }

  /** A draft of the same tool one usual diameter larger. */
  @GetMapping("/tools/{id}/next-size")
  ToolDraft nextSize(@PathVariable long id) {
    return sheets.nextSize(id);
  }

  /** Answers a draft without saving anything. */
  @PostMapping(value = "/tools/check", consumes = MediaType.APPLICATION_JSON_VALUE)
  ToolJudge.ToolAnswer check(@RequestBody ToolDraft draft) {
    return ToolJudge.answer(ToolJudge.inspect(draft));
  }

  @PutMapping("/tools/{id}")
  @MayEdit
  ToolDone change(@PathVariable long id, @RequestParam int version, @RequestBody ToolDraft draft) {
    return sheets.change(id, version, draft);
  }

  @PostMapping("/tools/{id}/back")
  @MayEdit
  ToolDone back(@PathVariable long id, @RequestParam int version) {
    return sheets.backTo(id, version);
  }
}
