package arborline.server.naming;

import arborline.core.naming.NamePattern;
import arborline.core.property.Dictionary;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.library.LibraryPatterns.NamingPatterns;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.Retried;
import arborline.server.support.Slice;
import arborline.server.tool.ToolDraft;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1")
class NamingController {

  private final Naming naming;

  NamingController(Naming naming) {
    this.naming = naming;
  }

  /** What may stand between braces. */
  record PatternField(String symbol, String name) {}

  record PatternsKept(long undo) {}

  record RenameOrder(List<Naming.Wanted> tools) {}

  @GetMapping("/naming/fields")
  Slice<PatternField> fields() {
    Stream<PatternField> own =
        Stream.of(
            new PatternField("CLASS", "tool class"),
            new PatternField("KIND", "first letters of the tool class"),
            new PatternField(NamePattern.RUNNING, "running number"));
    return Slice.all(
        Stream.concat(
                own,
                Dictionary.standard().all().stream()
                    .map(property -> new PatternField(property.symbol(), property.name())))
            .toList());
  }

  @GetMapping("/libraries/{id}/naming")
  NamingPatterns patterns(@PathVariable long id) {
    return naming.patterns(id);
  }

  @PutMapping("/libraries/{id}/naming")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  PatternsKept keep(@PathVariable long id, @RequestBody NamingPatterns patterns) {
    return new PatternsKept(naming.keep(id, patterns));
  }

  /** Answers patterns as they are typed; nothing is changed. */
  @PostMapping("/libraries/{id}/naming/preview")
  Naming.NamingPreview preview(
      @PathVariable long id,
      @RequestBody NamingPatterns patterns,
      @RequestParam(defaultValue = "0") long after) {
    return naming.preview(id, patterns, after);
  }

  @PostMapping("/libraries/{id}/naming/rename")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Naming.Renamed rename(@PathVariable long id, @RequestBody RenameOrder order) {
    List<Naming.Wanted> wanted = order.tools() == null ? List.of() : order.tools();
    return Retried.of(() -> naming.rename(id, wanted));
  }

  @PostMapping("/libraries/{id}/codes")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Naming.ReservedCode reserve(@PathVariable long id, @RequestBody ToolDraft draft) {
    return naming.reserve(id, draft);
  }
}
