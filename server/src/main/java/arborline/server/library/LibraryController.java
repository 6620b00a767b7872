package arborline.server.library;

import arborline.core.exchange.LossReport;
import arborline.core.exchange.ToolFormat;
import arborline.core.exchange.ToolFormats;
import arborline.core.quantity.Unit;
import arborline.server.account.MayEdit;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/libraries")
class LibraryController {

  private static final int MOST = 500;

  private final Libraries libraries;
  private final ToolLists lists;
  private final Sheets sheets;
  private final Exports exports;

  LibraryController(Libraries libraries, ToolLists lists, Sheets sheets, Exports exports) {
    this.libraries = libraries;
    this.lists = lists;
    this.sheets = sheets;
    this.exports = exports;
  }

  record LibraryName(String name) {}

  record Losses(int count, List<LossReport.Loss> losses) {}

  @GetMapping
  Slice<Libraries.LibraryHead> all() {
    return Slice.all(libraries.all());
  }

  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Libraries.LibraryHead open(@RequestBody LibraryName name) {
    return libraries.open(name.name());
  }

  @GetMapping("/{id}")
  Libraries.LibraryHead one(@PathVariable long id) {
    return libraries.get(id);
  }

  @GetMapping("/{id}/tools")
  Slice<ToolLists.ToolRow> tools(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax,
      @RequestParam(defaultValue = "code") String sort,
      @RequestParam(defaultValue = "false") boolean down,
      @RequestParam(required = false) @Nullable String after,
      @RequestParam(defaultValue = "100") int limit) {
    return lists.page(
        filter(id, q, classes, diaMin, diaMax), sort, down, after, Math.clamp(limit, 1, MOST));
  }

  @GetMapping("/{id}/facets")
  ToolLists.Facets facets(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax) {
    return lists.facets(filter(id, q, classes, diaMin, diaMax));
  }

  private static ToolQuery.Filter filter(
      long id,
      @Nullable String q,
      @Nullable Set<String> classes,
      @Nullable BigDecimal diaMin,
      @Nullable BigDecimal diaMax) {
    return new ToolQuery.Filter(id, q, classes == null ? Set.of() : classes, diaMin, diaMax);
  }

  @PostMapping("/{id}/tools")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Sheets.ToolDone create(@PathVariable long id, @RequestBody ToolDraft draft) {
    return sheets.create(id, draft);
  }

  @PostMapping("/{id}/tools/{toolId}/copy")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Sheets.ToolDone copy(@PathVariable long id, @PathVariable long toolId) {
    return sheets.copy(id, toolId);
  }

  @DeleteMapping("/{id}/tools/{toolId}")
  @MayEdit
  Sheets.ToolDone remove(@PathVariable long id, @PathVariable long toolId) {
    return sheets.remove(id, toolId);
  }

  /** Streams the library as a file. */
  @GetMapping("/{id}/export")
  void export(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit,
      HttpServletResponse response)
      throws IOException {
    ToolFormat chosen = format(format);
    Optional<Unit> target = unit(unit);
    String name =
        exports.name(id).replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(java.util.Locale.ROOT);
    response.setContentType(chosen.mediaType());
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename(name + "." + chosen.id()).build().toString());
    exports.write(id, chosen, target, response.getOutputStream());
  }

  /** What that file would drop or round. */
  @GetMapping("/{id}/losses")
  Losses losses(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit)
      throws IOException {
    LossReport report = exports.losses(id, format(format), unit(unit));
    return new Losses(report.count(), report.losses());
  }

  private static ToolFormat format(String id) {
    return ToolFormats.named(id)
        .orElseThrow(() ->
            Refusal.badRequest(
                "format is one of "
                    + String.join(", ", ToolFormats.all().stream().map(ToolFormat::id).toList())));
  }

  private static Optional<Unit> unit(@Nullable String text) {
    if (text == null || text.isBlank()) {
      return Optional.empty();
    }
    return switch (text) {
      case "mm" -> Optional.of(Unit.MILLIMETRE);
      case "in" -> Optional.of(Unit.INCH);
      default -> throw Refusal.badRequest("unit is mm or in");
    };
  }
}
