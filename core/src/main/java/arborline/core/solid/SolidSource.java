package arborline.core.solid;

import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;

/**
 * A file with a solid as the one item of a delivery that it is; without one, what properties it
 * holds.
 */
public final class SolidSource implements ItemSource {

  /** Larger files are no single tools. */
  private static final int LARGEST = 64 * 1024 * 1024;

  private final String path;
  private final InputStream file;
  private final ItemReader properties;
  private final byte[] head;
  private final NamedShape.Known named;
  private ItemSource items;

  /**
   * A source that reads a file.
   *
   * @param path where it stands in its delivery; its name is the item's code
   * @param properties reads a file that holds properties and no solid
   * @param head the file's first bytes, still part of it
   * @param named what solids of a shape were said to be before
   */
  public SolidSource(
      String path, InputStream file, ItemReader properties, byte[] head, NamedShape.Known named) {
    this.named = named;
    this.path = path;
    this.file = file;
    this.properties = properties;
    this.head = head;
  }

  /**
   * The next item; of a solid the only one.
   *
   * @throws UnreadableFileException where the file holds neither a solid nor properties
   */
  @Override
  public Optional<RawItem> next() throws IOException {
    if (items == null) {
      items = read();
    }
    return items.next();
  }

  private ItemSource read() throws IOException {
    byte[] content = file.readNBytes(LARGEST + 1);
    if (content.length > LARGEST) {
      throw new UnreadableFileException("line 1: a solid is larger than 64 MB: no single tool");
    }
    SolidReading reading = SolidReading.read(content);
    if (reading.bodies() == 0 && !reading.open()) {
      return properties.open(
          new ByteArrayInputStream(content),
          head,
          properties.propose(head, () -> new ByteArrayInputStream(content)));
    }
    Optional<NamedShape> known = named.named(ShapeKey.of(reading));
    boolean turned = known.filter(NamedShape::turned).isPresent();
    return new Single(
        SolidItem.of(path, turned ? SolidReading.read(content, true) : reading, known));
  }

  private static final class Single implements ItemSource {
    private RawItem item;

    Single(RawItem item) {
      this.item = item;
    }

    @Override
    public Optional<RawItem> next() {
      Optional<RawItem> next = Optional.ofNullable(item);
      item = null;
      return next;
    }

    @Override
    public void close() {
      // nothing is open
    }
  }

  @Override
  public void close() throws IOException {
    file.close();
  }
}
