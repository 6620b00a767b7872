package arborline.core.fuzz;

import arborline.core.asset.AssetReader;
import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.formula.ValueFormula;
import arborline.core.inspect.Inspector;
import arborline.core.part21.ExchangedItems;
import arborline.core.part21.PropertyDictionary;
import arborline.core.quantity.Unit;
import arborline.core.solid.SolidReading;
import com.code_intelligence.jazzer.junit.FuzzTest;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/**
 * Readers meet any bytes: they give items or refuse the file, and never anything else. A kept
 * corpus runs with the tests; {@code ./arbor fuzz READER} goes on from it.
 */
class ReaderFuzzTest {

  private static final String MINUTE = "60s";
  private static final int MOST_ITEMS = 2000;
  private static final int HEAD = 64 * 1024;

  private static void read(String format, byte[] file) {
    ItemReader reader = BundleFormats.reader(format).orElseThrow();
    byte[] head = Arrays.copyOf(file, Math.min(file.length, HEAD));
    try (Grouping items =
        new Grouping(
            reader.open(
                new ByteArrayInputStream(file),
                head,
                reader.propose(head, () -> new ByteArrayInputStream(file))))) {
      Optional<RawBundle> next = items.next();
      for (int i = 0; i < MOST_ITEMS && next.isPresent(); i++) {
        Inspector.inspect(next.get());
        next = items.next();
      }
    } catch (IOException refused) {
      // a refusal with its reason is an answer
    }
  }

  @FuzzTest(maxDuration = MINUTE)
  void properties(byte[] file) {
    try {
      ExchangedItems.read(file, PropertyDictionary.NONE);
    } catch (UnreadableFileException refused) {
      // a refusal with its reason is an answer
    }
  }

  @FuzzTest(maxDuration = MINUTE)
  void solid(byte[] file) {
    try {
      SolidReading.read(file);
    } catch (UnreadableFileException refused) {
      // a refusal with its reason is an answer
    }
  }

  @FuzzTest(maxDuration = MINUTE)
  void csv(byte[] file) {
    read("csv", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void table(byte[] file) {
    read("table", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void xlsx(byte[] file) {
    read("xlsx", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void json(byte[] file) {
    read("json", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void jsonList(byte[] file) {
    read("json-list", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void xmlList(byte[] file) {
    read("xml-list", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void text(byte[] file) {
    read("text", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void p21(byte[] file) {
    read("p21", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void mtconnect(byte[] file) {
    read("mtconnect", file);
  }

  @FuzzTest(maxDuration = MINUTE)
  void assets(byte[] file) {
    try {
      AssetReader.read(new ByteArrayInputStream(file));
    } catch (IOException refused) {
      // a refusal with its reason is an answer
    }
  }

  @FuzzTest(maxDuration = MINUTE)
  void formula(byte[] text) {
    ValueFormula.read(new String(text, StandardCharsets.UTF_8))
        .formula()
        .ifPresent(formula ->
            formula.evaluate(
                symbol -> Optional.of(arborline.core.quantity.Quantity.of("3.5", Unit.MILLIMETRE)),
                Unit.MILLIMETRE));
  }
}
