package arborline.core.exchange;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Finds the encoding of a text file from its first bytes.
 *
 * @param charset what to read it with
 * @param markLength bytes of byte order mark to skip
 * @param evidence why
 */
public record TextHead(Charset charset, int markLength, String evidence) {

  private static final Charset WINDOWS = Charset.forName("windows-1252");
  private static final Set<String> WESTERN = Set.of("ISO-8859-1", "windows-1252");

  /** Of 100: what the detector says of a guess. */
  private static final int CLEAR = 20;

  private static final int LEAD = 6;

  /** One strange sign in so many is no text. */
  private static final int STRANGE_SHARE = 10;

  private static final char REPLACEMENT = '\uFFFD';

  /** Looks at the head of a file; a few kilobytes are enough. */
  public static TextHead sniff(byte[] head) {
    if (starts(head, 0xEF, 0xBB, 0xBF)) {
      return new TextHead(StandardCharsets.UTF_8, 3, "starts with the UTF-8 mark");
    }
    if (starts(head, 0xFF, 0xFE)) {
      return new TextHead(StandardCharsets.UTF_16LE, 2, "starts with the UTF-16 mark, low first");
    }
    if (starts(head, 0xFE, 0xFF)) {
      return new TextHead(StandardCharsets.UTF_16BE, 2, "starts with the UTF-16 mark, high first");
    }
    if (zeros(head, 1) > head.length / 8) {
      return new TextHead(StandardCharsets.UTF_16LE, 0, "every second byte is zero");
    }
    if (zeros(head, 0) > head.length / 8) {
      return new TextHead(StandardCharsets.UTF_16BE, 0, "every first byte is zero");
    }
    return validUtf8(head)
        ? new TextHead(StandardCharsets.UTF_8, 0, "reads as UTF-8 without fault")
        : byLanguage(head);
  }

  /**
   * Western European unless the letters clearly speak for another language; a clear lead is needed,
   * because a tool list has few words.
   */
  private static TextHead byLanguage(byte[] head) {
    CharsetDetector detector = new CharsetDetector();
    detector.setText(head);
    List<CharsetMatch> matches =
        Arrays.stream(detector.detectAll())
            .filter(match -> !match.getName().startsWith("UTF-"))
            .filter(match -> match.getLanguage() != null && Charset.isSupported(match.getName()))
            .toList();
    int western =
        matches.stream()
            .filter(match -> WESTERN.contains(match.getName()))
            .mapToInt(CharsetMatch::getConfidence)
            .max()
            .orElse(0);
    return matches.stream()
        .max(Comparator.comparingInt(CharsetMatch::getConfidence))
        .filter(best -> best.getConfidence() >= CLEAR && best.getConfidence() - western >= LEAD)
        .map(best ->
            new TextHead(
                Charset.forName(best.getName()),
                0,
                "is not UTF-8; its letters are usual in %s (%s)"
                    .formatted(
                        Locale.forLanguageTag(best.getLanguage())
                            .getDisplayLanguage(Locale.ENGLISH),
                        best.getName())))
        .orElseGet(() ->
            new TextHead(WINDOWS, 0, "has bytes that are not UTF-8; Windows-1252 is usual then"));
  }

  private static boolean starts(byte[] head, int... mark) {
    if (head.length < mark.length) {
      return false;
    }
    for (int i = 0; i < mark.length; i++) {
      if ((head[i] & 0xFF) != mark[i]) {
        return false;
      }
    }
    return true;
  }

  private static int zeros(byte[] head, int from) {
    int count = 0;
    for (int i = from; i < head.length; i += 2) {
      if (head[i] == 0) {
        count++;
      }
    }
    return count;
  }

  /** A character cut off at the end of the head is not held against it. */
  private static boolean validUtf8(byte[] head) {
    var decoder =
        StandardCharsets.UTF_8
            .newDecoder()
            .onMalformedInput(CodingErrorAction.REPORT)
            .onUnmappableCharacter(CodingErrorAction.REPORT);
    return !decoder
        .decode(ByteBuffer.wrap(head), CharBuffer.allocate(head.length + 1), false)
        .isError();
  }

  /**
   * Refuses what is no text: a picture, a program, a drawing.
   *
   * @param head first bytes of the file
   */
  public static void requireText(byte[] head) throws UnreadableFileException {
    String text = sniff(head).decode(head);
    long strange = text.chars().filter(TextHead::strange).count();
    if (strange * STRANGE_SHARE > text.length()) {
      throw new UnreadableFileException(
          "line 1: this is no text and no format that we know; save it as a text table,"
              + " a workbook or JSON");
    }
  }

  private static boolean strange(int sign) {
    boolean control = sign < ' ' && "\t\r\n\f".indexOf(sign) < 0;
    return control || sign == REPLACEMENT || Character.getType(sign) == Character.UNASSIGNED;
  }

  /** Decodes the head for looking at it; faults become replacement characters. */
  public String decode(byte[] head) {
    try {
      return charset
          .newDecoder()
          .onMalformedInput(CodingErrorAction.REPLACE)
          .onUnmappableCharacter(CodingErrorAction.REPLACE)
          .decode(ByteBuffer.wrap(head, markLength, head.length - markLength))
          .toString();
    } catch (CharacterCodingException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
