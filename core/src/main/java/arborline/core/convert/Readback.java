package arborline.core.convert;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.WrittenBundle;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A written file, read back tool by tool beside what was to be written. */
final class Readback {

  private static final int SHOWN = 100;

  private final ArrivingFile file;
  private final Map<String, Component> parts = new HashMap<>();
  private final List<String> differences = new ArrayList<>();
  private boolean equal = true;
  private long compared;

  Readback(ArrivingFile file) {
    this.file = file;
  }

  /** Compares the next tool of the file. */
  void compare(Bundle wanted, WrittenBundle form) throws IOException {
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
      Component part = inspected.component().get();
      parts.put(Codes.key(part.code()), part);
    }
    return Optional.empty();
  }

  private void note(List<String> found) {
    equal &= found.isEmpty();
    found.stream().limit(SHOWN - differences.size()).forEach(differences::add);
  }

  /** What it came to, once all tools were compared. */
  ConversionReport.Proof proof(Map<String, Component> wanted, WrittenBundle form)
      throws IOException {
    nextTool()
        .ifPresent(more -> note(List.of("%s was read back unasked".formatted(more.tool().code()))));
    wanted.forEach((key, part) -> {
      compared++;
      Component read = parts.get(key);
      note(
          read == null
              ? List.of("part %s was not read back".formatted(part.code()))
              : Comparison.of(part, read, form));
    });
    return new ConversionReport.Proof(equal, compared, List.copyOf(differences));
  }
}
