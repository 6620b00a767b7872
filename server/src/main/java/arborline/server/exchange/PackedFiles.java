package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.server.exchange.AttachmentsOfTools.Attached;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;

/** Files as they are saved: by themselves, or as a ZIP with the attachments that they name. */
@Component
public class PackedFiles {

  static final String ZIP = "application/zip";

  private final AttachmentsOfTools attachments;

  PackedFiles(AttachmentsOfTools attachments) {
    this.attachments = attachments;
  }

  /** The name under which a file is saved. */
  public static String fileName(String title, String ending) {
    String plain = title.replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(Locale.ROOT);
    String base = plain.replaceAll("^-|-$", "");
    return (base.isEmpty() ? "tools" : base) + "." + ending;
  }

  /** The same for a file that was written: one with attachments is a ZIP. */
  static String fileName(Exports.Written written, BundleFormat format) {
    return fileName(written.title(), written.attached().isEmpty() ? format.ending() : "zip");
  }

  /** What a saved file is, by its name. */
  public static String mediaType(String fileName, BundleFormat format) {
    return fileName.endsWith(".zip") ? ZIP : format.mediaType();
  }

  /** Writes a file as it is saved. */
  void write(Exports.Written written, BundleFormat format, Path file, OutputStream target)
      throws IOException {
    if (written.attached().isEmpty()) {
      Files.copy(file, target);
    } else {
      pack(fileName(written.title(), format.ending()), file, written.attached(), target);
    }
  }

  private void pack(String name, Path file, Collection<Attached> attached, OutputStream target)
      throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(target)) {
      zip.putNextEntry(new ZipEntry(name));
      Files.copy(file, zip);
      zip.closeEntry();
      for (Attached one : attached) {
        zip.putNextEntry(new ZipEntry(one.path()));
        attachments.copy(one, zip);
        zip.closeEntry();
      }
    }
  }
}
