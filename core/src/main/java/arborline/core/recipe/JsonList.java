package arborline.core.recipe;

import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.util.regex.Pattern;

/** JSON lists of any make, nested or not. */
@AutoService(ItemReader.class)
public final class JsonList implements ItemReader {

  private static final Pattern ARRAY = Pattern.compile("\\[\\s*[{\\[\\]\"]");

  @Override
  public String id() {
    return "json-list";
  }

  @Override
  public boolean recognises(byte[] head) {
    String start = TextHead.sniff(head).decode(head).stripLeading();
    return (start.startsWith("{") || array(start)) && !start.contains("\"arbor-line-tools\"");
  }

  /** True for the beginning of a JSON array, which a heading in brackets is not. */
  static boolean array(String start) {
    return ARRAY.matcher(start).lookingAt();
  }

  @Override
  public TableReading propose(byte[] head) {
    return ListReading.propose(head, JsonRecords::new);
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return ListReading.open(file, head, reading, JsonRecords::new);
  }
}
