package arborline.server.support;

import arborline.core.library.VisibleText;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * A ZIP of files that somebody sent. It is opened once, never unpacked beside where it is told to,
 * and refused where it would unpack to more than a shop ever sends.
 */
public final class ZipOfFiles implements AutoCloseable {

  private static final int MOST_FILES = 2000;
  private static final long LARGEST = 1024L * 1024 * 1024;
  private static final long SMALL = 20L * 1024 * 1024;
  private static final long HIGHEST_RATIO = 200;
  private static final int BUFFER = 64 * 1024;
  private static final byte[] START = {'P', 'K', 3, 4};
  private static final byte[] EMPTY = {'P', 'K', 5, 6};

  private final ZipFile zip;
  private long unpacked;

  private ZipOfFiles(ZipFile zip) {
    this.zip = zip;
  }

  /**
   * As {@link #is(Path)}.
   *
   * @throws Refusal where a file is called a ZIP and is none
   */
  public static boolean is(Path file, String name) throws IOException {
    boolean zip = is(file);
    if (!zip && name.toLowerCase(Locale.ROOT).endsWith(".zip") && !begins(file)) {
      throw Refusal.badRequest(
          "'%s' is no ZIP, though it is called one; pack the files again, or send them themselves"
              .formatted(name));
    }
    return zip;
  }

  /** True for a ZIP that is not itself the form of another file, as a workbook is. */
  public static boolean is(Path file) throws IOException {
    if (!begins(file)) {
      return false;
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      return zip.getEntry("xl/workbook.xml") == null;
    } catch (ZipException broken) {
      throw refused("is damaged or encrypted: " + broken.getMessage());
    }
  }

  private static boolean begins(Path file) throws IOException {
    byte[] head;
    try (InputStream start = Files.newInputStream(file)) {
      head = start.readNBytes(START.length);
    }
    return Arrays.equals(head, START) || Arrays.equals(head, EMPTY);
  }

  /**
   * Opens it.
   *
   * @throws Refusal where it is damaged, encrypted or has too many files
   */
  public static ZipOfFiles open(Path file) throws IOException {
    try {
      ZipFile zip = new ZipFile(file.toFile());
      int count = zip.size();
      if (count > MOST_FILES) {
        zip.close();
        throw refused("has %d files; %d are possible".formatted(count, MOST_FILES));
      }
      return new ZipOfFiles(zip);
    } catch (ZipException broken) {
      throw refused("is damaged or encrypted: " + broken.getMessage());
    }
  }

  private static Refusal refused(String why) {
    return Refusal.badRequest("the ZIP " + why);
  }

  /**
   * A file in it.
   *
   * @param name without folders
   * @param path with its folders, forward slashes between them
   * @param zip true for a ZIP inside, which is not opened
   */
  public record Inside(String name, String path, boolean zip, ZipEntry entry) {

    /** The day it was last changed, in the time of whoever packed it; empty where none is told. */
    public Optional<LocalDate> dated() {
      return Optional.ofNullable(entry.getTimeLocal())
          .map(LocalDateTime::toLocalDate)
          .filter(day -> day.getYear() > FIRST_YEAR);
    }
  }

  /** What a ZIP says that knows no time. */
  private static final int FIRST_YEAR = 1980;

  /** Its files; what operating systems put beside them is left out. */
  public List<Inside> files() {
    List<Inside> files = new ArrayList<>();
    Enumeration<? extends ZipEntry> entries = zip.entries();
    while (entries.hasMoreElements()) {
      ZipEntry entry = entries.nextElement();
      String name = VisibleText.only(entry.getName().replaceAll(".*[/\\\\]", ""));
      boolean beside = name.startsWith(".") || entry.getName().startsWith("__MACOSX/");
      if (!entry.isDirectory() && !beside && !name.isBlank()) {
        String path = VisibleText.only(entry.getName().replace('\\', '/'));
        boolean nested = name.toLowerCase(Locale.ROOT).endsWith(".zip");
        files.add(new Inside(name, path, nested, entry));
      }
    }
    return files;
  }

  /** What is said of a ZIP inside. */
  public static final String NESTED = "a ZIP inside a ZIP is not opened; bring it by itself";

  /**
   * Unpacks one of them.
   *
   * @throws Refusal where all of them together, or this one by far, are larger than they may be
   */
  public void unpack(Inside file, Path target) throws IOException {
    byte[] buffer = new byte[BUFFER];
    long size = 0;
    long packed = Math.max(1, file.entry().getCompressedSize());
    try (InputStream content = zip.getInputStream(file.entry());
        OutputStream out = Files.newOutputStream(target)) {
      for (int read = content.read(buffer); read >= 0; read = content.read(buffer)) {
        size += read;
        if (unpacked + size > LARGEST) {
          throw refused("unpacks to more than 1 GB");
        }
        if (size > SMALL && size > HIGHEST_RATIO * packed) {
          throw refused(
              "has %s, which unpacks to more than %d times its size"
                  .formatted(file.name(), HIGHEST_RATIO));
        }
        out.write(buffer, 0, read);
      }
    } catch (ZipException broken) {
      throw refused("is damaged or encrypted: " + broken.getMessage());
    }
    unpacked += size;
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
