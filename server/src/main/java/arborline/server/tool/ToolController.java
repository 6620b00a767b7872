package arborline.server.tool;

import arborline.core.inspect.ClassChange;
import arborline.core.merge.FieldMerge;
import arborline.core.tool.Motion;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.outline.Outline;
import arborline.server.account.MayEdit;
import arborline.server.support.Refusal;
import arborline.server.support.Retried;
import arborline.server.support.Slice;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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
            .map(toolClass ->
                new ClassHead(
                    toolClass.sheet().id(),
                    toolClass.sheet().title(),
                    toolClass.sheet().process().name().toLowerCase(java.util.Locale.ROOT),
                    toolClass.sheet().motion() != Motion.STANDS,
                    toolClass.outline(ExampleTools.of(toolClass))))
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

  /** What is not the same in two versions of a tool. */
  @GetMapping("/tools/{id}/versions/compare")
  Sheets.VersionsCompared compare(
      @PathVariable long id, @RequestParam int from, @RequestParam int to) {
    return sheets.compare(id, from, to);
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

  /**
   * A draft that is to become another class.
   *
   * @param aside values that earlier changes put aside, by symbol
   */
  record ClassOrder(ToolDraft tool, String toClass, Map<String, ToolDraft.Typed> aside) {}

  /** The draft in its new class, with what of it was put aside. */
  record ClassChanged(
      ToolDraft tool, Map<String, ToolDraft.Typed> aside, ToolJudge.ToolAnswer answer) {}

  /** Answers what becomes of a draft in another class; nothing is saved. */
  @PostMapping("/tools/class-change")
  ClassChanged changeClass(@RequestBody ClassOrder order) {
    ClassChange change =
        ClassChange.to(
            order.toClass(),
            ToolDraft.cells(order.tool().values()),
            ToolDraft.cells(order.aside()));
    ToolDraft changed = order.tool().with(order.toClass(), change.values());
    return new ClassChanged(
        changed, ToolDraft.typed(change.aside()), ToolJudge.answer(ToolJudge.inspect(changed)));
  }

  /**
   * Saves a change.
   *
   * @param version that it started from
   * @param keep {@code mine} or {@code theirs}: whose values stand where somebody else changed the
   *     same fields since; without it that is refused
   * @param seen the version that somebody chose this for; where another stands now it is asked anew
   * @param incomplete true where a draft may lack what a tool of its class must have
   */
  @PutMapping("/tools/{id}")
  @MayEdit
  ToolDone change(
      @PathVariable long id,
      @RequestParam int version,
      @RequestParam(required = false) @Nullable String keep,
      @RequestParam(required = false) @Nullable Integer seen,
      @RequestParam(defaultValue = "false") boolean incomplete,
      @RequestBody ToolDraft draft) {
    Optional<Sheets.Choice> choice = choice(keep, seen);
    return Retried.of(() -> sheets.change(id, version, draft, choice, incomplete));
  }

  private static Optional<Sheets.Choice> choice(@Nullable String keep, @Nullable Integer seen) {
    if (keep == null) {
      return Optional.empty();
    }
    if (seen == null) {
      throw Refusal.badRequest("keep needs seen: the version that somebody chose it for");
    }
    return Optional.of(
        switch (keep) {
          case "mine" -> new Sheets.Choice(FieldMerge.Keep.MINE, seen);
          case "theirs" -> new Sheets.Choice(FieldMerge.Keep.THEIRS, seen);
          default -> throw Refusal.badRequest("keep is mine or theirs, not '%s'".formatted(keep));
        });
  }

  @PostMapping("/tools/{id}/back")
  @MayEdit
  ToolDone back(@PathVariable long id, @RequestParam int version) {
    return Retried.of(() -> sheets.backTo(id, version));
  }
}
