package arborline.core.exchange;

import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.EnumSet;
import java.util.Set;
import tools.jackson.core.json.JsonFactory;

/** Our documented JSON; its published schema is {@code arbor-line-tools.schema.json}. */
@AutoService(BundleFormat.class)
public final class JsonFormat implements BundleFormat {

  static final JsonFactory JSON = JsonFactory.builder().build();
  static final String FORMAT = "arbor-line-tools";
  static final int VERSION = 2;

  @Override
  public String id() {
    return "json";
  }

  @Override
  public String mediaType() {
    return "application/json";
  }

  @Override
  public boolean recognises(byte[] head) {
    String start = TextHead.sniff(head).decode(head).stripLeading();
    return start.startsWith("{") && start.contains("\"" + FORMAT + "\"");
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return new JsonSource(file);
  }

  @Override
  public Set<Carried> carries() {
    return EnumSet.allOf(Carried.class);
  }

  @Override
  public BundleSink create(OutputStream file, WriteOptions options) {
    return new JsonSink(
        JSON.createGenerator(tools.jackson.core.ObjectWriteContext.empty(), file), options);
  }
}
