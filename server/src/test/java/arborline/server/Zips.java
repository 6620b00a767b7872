package arborline.server;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** ZIPs as tests make and read them. */
final class Zips {

  private Zips() {}

  /** A ZIP of files, in their order. */
  static byte[] of(Map<String, byte[]> files) {
    return of(files, Map.of());
  }

  /** The same with the times when some of them were last changed. */
  static byte[] of(Map<String, byte[]> files, Map<String, LocalDateTime> changed) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        ZipEntry entry = new ZipEntry(file.getKey());
        Optional.ofNullable(changed.get(file.getKey())).ifPresent(entry::setTimeLocal);
        zip.putNextEntry(entry);
        zip.write(file.getValue());
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return bytes.toByteArray();
  }

  /** A ZIP of texts. */
  static byte[] ofTexts(Map<String, String> files) {
    Map<String, byte[]> bytes = new LinkedHashMap<>();
    files.forEach((name, text) -> bytes.put(name, text.getBytes(StandardCharsets.UTF_8)));
    return of(bytes);
  }

  /** The files of a ZIP, in their order. */
  static Map<String, byte[]> files(byte[] zip) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
        files.put(entry.getName(), entries.readAllBytes());
      }
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    return files;
  }
}
