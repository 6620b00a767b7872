package arborline.core.recipe;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** Reads the tab-separated tables that ship with this package: a key and what it stands for. */
final class WordTable {

  private WordTable() {}

  static Map<String, String> read(String resource) {
    Map<String, String> table = new LinkedHashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                WordTable.class.getResourceAsStream(resource), StandardCharsets.UTF_8))) {
      lines
          .lines()
          .skip(1)
          .map(line -> line.split("\t"))
          .forEach(cells -> table.putIfAbsent(cells[0], cells[1]));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
    return table;
  }
}
