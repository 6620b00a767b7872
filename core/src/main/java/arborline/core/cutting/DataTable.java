package arborline.core.cutting;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;

/** Reads the tab-separated tables that ship with this package. */
final class DataTable {

  private DataTable() {}

  /** The rows below the header, each made from its cells. */
  static <T> List<T> read(String name, Function<String[], T> row) {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                DataTable.class.getResourceAsStream(name), StandardCharsets.UTF_8))) {
      return lines.lines().skip(1).map(line -> row.apply(line.split("\t", -1))).toList();
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
