package arborline.core.table;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.regex.Pattern;

/** A number as a control writes it. */
final class ShownNumber {

  private static final Pattern PLAIN =
      Pattern.compile("[+-]?(\\d{1,9}(\\.\\d{0,20})?|\\.\\d{1,20})");
  private static final int QUOTED = 40;

  private ShownNumber() {}

  /**
   * The same in plain digits, all of its decimals kept: {@code 5.} is {@code 5}.
   *
   * @param field of which it is
   * @throws IOException if it is none, or one that no control shows
   */
  static String plain(String text, TableField field) throws IOException {
    if (!PLAIN.matcher(text).matches()) {
      String quoted = text.length() > QUOTED ? text.substring(0, QUOTED) + "…" : text;
      throw new IOException(
          "it shows '%s' as %s, which is no number that a control shows"
              .formatted(quoted, field.title()));
    }
    return new BigDecimal(text).toPlainString();
  }
}
