package arborline.server.exchange;

import arborline.core.convert.Progress;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.LossReport;
import arborline.server.account.MayReceive;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1")
class ExportController {

  private final Exports exports;
  private final PackedFiles packed;
  private final WrittenFiles files;
  private final ToolPackages packages;

  ExportController(Exports exports, PackedFiles packed, WrittenFiles files, ToolPackages packages) {
    this.packages = packages;
    this.exports = exports;
    this.packed = packed;
    this.files = files;
  }

  /** The formats that libraries are written in. */
  record FormatView(String id, String ending) {}

  /**
   * What a file will not carry.
   *
   * @param absent what tools need and the shop does not have
   */
  record Losses(
      int count,
      List<LossReport.LossGroup> groups,
      List<LossReport.Loss> losses,
      List<LossReport.Absent> absent) {}

  @GetMapping("/formats")
  Slice<FormatView> formats() {
    return Slice.all(
        arborline.core.exchange.BundleFormats.all().stream()
            .map(format -> new FormatView(format.id(), format.ending()))
            .toList());
  }

  /**
   * Answers the library as a file, or as a ZIP with the attachments of its tools where there are
   * any. It is written and read back before anything is sent; the header {@code X-Proof} says what
   * that came to.
   */
  @GetMapping("/libraries/{id}/export")
  void export(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit,
      HttpServletResponse response)
      throws IOException {
    exports.name(id);
    send(
        Formats.named(format),
        (chosen, file) -> exports.library(id, chosen, Formats.unit(unit), file, Progress.NONE),
        response);
  }

  /** Answers one tool with what belongs to it as a file, read back as that of a library. */
  @GetMapping("/tools/{id}/export")
  void tool(
      @PathVariable long id,
      @RequestParam(defaultValue = "json") String format,
      @RequestParam(required = false) @Nullable String unit,
      HttpServletResponse response)
      throws IOException {
    send(
        Formats.named(format),
        (chosen, file) -> exports.tool(id, chosen, Formats.unit(unit), file),
        response);
  }

  /**
   * Answers one tool as a package: a ZIP of its properties with its parts, stacks and cutting data
   * in an ISO 10303-21 file, and of the solids of all of these as STEP.
   */
  @GetMapping("/tools/{id}/package")
  void toolPackage(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String unit,
      HttpServletResponse response)
      throws IOException {
    Path file = Files.createTempFile("package", ".p21");
    try {
      ToolPackages.ToolPackage made = packages.write(id, Formats.unit(unit), file);
      response.setHeader("X-Proof", proof(made.written()));
      attach(response, PackedFiles.ZIP, PackedFiles.fileName(made.written().title(), "zip"));
      packages.pack(made, file, response.getOutputStream());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private static String proof(Exports.Written written) {
    return "%s; compared=%d; losses=%d"
        .formatted(
            written.proof().equal() ? "equal" : "different",
            written.proof().compared(),
            written.losses().count());
  }

  private interface Writer {
    Exports.Written write(BundleFormat format, Path file) throws IOException;
  }

  private void send(BundleFormat format, Writer writer, HttpServletResponse response)
      throws IOException {
    Path file = Files.createTempFile("export", "." + format.ending());
    try {
      Exports.Written written = writer.write(format, file);
      response.setHeader("X-Proof", proof(written));
      if (written.attached().isEmpty()) {
        response.setContentLengthLong(Files.size(file));
      }
      String name = PackedFiles.fileName(written, format);
      attach(response, PackedFiles.mediaType(name, format), name);
      packed.write(written, format, file, response.getOutputStream());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private static void attach(HttpServletResponse response, String mediaType, String name) {
    response.setContentType(mediaType);
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename(name).build().toString());
  }

  /** What that file would drop or round. */
  @GetMapping("/libraries/{id}/losses")
  Losses losses(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit)
      throws IOException {
    LossReport report = exports.losses(id, Formats.named(format), Formats.unit(unit));
    return new Losses(report.count(), report.groups(), report.losses(), report.absent());
  }

  /**
   * Has the library written as a file, read back, and both kept; answers at once. How far it is can
   * be asked, and it can be stopped.
   */
  @PostMapping("/libraries/{id}/files")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  WrittenFiles.WrittenFileView write(
      @PathVariable long id,
      @RequestParam(defaultValue = "csv") String format,
      @RequestParam(required = false) @Nullable String unit) {
    return files.queue(id, Formats.named(format), Formats.unit(unit));
  }

  /** Asks the writing of a file to stop; nothing of it is kept. */
  @PostMapping("/files/{id}/stop")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  void stop(@PathVariable long id) {
    files.stop(id);
  }

  /** The newest files that a library was written as. */
  @GetMapping("/libraries/{id}/files")
  Slice<WrittenFiles.WrittenFileView> files(@PathVariable long id) {
    return Slice.all(files.of(id));
  }

  @GetMapping("/files/{id}")
  WrittenFiles.WrittenFileView file(@PathVariable long id) {
    return files.get(id);
  }

  /** Answers a written file. */
  @GetMapping("/files/{id}/content")
  void content(@PathVariable long id, HttpServletResponse response) throws IOException {
    WrittenFiles.WrittenFileView file = files.get(id);
    if (!file.state().equals("done")) {
      throw Refusal.conflict("the file is not written");
    }
    if (!file.there()) {
      throw Refusal.conflict("the content of this file is no longer kept; write it again");
    }
    response.setContentLengthLong(file.size());
    attach(response, PackedFiles.mediaType(file.name(), Formats.named(file.format())), file.name());
    files.content(id, response.getOutputStream());
  }
}
