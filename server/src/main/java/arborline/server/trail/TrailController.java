package arborline.server.trail;

import arborline.server.support.Refusal;
import arborline.server.support.Retried;
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
  private final TrailSearch search;

  TrailController(Trail trail, TrailSearch search) {
    this.trail = trail;
    this.search = search;
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

  /**
   * What was done, newest first.
   *
   * @param who name of an account
   * @param kind of what it was done to: {@code tool}, {@code library}, {@code delivery}, ...
   * @param subject which one of its kind
   * @param library what was done to it and to the tools that it holds now
   * @param text words of the sentence
   * @param from the earliest moment
   * @param to before which moment
   */
  @GetMapping
  Slice<TrailLine> newest(
      @RequestParam(required = false) @Nullable String who,
      @RequestParam(required = false) @Nullable String kind,
      @RequestParam(required = false) @Nullable String subject,
      @RequestParam(required = false) @Nullable Long library,
      @RequestParam(required = false) @Nullable String text,
      @RequestParam(required = false) @Nullable Instant from,
      @RequestParam(required = false) @Nullable Instant to,
      @RequestParam(required = false) @Nullable String after,
      @RequestParam(defaultValue = "100") int limit) {
    int size = Math.clamp(limit, 1, MOST);
    Cursor cursor = after == null ? Cursor.NEWEST : Cursor.read(after);
    List<TrailLine> lines =
        search.before(
            new TrailSearch.Wanted(who, kind, subject, library, text, from, to),
            cursor.at(),
            cursor.id(),
            size + 1);
    return Slice.cut(lines, size, line -> new Cursor(line.at(), line.id()).text());
  }

  /** The people who did something. */
  @GetMapping("/people")
  Slice<String> people() {
    return Slice.all(search.people());
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

  @PostMapping("/{id}/undo")
  @PreAuthorize("hasAnyAuthority('EDIT', 'RECEIVE', 'LOAD', 'HANDLE', 'PROVE')")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void undo(@PathVariable long id) {
    Retried.of(() -> {
      trail.undo(id);
      return id;
    });
  }
}
