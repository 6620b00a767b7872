package arborline.bench;

import arborline.core.convert.ConversionReport;
import arborline.core.convert.FileConversion;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedInputStream;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Reading a table against the bare parser, converting 100 000 tools, memory of a large file. */
final class FileFigures {

  private static final int TOOLS = 100_000;
  private static final int ROUNDS = 5;
  private static final long GIGABYTE = 1_000_000_000L;
  private static final int HEAD = 64 * 1024;
  private static final String HEADER =
      "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],LU [mm],OAL [mm],DMM [mm],NOF\n";

  private final Path folder;

  FileFigures(Path folder) {
    this.folder = folder;
  }

  void print() throws IOException {
    Files.createDirectories(folder);
    Path table = folder.resolve("tools.csv");
    write(table, TOOLS, "");
    double floor = Double.MAX_VALUE;
    double ours = Double.MAX_VALUE;
    for (int round = 0; round < ROUNDS; round++) {
      floor = Math.min(floor, milliseconds(() -> parse(table)));
      ours = Math.min(ours, milliseconds(() -> read(table)));
    }
    Bench.line("CSV of 100 000 tools read as items", ours, floor, "ms");
    for (BundleFormat format : BundleFormats.all()) {
      Path output = folder.resolve("converted." + format.ending());
      ConversionReport[] report = new ConversionReport[1];
      double taken =
          milliseconds(() ->
              report[0] =
                  FileConversion.convert(
                      table, "tools.csv", format, Optional.empty(), output, "out"));
      System.out.printf(
          java.util.Locale.ROOT,
          "100 000 tools converted to %-10s %8.0f ms, %.0f MB, proved equal: %s%n",
          format.id(),
          taken,
          Files.size(output) / 1e6,
          report[0].proof().equal());
      Files.delete(output);
    }
    memory();
  }

  private void memory() throws IOException {
    Path large = folder.resolve("large.csv");
    write(large, Integer.MAX_VALUE, "x".repeat(150));
    long[] peak = {0};
    double taken =
        milliseconds(() -> {
          long items = 0;
          try (ItemSource source = open(large)) {
            while (source.next().isPresent()) {
              if (++items % 500_000 == 0) {
                System.gc();
                Runtime runtime = Runtime.getRuntime();
                peak[0] = Math.max(peak[0], runtime.totalMemory() - runtime.freeMemory());
              }
            }
          }
        });
    System.out.printf(
        java.util.Locale.ROOT,
        "CSV of 1 GB read as items: %.0f s, at most %.0f MB kept%n",
        taken / 1000,
        peak[0] / 1e6);
    Files.delete(large);
  }

  /** Something that is measured. */
  private interface Work {
    void run() throws IOException;
  }

  private static double milliseconds(Work work) throws IOException {
    long start = System.nanoTime();
    work.run();
    return (System.nanoTime() - start) / 1e6;
  }

  private static void write(Path file, int most, String pad) throws IOException {
    long size = 0;
    try (BufferedWriter out = Files.newBufferedWriter(file)) {
      out.write(HEADER);
      for (int i = 0; i < most && size < GIGABYTE; i++) {
        String line =
            "T-%d,Mill %d %s,end-mill-flat,%d,%d.5,22,24,72,10,4\n"
                .formatted(i, i, pad, i % 30_000, 1 + i % 20);
        out.write(line);
        size += line.length();
      }
    }
  }

  private static void parse(Path file) throws IOException {
    long cells = 0;
    try (CsvReader<CsvRecord> csv = CsvReader.builder().ofCsvRecord(file, StandardCharsets.UTF_8)) {
      for (CsvRecord row : csv) {
        cells += row.getFieldCount();
      }
    }
    if (cells == 0) {
      throw new IllegalStateException("nothing was parsed");
    }
  }

  private static ItemSource open(Path file) throws IOException {
    byte[] head;
    try (InputStream start = Files.newInputStream(file)) {
      head = start.readNBytes(HEAD);
    }
    ItemReader reader = BundleFormats.recognise(head);
    return reader.open(
        new BufferedInputStream(Files.newInputStream(file), HEAD), head, reader.propose(head));
  }

  private static void read(Path file) throws IOException {
    long items = 0;
    try (ItemSource source = open(file)) {
      while (source.next().isPresent()) {
        items++;
      }
    }
    if (items != TOOLS) {
      throw new IllegalStateException(items + " items were read");
    }
  }
}
