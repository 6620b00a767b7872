package arborline.core.vendor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.UnreadableFileException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ManifestTest {

  private static Optional<Manifest> read(String text) throws UnreadableFileException {
    return Manifest.read("about/package.xml", text.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void anXmlManifestSaysVendorReleaseAndFiles() throws UnreadableFileException {
    Manifest read =
        read("""
        <?xml version="1.0"?>
        <catalogue>
          <header><vendor>Ossel Insert Works</vendor><release>26.2</release></header>
          <item id="CN-1" file="items/CN-1.p21"><model>models\\CN-1.stp</model></item>
          <item><code>CN-2</code><file>items/CN-2.p21</file>
            <picture>pictures/cn.png</picture></item>
        </catalogue>
        """)
            .orElseThrow();
    assertEquals("Ossel Insert Works", read.vendor());
    assertEquals("26.2", read.release());
    assertEquals(
        Set.of(
            new Manifest.Named("items/CN-1.p21", "CN-1"),
            new Manifest.Named("models/CN-1.stp", "CN-1"),
            new Manifest.Named("items/CN-2.p21", "CN-2"),
            new Manifest.Named("pictures/cn.png", "CN-2")),
        Set.copyOf(read.named()));
    assertEquals(List.of("pictures/cn.png"), read.pictures());
  }

  @Test
  void theVendorOfAnItemIsNotTheVendorOfThePackage() throws UnreadableFileException {
    assertEquals(
        "Brack Holders",
        read("<p><item id='A' vendor='Other'/><maker>Brack Holders</maker></p>")
            .orElseThrow()
            .vendor());
  }

  @Test
  void filesAreLookedForBesideTheManifestToo() throws UnreadableFileException {
    Manifest read =
        read("<p vendor='Brack Holders' a='A.P21' b='b.p21' mail='tool@brack.html' c='c.stp'/>")
            .orElseThrow();
    assertEquals(List.of("c.stp"), read.missing(List.of("a.p21", "about/B.p21")));
  }

  @Test
  void brokenXmlIsSaidWithItsLine() {
    UnreadableFileException broken =
        assertThrows(UnreadableFileException.class, () -> read("<p>\n<q></p>"));
    assertTrue(broken.getMessage().startsWith("line 2: not valid XML"), broken.getMessage());
  }

  @Test
  void entitiesOfAManifestAreNotFollowed() throws UnreadableFileException {
    String text =
        "<!DOCTYPE p [<!ENTITY x SYSTEM 'file:///etc/hostname'>]><p vendor='B'><release>&x;</release></p>";
    assertThrows(UnreadableFileException.class, () -> read(text));
  }

  @Test
  void whatNamesNeitherVendorNorReleaseIsNoManifest() throws UnreadableFileException {
    assertTrue(read("<svg width='3'/>").isEmpty());
    assertTrue(read("{\"a\": 1}").isEmpty());
  }
}
