package arborline.core.part21;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Carried;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.WriteOptions;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.EnumSet;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Items with properties by ISO 13399 symbol in an ISO 10303-21 file, as we write them: an item, its
 * properties with value and unit, then its cutting data and stacks in the same way.
 */
@AutoService(BundleFormat.class)
public final class PropertyFile implements BundleFormat {

  static final String SCHEMA = "ARBOR_LINE_TOOLS";

  @Override
  public String id() {
    return "p21";
  }

  @Override
  public String mediaType() {
    return "application/p21;charset=UTF-8";
  }

  @Override
  public boolean recognises(byte[] head) {
    String start = TextHead.sniff(head).decode(head).stripLeading();
    return start.startsWith("ISO-10303-21;") && start.contains("'" + SCHEMA + "'");
  }

  @Override
  public Set<Carried> carries() {
    return EnumSet.complementOf(EnumSet.of(Carried.DEFAULT_MARK, Carried.FORMULAS));
  }

  /** A number is a real there: a fraction becomes the decimal that it is. */
  @Override
  public RawItem kept(RawItem item, WriteOptions options) {
    SortedMap<String, Cell> cells = new TreeMap<>(item.cells());
    cells.replaceAll((symbol, cell) -> decimal(cell));
    return new RawItem(
        item.line(), item.kind(), item.owner(), cells, item.parts(), item.findings());
  }

  /** A cell whose number is a plain decimal. */
  static Cell decimal(Cell cell) {
    boolean plain = cell.unit().isEmpty() || cell.text().matches("-?\\d+(?:\\.\\d+)?");
    Unit unit = cell.unit().orElse(Unit.ONE);
    return !plain && EntryParser.parse(cell.text(), unit) instanceof Entry.Understood understood
        ? new Cell(
            understood.quantity().amount().toPlainString(),
            java.util.Optional.of(understood.quantity().unit()),
            cell.defaulted())
        : cell;
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return new PropertyItems(file, TextHead.sniff(head));
  }

  @Override
  public BundleSink create(OutputStream file, WriteOptions options) throws IOException {
    return new PropertySink(file, options);
  }
}
