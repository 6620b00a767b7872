package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.LossReport;
import arborline.core.quantity.Unit;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/libraries")
class ExportController {

  private final Exports exports;

  ExportController(Exports exports) {
    this.exports = exports;
  }

  record Losses(int count, List<LossReport.Loss> losses) {}

  /** Streams the library as a file. */
  @GetMapping("/{id}/export")
  void export(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit,
      HttpServletResponse response)
      throws IOException {
    BundleFormat chosen = Formats.named(format);
    Optional<Unit> target = Formats.unit(unit);
    String name =
        exports.name(id).replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(java.util.Locale.ROOT);
    response.setContentType(chosen.mediaType());
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename(name + "." + chosen.ending()).build().toString());
    exports.write(id, chosen, target, response.getOutputStream());
  }

  /** What that file would drop or round. */
  @GetMapping("/{id}/losses")
  Losses losses(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit)
      throws IOException {
    LossReport report = exports.losses(id, Formats.named(format), Formats.unit(unit));
    return new Losses(report.count(), report.losses());
  }
}
