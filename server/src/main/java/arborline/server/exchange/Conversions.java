package arborline.server.exchange;

import arborline.core.convert.ConversionReport;
import arborline.core.convert.FileConversion;
import arborline.core.exchange.BundleFormat;
import arborline.core.library.VisibleText;
import arborline.core.quantity.Unit;
import arborline.server.support.FileKind;
import arborline.server.support.Json;
import arborline.server.support.ZipOfFiles;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Converts files of any make without touching a library. */
@Service
class Conversions {

  private static final int HEAD = 16;

  private final Json json;

  Conversions(Json json) {
    this.json = json;
  }

  /** What became of all files: {@code report.json}. */
  record Report(int files, boolean equal, List<ConversionReport> reports) {}

  /** A folder of its own for one conversion, taken away with it. */
  static final class Work implements AutoCloseable {
    private final Path folder;
    private final List<ConversionReport> reports = new ArrayList<>();
    private final List<Path> outputs = new ArrayList<>();
    private final Set<String> names = new HashSet<>();

    private long items;

    Work() throws IOException {
      folder = Files.createTempDirectory("conversion");
    }

    /** Where the next source is put. */
    Path source() {
      return folder.resolve("source");
    }

    List<ConversionReport> reports() {
      return List.copyOf(reports);
    }

    /** How many items were met, each three times. */
    long items() {
      return items;
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

  /**
   * Converts a file, or every file of a ZIP.
   *
   * @param name of the file
   */
  Work convert(InputStream content, String name, BundleFormat target, Optional<Unit> unit)
      throws IOException {
    Work work = new Work();
    try {
      Files.copy(content, work.source(), StandardCopyOption.REPLACE_EXISTING);
      into(work, work.source(), name, target, unit, (items, files, share) -> {});
      return work;
    } catch (IOException | RuntimeException failed) {
      work.close();
      throw failed;
    }
  }

  /** A place for a conversion of several files. */
  Work begin() throws IOException {
    return new Work();
  }

  /** Hears how far a conversion is. */
  interface Progress {

    /**
     * So many items were met and so many files are done.
     *
     * @param share of the whole work, from 0 to 1
     * @throws IOException to stop
     */
    void at(long items, int files, double share) throws IOException;
  }

  /** Converts a file, or every file of a ZIP, into the place of a conversion. */
  void into(
      Work work,
      Path source,
      String name,
      BundleFormat target,
      Optional<Unit> unit,
      Progress progress)
      throws IOException {
    if (ZipOfFiles.is(source, name)) {
      each(source, target, unit, work, progress);
    } else {
      one(source, name, target, unit, work, progress);
    }
  }

  private void each(
      Path source, BundleFormat target, Optional<Unit> unit, Work work, Progress progress)
      throws IOException {
    try (ZipOfFiles zip = ZipOfFiles.open(source)) {
      List<ZipOfFiles.Inside> inside = zip.files();
      for (int i = 0; i < inside.size(); i++) {
        ZipOfFiles.Inside file = inside.get(i);
        int done = i;
        Progress within =
            (items, files, share) -> progress.at(items, files, (done + share) / inside.size());
        if (file.zip()) {
          work.reports.add(ConversionReport.refused(file.name(), ZipOfFiles.NESTED));
        } else {
          Path unpacked = work.folder.resolve("entry");
          zip.unpack(file, unpacked);
          if (FileKind.attached(file.name(), head(unpacked))) {
            unchanged(unpacked, file.path(), work);
          } else {
            one(unpacked, file.name(), target, unit, work, within);
            Files.delete(unpacked);
          }
        }
      }
    }
  }

  private static byte[] head(Path file) throws IOException {
    try (InputStream content = Files.newInputStream(file)) {
      return content.readNBytes(HEAD);
    }
  }

  /** A picture, a model or a document goes along where it stands, so that tools find it. */
  private static void unchanged(Path file, String path, Work work) throws IOException {
    String output = free(inside(path), work.names);
    Path kept = work.folder.resolve("written-" + work.reports.size());
    Files.move(file, kept);
    work.reports.add(ConversionReport.unchanged(path, output));
    work.names.add(output);
    work.outputs.add(kept);
  }

  /** A path that leads nowhere else. */
  private static String inside(String path) {
    return Arrays.stream(path.split("/"))
        .filter(step -> !step.isBlank() && !step.equals(".") && !step.equals(".."))
        .map(step -> step.replace(":", "_"))
        .collect(Collectors.joining("/"));
  }

  private static void one(
      Path source,
      String name,
      BundleFormat target,
      Optional<Unit> unit,
      Work work,
      Progress progress)
      throws IOException {
    String output = free(name, target.ending(), work.names);
    Path written = work.folder.resolve("written-" + work.reports.size());
    long before = work.items;
    progress.at(before, work.reports.size(), 0);
    ConversionReport report =
        FileConversion.convert(
            source,
            name,
            target,
            unit,
            written,
            output,
            (items, share) -> {
              work.items = before + items;
              progress.at(work.items, work.reports.size(), share);
            });
    work.reports.add(report);
    if (!report.output().isEmpty()) {
      work.names.add(output);
      work.outputs.add(written);
    }
  }

  /** The name of a file as somebody sent it, without folders. */
  static String plain(@Nullable String name) {
    String shown = VisibleText.only((name == null ? "" : name).replaceAll(".*[/\\\\]", ""));
    return shown.isBlank() ? "tools" : shown;
  }

  /** A name for an output file that no other one has. */
  private static String free(String name, String ending, Set<String> taken) {
    String plain =
        name.replaceAll("\\.[A-Za-z0-9-]{1,8}$", "").replaceAll("[^\\p{L}\\p{N}._-]+", "-");
    String base = plain.isBlank() || plain.startsWith(".") ? "tools" : plain;
    return free("%s.%s".formatted(base, ending), taken);
  }

  private static String free(String path, Set<String> taken) {
    int dot = path.lastIndexOf('.');
    String base = dot < 0 ? path : path.substring(0, dot);
    String free = path;
    for (int number = 2; taken.contains(free); number++) {
      free = "%s-%d%s".formatted(base, number, dot < 0 ? "" : path.substring(dot));
    }
    return free;
  }

  /** Writes the files that were converted, and the report, as a ZIP. */
  void write(Work work, OutputStream target) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(target)) {
      int written = 0;
      for (ConversionReport report : work.reports) {
        if (!report.output().isEmpty()) {
          zip.putNextEntry(new ZipEntry(report.output()));
          Files.copy(work.outputs.get(written++), zip);
          zip.closeEntry();
        }
      }
      boolean equal = work.reports.stream().allMatch(report -> report.proof().equal());
      zip.putNextEntry(new ZipEntry("report.json"));
      zip.write(
          json.text(new Report(work.reports.size(), equal, work.reports))
              .getBytes(java.nio.charset.StandardCharsets.UTF_8));
      zip.closeEntry();
    }
  }
}
