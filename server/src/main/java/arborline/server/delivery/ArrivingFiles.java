package arborline.server.delivery;

import arborline.core.library.VisibleText;
import arborline.server.support.Refusal;
import arborline.server.support.ZipOfFiles;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Files on their way into a delivery, in a folder of their own; a ZIP stands for what is in it. */
public final class ArrivingFiles implements AutoCloseable {

  private static final int MOST = 2000;

  private final Path folder;
  private final List<Arriving> files = new ArrayList<>();
  private final List<String> added = new ArrayList<>();

  /**
   * A file that arrives.
   *
   * @param path where it stood in its ZIP; its name where it came by itself
   * @param content where it waits
   * @param zip true for a ZIP inside a ZIP, which is not opened
   * @param dated when it was last changed; empty where nobody says
   */
  record Arriving(String name, String path, Path content, boolean zip, Optional<LocalDate> dated) {
    long size() throws IOException {
      return Files.size(content);
    }
  }

  public ArrivingFiles() throws IOException {
    this.folder = Files.createTempDirectory("arriving");
  }

  /** Puts a file with the others. */
  public void add(String name, InputStream content) throws IOException {
    Path file = next();
    Files.copy(content, file, StandardCopyOption.REPLACE_EXISTING);
    String shown = VisibleText.only(name.replaceAll(".*[/\\\\]", ""));
    String called = shown.isBlank() ? "unnamed" : shown;
    added.add(called);
    if (ZipOfFiles.is(file, called)) {
      unpack(file);
      Files.delete(file);
    } else {
      keep(new Arriving(called, called, file, false, Optional.empty()));
    }
  }

  private Path next() throws IOException {
    return Files.createTempFile(folder, "file", "");
  }

  private void unpack(Path zip) throws IOException {
    try (ZipOfFiles opened = ZipOfFiles.open(zip)) {
      List<ZipOfFiles.Inside> inside = opened.files();
      if (inside.isEmpty()) {
        throw Refusal.badRequest("the ZIP has no file in it");
      }
      for (ZipOfFiles.Inside file : inside) {
        Path content = next();
        if (!file.zip()) {
          opened.unpack(file, content);
        }
        keep(new Arriving(file.name(), file.path(), content, file.zip(), file.dated()));
      }
    }
  }

  private void keep(Arriving file) {
    files.add(file);
    if (files.size() > MOST) {
      throw Refusal.badRequest("a delivery has at most %d files".formatted(MOST));
    }
  }

  /** What they are called together: a ZIP by its own name, several files by the first of them. */
  String title() {
    String first = added.getFirst();
    return added.size() == 1 ? first : "%s and %d more".formatted(first, added.size() - 1);
  }

  List<Arriving> files() {
    return List.copyOf(files);
  }

  @Override
  public void close() throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }
}
