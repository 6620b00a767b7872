package arborline.core.convert;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.WriteOptions;
import arborline.core.exchange.WrittenBundle;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A written file, read back tool by tool beside what was to be written. */
public final class Readback implements AutoCloseable {

  private static final int SHOWN = 100;

  private final ArrivingFile file;
  private final Map<String, BundlePart> parts = new HashMap<>();
  private final List<String> differences = new ArrayList<>();
  private boolean equal = true;
  private long compared;

  private final WrittenBundle form;

  private Readback(ArrivingFile file, WrittenBundle form) {
    this.file = file;
    this.form = form;
  }

  /**
   * Opens a file that was written.
   *
   * @throws arborline.core.exchange.UnreadableFileException where it cannot be read
   */
  public static Readback open(Path file, BundleFormat format, WriteOptions options)
      throws IOException {
    return new Readback(ArrivingFile.open(file), new WrittenBundle(format, options));
  }

  /** Compares the next tool of the file. */
  public void compare(Bundle wanted) throws IOException {
    compared++;
    Optional<Inspected> read = nextTool();
    note(
        read.isEmpty()
            ? List.of("%s was not read back".formatted(wanted.tool().code()))
            : Comparison.of(wanted, FileConversion.bundle(read.get()), form));
  }

  private Optional<Inspected> nextTool() throws IOException {
    for (Optional<RawBundle> next = file.next(); next.isPresent(); next = file.next()) {
      Inspected inspected = Inspector.inspect(next.get());
      if (inspected.component().isEmpty()) {
        return Optional.of(inspected);
      }
      BundlePart part = FileConversion.part(inspected);
      parts.put(Codes.key(part.code()), part);
    }
    return Optional.empty();
  }

  private void note(List<String> found) {
    equal &= found.isEmpty();
    found.stream().limit(SHOWN - differences.size()).forEach(differences::add);
  }

  /** What it came to, once all tools were compared. */
  public ConversionReport.Proof proof(Map<String, BundlePart> wanted) throws IOException {
    nextTool()
        .ifPresent(more -> note(List.of("%s was read back unasked".formatted(more.tool().code()))));
    wanted.forEach((key, part) -> {
      compared++;
      BundlePart read = parts.get(Codes.key(part.code()));
      note(
          read == null
              ? List.of("part %s was not read back".formatted(part.code()))
              : Comparison.of(part, read, form));
    });
    return new ConversionReport.Proof(equal, compared, List.copyOf(differences));
  }

  @Override
  public void close() throws IOException {
    file.close();
  }
}
