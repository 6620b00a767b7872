package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TextHeadTest {

  private static final String TEXT = "CODE;Schaftfräser 5°;DC [mm]\nA-1;µ;12,5\n";

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
  void encodingIsFoundWithoutAMark(String name) {
    Charset charset = Charset.forName(name);
    byte[] head = TEXT.getBytes(charset);
    TextHead found = TextHead.sniff(head);
    assertEquals(charset, found.charset());
    assertEquals(TEXT, found.decode(head));
  }

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE"})
  void theMarkIsBelievedAndSkipped(String name) {
    Charset charset = Charset.forName(name);
    byte[] head = ("\uFEFF" + TEXT).getBytes(charset);
    TextHead found = TextHead.sniff(head);
    assertEquals(charset, found.charset());
    assertEquals(TEXT, found.decode(head));
  }

  @Test
  void aCharacterCutAtTheEndOfTheHeadIsNoFault() {
    byte[] whole = "Fräser ä".getBytes(StandardCharsets.UTF_8);
    byte[] cut = Arrays.copyOf(whole, whole.length - 1);
    assertEquals(StandardCharsets.UTF_8, TextHead.sniff(cut).charset());
  }

  @Test
  void nothingIsUtf8AndSaysWhy() {
    TextHead found = TextHead.sniff(new byte[0]);
    assertEquals(StandardCharsets.UTF_8, found.charset());
    assertTrue(found.evidence().contains("UTF-8"));
  }
}
