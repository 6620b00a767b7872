package arborline.shop.dispatch;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.part21.PropertyDictionary;
import arborline.core.solid.SolidReading;
import arborline.core.vendor.PackageFiles;
import arborline.core.vendor.VendorPackage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The packages of the invented vendors are what their readable files say, faults included. */
class DispatchTest {

  private record Files(TreeMap<String, byte[]> files) implements PackageFiles {

    @Override
    public SortedSet<String> names() {
      return new TreeSet<>(files.keySet());
    }

    @Override
    public long size(String name) {
      return files.get(name).length;
    }

    @Override
    public byte[] content(String name) {
      return files.get(name);
    }
  }

  private static Dispatch dispatch() throws IOException {
    return Dispatch.of(Path.of("../demo/vendors"));
  }

  private static Files unpacked(String id) throws IOException {
    TreeMap<String, byte[]> files = new TreeMap<>();
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(dispatch().file(id).orElseThrow()))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        files.put(entry.getName(), zip.readAllBytes());
      }
    }
    return new Files(files);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "marram-2026-1|Marram Carbide|22|",
        "marram-2026-2|Marram Carbide|22|missing-file duplicate-item-id",
        "ossel-26.1|Ossel Insert Works|12|not-a-picture",
        "ossel-26.2|Ossel Insert Works|12|not-a-picture contradicting-values garbage",
        "brack-2026-a|Brack Holders|16|missing-unit",
        "brack-2026-b|Brack Holders|16|dangling-reference"
      })
  void aPackageHasItsItemsAndItsFaults(String id, String vendor, int items, String faults)
      throws IOException {
    VendorPackage read = VendorPackage.read(unpacked(id), PropertyDictionary.NONE);
    assertEquals(vendor, read.vendor());
    assertEquals(
        items,
        read.items().stream().map(packed -> packed.item().id()).distinct().count(),
        read.items().toString());
    assertEquals(
        faults == null ? Set.of() : Set.of(faults.split(" ")),
        read.faults().stream().map(VendorPackage.Fault::kind).collect(Collectors.toSet()));
  }

  @Test
  void theModelOfATaperHolderIsReadWithItsGaugePlane() throws IOException {
    byte[] model = unpacked("brack-2026-a").content("models/BRK-J40-SF12-090.stp");
    SolidReading read = SolidReading.read(model);
    assertEquals(63.0, read.turned().orElseThrow().diameter(), 0.001);
    assertEquals(155.4, read.turned().orElseThrow().length(), 0.001);
  }

  @Test
  void theSameReleaseIsTheSameBytes() throws IOException {
    assertArrayEquals(
        dispatch().file("marram-2026-1").orElseThrow(),
        dispatch().file("marram-2026-1").orElseThrow());
  }
}
