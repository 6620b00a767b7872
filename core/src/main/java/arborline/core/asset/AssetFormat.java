package arborline.core.asset;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Carried;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.WriteOptions;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.EnumSet;
import java.util.Set;

/**
 * MTConnect documents of cutting tools. A nominal tool is an archetype: its sizes as measurements,
 * and all of it as text in its definition, for which the standard has the format {@code TEXT}.
 */
@AutoService(BundleFormat.class)
public final class AssetFormat implements BundleFormat {

  @Override
  public String id() {
    return "mtconnect";
  }

  @Override
  public String mediaType() {
    return "application/xml;charset=UTF-8";
  }

  @Override
  public String ending() {
    return "xml";
  }

  @Override
  public boolean recognises(byte[] head) {
    String start = TextHead.sniff(head).decode(head).stripLeading();
    return start.startsWith("<")
        && (start.contains("urn:mtconnect.org:MTConnectAssets")
            || start.contains("<CuttingTool")
            || start.contains(":CuttingTool"));
  }

  @Override
  public Set<Carried> carries() {
    return EnumSet.allOf(Carried.class);
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return new AssetItems(file);
  }

  @Override
  public BundleSink create(OutputStream file, WriteOptions options) throws IOException {
    return new AssetSink(file, options);
  }
}
