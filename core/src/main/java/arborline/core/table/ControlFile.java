package arborline.core.table;

import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;

/**
 * A file for a control. What is shown before writing is what is sent: the text has nothing that its
 * bytes would not carry.
 *
 * @param name where the control expects it
 * @param content the whole text, in ASCII
 */
public record ControlFile(String name, String mediaType, String content) {

  /**
   * The very bytes that are sent.
   *
   * @throws IllegalStateException where the text has a sign that ASCII lacks; a dialect refuses
   *     such text before
   */
  public byte[] bytes() {
    try {
      var bytes = StandardCharsets.US_ASCII.newEncoder().encode(CharBuffer.wrap(content));
      byte[] exact = new byte[bytes.remaining()];
      bytes.get(exact);
      return exact;
    } catch (CharacterCodingException lost) {
      throw new IllegalStateException(name + " has signs that its control cannot read", lost);
    }
  }
}
