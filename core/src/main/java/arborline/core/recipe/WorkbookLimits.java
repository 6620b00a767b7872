package arborline.core.recipe;

import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** Refuses workbooks that would unpack to more than a shop ever writes. */
final class WorkbookLimits {

  private static final long LARGEST = 1024L * 1024 * 1024;
  private static final long LARGEST_TEXTS = 200L * 1024 * 1024;
  private static final long HIGHEST_RATIO = 200;
  private static final long SMALL = 20L * 1024 * 1024;
  private static final int MOST_ENTRIES = 10_000;
  private static final int BUFFER = 64 * 1024;

  private WorkbookLimits() {}

  /** Unpacks every entry once without keeping it. */
  static void check(Path file) throws IOException {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      if (zip.size() > MOST_ENTRIES) {
        throw refused("it has %d parts".formatted(zip.size()));
      }
      if (zip.getEntry("xl/workbook.xml") == null) {
        throw new UnreadableFileException(
            "line 1: this ZIP is no workbook: it has no xl/workbook.xml");
      }
      long total = 0;
      Enumeration<? extends ZipEntry> entries = zip.entries();
      while (entries.hasMoreElements()) {
        total = check(zip, entries.nextElement(), total);
      }
    } catch (ZipException broken) {
      throw new UnreadableFileException(
          "line 1: this workbook is damaged or encrypted: " + broken.getMessage(), broken);
    }
  }

  private static long check(ZipFile zip, ZipEntry entry, long before) throws IOException {
    byte[] buffer = new byte[BUFFER];
    long size = 0;
    try (InputStream content = zip.getInputStream(entry)) {
      for (int read = content.read(buffer); read >= 0; read = content.read(buffer)) {
        size += read;
        if (before + size > LARGEST) {
          throw refused("it unpacks to more than 1 GB");
        }
        if (size > SMALL && size > HIGHEST_RATIO * Math.max(1, entry.getCompressedSize())) {
          throw refused(
              "%s unpacks to more than %d times its size"
                  .formatted(entry.getName(), HIGHEST_RATIO));
        }
        if (entry.getName().equals("xl/sharedStrings.xml") && size > LARGEST_TEXTS) {
          throw refused("its texts are larger than 200 MB");
        }
      }
    }
    return before + size;
  }

  private static UnreadableFileException refused(String why) {
    return new UnreadableFileException(
        "line 1: this workbook is not read: %s; save it as a text table".formatted(why));
  }
}
