package arborline.bench;

import arborline.core.part21.ExchangedItems;
import arborline.core.part21.Part21Document;
import arborline.core.part21.PropertyDictionary;
import arborline.core.solid.SolidReading;
import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/**
 * Exchange files against a scan of their bytes for semicolons outside strings; their growth; and a
 * ZIP of 2 000 solids. Each figure is the best of several rounds in which both took turns, as many
 * as make the machine compile what runs.
 */
final class SolidFigures {

  private static final int FEWEST_ROUNDS = 27;
  private static final long LEAST_NANOSECONDS = 5_000_000_000L;
  private static final int SMALL_READINGS = 3;
  private static final int STEPS = 5_000;
  private static final int ITEMS = 6_000;
  private static final int FILES = 2_000;
  private static final int STEPS_OF_FILE = 110;

  private final Path folder;

  SolidFigures(Path folder) {
    this.folder = folder;
  }

  void print() throws IOException {
    byte[] large = solid(STEPS);
    byte[] small = solid(STEPS / 10);
    against("STEP of 9 MB read as statements", large, this::document);
    against("STEP of 9 MB read to its contour, 10 000 faces", large, this::contour);
    growth("statements of STEP", large, small, this::document);
    growth("contour of STEP", large, small, this::contour);
    byte[] properties = properties(ITEMS);
    against("properties of 6 000 items read as statements", properties, this::document);
    against("properties of 6 000 items read to their values", properties, this::items);
    growth("properties", properties, properties(ITEMS / 10), this::items);
    manyFiles();
  }

  private interface Reading {
    void read(byte[] file) throws IOException;
  }

  private void document(byte[] file) throws IOException {
    Part21Document.read(file);
  }

  private void contour(byte[] file) throws IOException {
    SolidReading.read(file);
  }

  private void items(byte[] file) throws IOException {
    ExchangedItems.read(file, PropertyDictionary.NONE);
  }

  private static void against(String figure, byte[] file, Reading reading) throws IOException {
    double floor = Double.MAX_VALUE;
    double ours = Double.MAX_VALUE;
    long start = System.nanoTime();
    for (int round = 0; goesOn(round, start); round++) {
      floor = Math.min(floor, milliseconds(SolidFigures::scan, file));
      ours = Math.min(ours, milliseconds(reading, file));
    }
    Bench.line(figure, ours, floor, "ms");
  }

  private static boolean goesOn(int round, long start) {
    return round < FEWEST_ROUNDS || System.nanoTime() - start < LEAST_NANOSECONDS;
  }

  private static void growth(String what, byte[] ten, byte[] one, Reading reading)
      throws IOException {
    double large = Double.MAX_VALUE;
    double small = Double.MAX_VALUE;
    long start = System.nanoTime();
    for (int round = 0; goesOn(round, start); round++) {
      large = Math.min(large, milliseconds(reading, ten));
      for (int i = 0; i < SMALL_READINGS; i++) {
        small = Math.min(small, milliseconds(reading, one));
      }
    }
    System.out.printf(
        Locale.ROOT, "%-58s %9.2f times the time for 10 times the data%n", what, large / small);
  }

  private static double milliseconds(Reading reading, byte[] file) throws IOException {
    long start = System.nanoTime();
    reading.read(file);
    return (System.nanoTime() - start) / 1e6;
  }

  private static int statements;

  /** The least that finds statements: semicolons outside strings, one look at each byte. */
  private static void scan(byte[] file) {
    int found = 0;
    boolean quoted = false;
    for (byte sign : file) {
      if (sign == '\'') {
        quoted = !quoted;
      } else if (sign == ';' && !quoted) {
        found++;
      }
    }
    statements = found;
  }

  /** A part of so many steps, each a cylinder and a shoulder. */
  private static byte[] solid(int steps) throws IOException {
    List<Point> half = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      double r = 5 + i % 7 * 0.5;
      half.add(new Point(i * 0.5, r));
      half.add(new Point(i * 0.5 + 0.5, r));
    }
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "steps", half, Instant.EPOCH);
    return file.toString().getBytes(StandardCharsets.US_ASCII);
  }

  private static byte[] properties(int items) {
    StringBuilder file =
        new StringBuilder(
            "ISO-10303-21;\nHEADER;\nFILE_SCHEMA(('TOOL_LIST'));\nENDSEC;\nDATA;\n"
                + "#1=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.));\n");
    int id = 2;
    for (int item = 0; item < items; item++) {
      int itemId = id++;
      file.append("#%d=ITEM('E-%d','end mill','square end mill');\n".formatted(itemId, item));
      for (String symbol : new String[] {"DC", "APMX", "LU", "OAL", "DMM", "LCF", "DN", "LN"}) {
        file.append(
            "#%d=TOOL_PROPERTY('%s',#%d,%d.5,#1,$);\n"
                .formatted(id++, symbol, itemId, 3 + item % 40));
      }
    }
    return file.append("ENDSEC;\nEND-ISO-10303-21;\n").toString().getBytes(StandardCharsets.UTF_8);
  }

  private void manyFiles() throws IOException {
    Files.createDirectories(folder);
    Path zip = folder.resolve("solids.zip");
    byte[] one = solid(STEPS_OF_FILE);
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      for (int i = 0; i < FILES; i++) {
        out.putNextEntry(new ZipEntry("solid-%d.step".formatted(i)));
        out.write(one);
      }
    }
    long most = 0;
    long start = System.nanoTime();
    try (ZipFile opened = new ZipFile(zip.toFile())) {
      int read = 0;
      for (ZipEntry entry : java.util.Collections.list(opened.entries())) {
        try (InputStream content = opened.getInputStream(entry)) {
          SolidReading.read(content.readAllBytes());
        }
        if (++read % 500 == 0) {
          System.gc();
          Runtime runtime = Runtime.getRuntime();
          most = Math.max(most, runtime.totalMemory() - runtime.freeMemory());
        }
      }
    }
    double seconds = (System.nanoTime() - start) / 1e9;
    System.out.printf(
        Locale.ROOT,
        "%d solids of %d kB in one ZIP %32.1f s, %.0f files a second, at most %.0f MB kept%n",
        FILES,
        one.length / 1000,
        seconds,
        FILES / seconds,
        most / 1e6);
    Files.delete(zip);
  }
}
