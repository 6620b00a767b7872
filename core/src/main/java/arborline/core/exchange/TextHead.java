package arborline.core.exchange;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * Finds the encoding of a text file from its first bytes.
 *
 * @param charset what to read it with
 * @param markLength bytes of byte order mark to skip
 * @param evidence why
 */
public record TextHead(Charset charset, int markLength, String evidence) {

  private static final Charset WINDOWS = Charset.forName("windows-1252");

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
        : new TextHead(WINDOWS, 0, "has bytes that are not UTF-8; Windows-1252 is usual then");
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
