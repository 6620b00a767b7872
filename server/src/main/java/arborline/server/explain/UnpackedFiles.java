package arborline.server.explain;

import arborline.core.vendor.PackageFiles;
import arborline.server.support.ZipOfFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.Comparator;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/** The files of a ZIP, unpacked into a folder of their own while they are looked at. */
final class UnpackedFiles implements PackageFiles, AutoCloseable {

  private final Path folder;
  private final SortedMap<String, Path> files = new TreeMap<>();

  private UnpackedFiles(Path folder) {
    this.folder = folder;
  }

  /**
   * Unpacks a ZIP; one inside it stays packed.
   *
   * @throws arborline.server.support.Refusal where it is damaged or unpacks to too much
   */
  static UnpackedFiles of(Path zip) throws IOException {
    UnpackedFiles unpacked = new UnpackedFiles(Files.createTempDirectory("package"));
    try (ZipOfFiles opened = ZipOfFiles.open(zip)) {
      for (ZipOfFiles.Inside inside : opened.files()) {
        if (!inside.zip()) {
          Path target = Files.createTempFile(unpacked.folder, "file", "");
          opened.unpack(inside, target);
          unpacked.files.putIfAbsent(inside.path(), target);
        }
      }
      return unpacked;
    } catch (IOException | RuntimeException broken) {
      unpacked.close();
      throw broken;
    }
  }

  @Override
  public SortedSet<String> names() {
    return Collections.unmodifiableSortedSet(new TreeSet<>(files.keySet()));
  }

  @Override
  public long size(String name) {
    try {
      return Files.size(files.get(name));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  @Override
  public byte[] content(String name) throws IOException {
    return Files.readAllBytes(files.get(name));
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
