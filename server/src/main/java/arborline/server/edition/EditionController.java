package arborline.server.edition;

import arborline.core.exchange.BundleFormat;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.exchange.Formats;
import arborline.server.exchange.PackedFiles;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.LongWork;
import arborline.server.support.Slice;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Editions of libraries. */
@RestController
@RequestMapping("/api/v1")
class EditionController {

  private static final int MOST = 500;

  private final Editions editions;
  private final EditionCompare comparing;
  private final EditionFiles files;

  EditionController(Editions editions, EditionCompare comparing, EditionFiles files) {
    this.files = files;
    this.editions = editions;
    this.comparing = comparing;
  }

  @GetMapping("/libraries/{id}/editions")
  Slice<EditionHead> all(@PathVariable long id) {
    return Slice.all(editions.of(id));
  }

  /** Why an edition is made. */
  record EditionOrder(@Nullable String words) {}

  @PostMapping("/libraries/{id}/editions")
  @MayEdit
  @LongWork
  @ResponseStatus(HttpStatus.CREATED)
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  EditionHead make(@PathVariable long id, @RequestBody EditionOrder order) {
    return editions.make(id, order.words());
  }

  @GetMapping("/editions/{id}")
  EditionHead one(@PathVariable long id) {
    return editions.get(id);
  }

  @PostMapping("/editions/{id}/back")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Editions.EditionBack back(@PathVariable long id) {
    return editions.back(id);
  }

  /** Answers an edition as a file, written and read back before anything is sent. */
  @GetMapping("/editions/{id}/export")
  void export(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit,
      HttpServletResponse response)
      throws IOException {
    EditionHead edition = editions.get(id);
    BundleFormat chosen = Formats.named(format);
    String title = editions.library(edition.libraryId());
    Path file = Files.createTempFile("edition", "." + chosen.ending());
    try {
      EditionFiles.EditionFile written =
          files.write(edition, title, chosen, Formats.unit(unit), file);
      String name =
          PackedFiles.fileName("%s edition %d".formatted(title, edition.number()), chosen.ending());
      response.setHeader(
          "X-Proof",
          "%s; compared=%d; losses=%d"
              .formatted(
                  written.proof().equal() ? "equal" : "different",
                  written.proof().compared(),
                  written.losses().count()));
      response.setContentType(PackedFiles.mediaType(name, chosen));
      response.setContentLengthLong(Files.size(file));
      response.setHeader(
          HttpHeaders.CONTENT_DISPOSITION,
          ContentDisposition.attachment().filename(name).build().toString());
      Files.copy(file, response.getOutputStream());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  @GetMapping("/editions/{id}/tools")
  Slice<EditionStore.PlacedTool> tools(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String after,
      @RequestParam(defaultValue = "100") int limit) {
    return editions.tools(id, after, Math.clamp(limit, 1, MOST));
  }

  /**
   * What is not the same in two editions.
   *
   * @param a the earlier one
   * @param b the later one; left out for what stands in the library now
   */
  @GetMapping("/editions/compare")
  EditionCompare.EditionsCompared compare(
      @RequestParam long a, @RequestParam(required = false) @Nullable Long b) {
    return comparing.compare(a, b);
  }
}
