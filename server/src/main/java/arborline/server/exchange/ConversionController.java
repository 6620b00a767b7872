package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.quantity.Unit;
import arborline.server.account.MayReceive;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/v1/conversions")
class ConversionController {

  private final Conversions conversions;

  ConversionController(Conversions conversions) {
    this.conversions = conversions;
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
    String name =
        Optional.ofNullable(file.getOriginalFilename()).orElse("tools").replaceAll(".*[/\\\\]", "");
    try (Conversions.Work work =
        conversions.convert(file.getInputStream(), name, target, lengths)) {
      response.setContentType("application/zip");
      response.setHeader(
          HttpHeaders.CONTENT_DISPOSITION,
          ContentDisposition.attachment().filename("converted.zip").build().toString());
      conversions.write(work, response.getOutputStream());
    }
  }
}
