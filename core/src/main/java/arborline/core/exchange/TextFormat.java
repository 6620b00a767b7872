package arborline.core.exchange;

import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.StringReader;
import java.util.EnumSet;
import java.util.Set;

/**
 * Plain text that any editor can change: a line for each item, which begins with its class or kind,
 * and before the first of each class a line that names its columns.
 *
 * <pre>
 * ARBOR-LINE-TEXT 1 | Main library
 * columns end-mill-flat | CODE | NAME | DC [mm] | LU [mm]
 * end-mill-flat | M-10 | End mill 10 | 10 | =APMX + 2
 * columns cutting | CODE | MATERIAL | VC [m/min] | FEED [mm]
 * cutting | M-10 | p-unalloyed | 180 | 0.05
 * </pre>
 */
@AutoService(BundleFormat.class)
public final class TextFormat implements BundleFormat {

  /** With what a file begins. */
  public static final String MARK = "ARBOR-LINE-TEXT";

  static final int VERSION = 1;

  /** First word of a line that names columns. */
  static final String COLUMNS = "columns";

  /** Items of a text that is held already. */
  public static ItemSource source(String text) throws IOException {
    return new TextSource(new StringReader(text));
  }

  @Override
  public String id() {
    return "text";
  }

  @Override
  public String mediaType() {
    return "text/plain;charset=UTF-8";
  }

  @Override
  public String ending() {
    return "txt";
  }

  @Override
  public boolean recognises(byte[] head) {
    return TextHead.sniff(head).decode(head).stripLeading().startsWith(MARK);
  }

  @Override
  public Set<Carried> carries() {
    return EnumSet.allOf(Carried.class);
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return new TextSource(file, TextHead.sniff(head));
  }

  @Override
  public BundleSink create(OutputStream file, WriteOptions options) throws IOException {
    return new TextSink(file, options);
  }
}
