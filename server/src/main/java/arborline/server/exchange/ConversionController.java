package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.quantity.Unit;
import arborline.server.account.MayReceive;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/v1/conversions")
class ConversionController {

  private static final int MOST_FILES = 100;

  private final Conversions conversions;
  private final QueuedConversions queued;

  ConversionController(Conversions conversions, QueuedConversions queued) {
    this.conversions = conversions;
    this.queued = queued;
  }

  /** Converts a file, or every file of a ZIP; answers a ZIP with the files and report.json. */
  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @MayReceive
  void convert(
      @RequestParam String to,
      @RequestParam(required = false) @Nullable String unit,
      @RequestParam("file") MultipartFile file,
      HttpServletResponse response)
      throws IOException {
    BundleFormat target = Formats.named(to);
    Optional<Unit> lengths = Formats.unit(unit);
    String name = Conversions.plain(file.getOriginalFilename());
    try (Conversions.Work work =
        conversions.convert(file.getInputStream(), name, target, lengths)) {
      response.setContentType("application/zip");
      response.setHeader(
          HttpHeaders.CONTENT_DISPOSITION,
          ContentDisposition.attachment().filename("converted.zip").build().toString());
      conversions.write(work, response.getOutputStream());
    }
  }

  record Queued(long id) {}

  /** Converts files as background work; how far it is can be asked, and it can be stopped. */
  @PostMapping(path = "/queue", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  Queued queue(
      @RequestParam String to,
      @RequestParam(required = false) @Nullable String unit,
      @RequestParam("files") List<MultipartFile> files)
      throws IOException {
    if (files.size() > MOST_FILES) {
      throw Refusal.badRequest(
          "at most %d files at once; put more into a ZIP".formatted(MOST_FILES));
    }
    return new Queued(queued.queue(files, Formats.named(to), Formats.unit(unit)));
  }

  /** The newest conversions. */
  @GetMapping
  Slice<QueuedConversions.ConversionView> all() {
    return Slice.all(queued.newest());
  }

  @GetMapping("/{id}")
  QueuedConversions.ConversionView one(@PathVariable long id) {
    return queued.get(id);
  }

  @PostMapping("/{id}/stop")
  @MayReceive
  @ResponseStatus(HttpStatus.ACCEPTED)
  void stop(@PathVariable long id) {
    queued.stop(id);
  }

  @DeleteMapping("/{id}")
  @MayReceive
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    queued.remove(id);
  }

  /** Answers the ZIP with the converted files and {@code report.json}. */
  @GetMapping("/{id}/content")
  void content(@PathVariable long id, HttpServletResponse response) throws IOException {
    if (!queued.get(id).state().equals("done")) {
      throw Refusal.conflict("the conversion is not done");
    }
    response.setContentType("application/zip");
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename("converted.zip").build().toString());
    queued.content(id, response.getOutputStream());
  }
}
