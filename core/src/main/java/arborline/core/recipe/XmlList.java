package arborline.core.recipe;

import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import com.google.auto.service.AutoService;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;

/** XML lists of any make. */
@AutoService(ItemReader.class)
public final class XmlList implements ItemReader {

  @Override
  public String id() {
    return "xml-list";
  }

  @Override
  public boolean recognises(byte[] head) {
    return TextHead.sniff(head).decode(head).stripLeading().startsWith("<");
  }

  @Override
  public TableReading propose(byte[] head) {
    return ListReading.propose(
        head, stream -> XmlRecords.open(stream, new ByteArrayInputStream(head)));
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return ListReading.open(
        file, head, reading, stream -> XmlRecords.open(stream, new ByteArrayInputStream(head)));
  }
}
