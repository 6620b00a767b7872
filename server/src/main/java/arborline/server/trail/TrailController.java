package arborline.server.trail;

import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/trail")
class TrailController {

  private static final int MOST = 200;

  private final Trail trail;

  TrailController(Trail trail) {
    this.trail = trail;
  }

  /**
   * A line of the trail.
   *
   * @param undo {@code possible}, {@code done} or {@code none}
   */
  record TrailLine(
      long id,
      Instant at,
      String who,
      String subjectKind,
      String subjectId,
      String text,
      String undo) {}

  @GetMapping
  Slice<TrailLine> newest(
      @RequestParam(required = false) @Nullable String after,
      @RequestParam(defaultValue = "100") int limit) {
    int size = Math.clamp(limit, 1, MOST);
    Cursor from = after == null ? Cursor.NEWEST : Cursor.read(after);
    List<TrailLine> lines =
        trail.before(from.at(), from.id(), size + 1).stream().map(TrailController::line).toList();
    return Slice.cut(lines, size, line -> new Cursor(line.at(), line.id()).text());
  }

  /** Where a page ended: by time, then by identity. */
  private record Cursor(Instant at, long id) {

    static final Cursor NEWEST = new Cursor(Instant.parse("9999-01-01T00:00:00Z"), Long.MAX_VALUE);

    static Cursor read(String text) {
      try {
        int dash = text.indexOf('_');
        return new Cursor(
            Instant.parse(text.substring(0, dash)), Long.parseLong(text.substring(dash + 1)));
      } catch (DateTimeParseException | NumberFormatException | IndexOutOfBoundsException broken) {
        throw Refusal.badRequest("the cursor in 'after' is not one that this list gave out");
      }
    }

    String text() {
      return at + "_" + id;
    }
  }

  private static TrailLine line(TrailEntry entry) {
    String undo = entry.undoKind == null ? "none" : entry.undoneBy == null ? "possible" : "done";
    return new TrailLine(
        entry.id,
        entry.happenedAt,
        entry.who,
        entry.subjectKind,
        entry.subjectId,
        entry.text,
        undo);
  }

  @PostMapping("/{id}/undo")
  @PreAuthorize("hasAnyAuthority('EDIT', 'RECEIVE', 'LOAD', 'PROVE')")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void undo(@PathVariable long id) {
    trail.undo(id);
  }
}
