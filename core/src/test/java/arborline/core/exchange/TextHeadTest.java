package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

  /** Lists as shops of other countries write them; few words decide. */
  @ParameterizedTest(name = "{0}, {1}")
  @CsvSource({
    "windows-1250, Polish, 'kod;nazwa;średnica/F-1;frez trzpieniowy długi;10/W-2;wiertło kręte,"
        + " węglikowe;8/G-3;gwintownik maszynowy, część robocza;6'",
    "windows-1250, Czech, kod;název;průměr/F-1;fréza válcová čelní;10/F-2;vrták se středicím břitem;8",
    "windows-1251, Russian, код;наименование;диаметр/Ф-1;фреза концевая;10/С-2;сверло спиральное;8",
    "Shift_JIS, Japanese, コード;名称;直径/E-1;スクエアエンドミル 超硬;10/D-2;ドリル;8",
    "EUC-KR, Korean, 코드;이름;직경/E-1;엔드밀 초경;10/D-2;드릴;8",
    "Big5, Chinese, 代碼;名稱;直徑/E-1;立銑刀 碳化鎢;10/D-2;麻花鑽;8"
  })
  void lettersOfAnotherLanguageAreKnown(String name, String language, String text) {
    byte[] head = text.replace('/', '\n').getBytes(Charset.forName(name));
    TextHead found = TextHead.sniff(head);
    assertEquals(text.replace('/', '\n'), found.decode(head), found.evidence());
    assertTrue(found.evidence().contains(language), found.evidence());
  }

  /** One letter that other alphabets have as well is no reason to leave the usual. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "CODE;NAME/FRÄS-1;Ø 10 Fräser",
        "code,name,dia/A,drill 10 °,10/B,mill,12",
        "code;désignation;Ø/F-1;fraise à surfacer, déportée;50",
        "código;nombre/F-1;fresa de esquina, tamaño 10",
        "kod;namn/F-1;pinnfräs för stål, lång",
        "X;±0,05"
      })
  void westernLettersStayWestern(String text) {
    byte[] head = text.replace('/', '\n').getBytes(Charset.forName("windows-1252"));
    assertEquals(text.replace('/', '\n'), TextHead.sniff(head).decode(head));
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
