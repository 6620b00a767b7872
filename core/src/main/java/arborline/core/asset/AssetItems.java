package arborline.core.asset;

import arborline.core.asset.AssetDocument.Asset;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TextFormat;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Items out of a document of cutting tools, one asset after the other. */
final class AssetItems implements ItemSource {

  private static final BigDecimal SAME = new BigDecimal("0.001");
  private static final String FAMILY = "urn:mtconnect.org:MTConnectAssets";

  private final XMLStreamReader xml;
  private final Deque<RawItem> read = new ArrayDeque<>();

  AssetItems(InputStream file) throws UnreadableFileException {
    try {
      xml = XmlElement.factory().createXMLStreamReader(file);
    } catch (XMLStreamException broken) {
      throw unreadable(broken);
    }
  }

  private static UnreadableFileException unreadable(XMLStreamException broken) {
    long line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber();
    return new UnreadableFileException(
        "line %d: not valid XML: is the file whole?".formatted(Math.max(1, line)), broken);
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    try {
      while (read.isEmpty() && xml.hasNext()) {
        if (xml.next() == XMLStreamConstants.START_ELEMENT && asset()) {
          asset(XmlElement.subtree(xml));
        }
      }
    } catch (XMLStreamException broken) {
      throw unreadable(broken);
    }
    return Optional.ofNullable(read.poll());
  }

  private boolean asset() {
    String namespace = xml.getNamespaceURI() == null ? "" : xml.getNamespaceURI();
    return AssetReader.holds(xml.getLocalName())
        && (namespace.isEmpty() || namespace.startsWith(FAMILY));
  }

  private void asset(XmlElement element) throws IOException {
    AssetDocument document = AssetReader.of(element);
    Optional<String> definition =
        element
            .children("CuttingToolDefinition", child -> true)
            .map(XmlElement::wholeText)
            .filter(text -> text.stripLeading().startsWith(TextFormat.MARK))
            .findFirst();
    if (definition.isPresent()) {
      defined(definition.get().stripLeading(), element.line(), document);
    } else {
      read.add(item(document, element));
    }
  }

  private void defined(String text, long line, AssetDocument document) throws IOException {
    try (ItemSource items = TextFormat.source(text)) {
      for (Optional<RawItem> next = items.next(); next.isPresent(); next = items.next()) {
        RawItem item = next.get();
        List<Finding> findings = new ArrayList<>(item.findings());
        if (item.kind() == ItemKind.CUTTER || item.kind() == ItemKind.INSERT) {
          contradictions(item, document, findings);
        }
        read.add(
            new RawItem(line, item.kind(), item.owner(), item.cells(), item.parts(), findings));
      }
    }
  }

  /** A measurement that somebody changed beside a definition that says otherwise. */
  private static void contradictions(RawItem item, AssetDocument document, List<Finding> findings) {
    Asset asset = document.assets().getFirst();
    SortedMap<String, BigDecimal> sizes = new TreeMap<>(asset.sizes().values());
    asset.cuttingItems().forEach(edge -> edge.sizes().values().forEach(sizes::putIfAbsent));
    sizes.forEach((symbol, size) -> {
      Cell cell = item.cells().get(symbol);
      Optional<Property> property = Dictionary.standard().find(symbol);
      if (cell == null || cell.formula().isPresent() || property.isEmpty()) {
        return;
      }
      Unit unit = property.get().unit().orElse(Unit.ONE);
      if (EntryParser.parse(cell.text(), cell.unit().orElse(unit))
              instanceof Entry.Understood understood
          && understood.quantity().in(unit).subtract(size).abs().compareTo(SAME) > 0) {
        findings.add(
            Finding.hold(
                "definition-differs",
                "%s is %s in the definition and %s %s in the measurements: which is right?"
                    .formatted(symbol, understood.quantity(), size.toPlainString(), unit.code()),
                symbol));
      }
    });
  }

  private static RawItem item(AssetDocument document, XmlElement element) {
    Asset asset = document.assets().getFirst();
    SortedMap<String, Cell> cells = new TreeMap<>();
    asset.toolId().or(asset::assetId).ifPresent(code -> cells.put(RawItem.CODE, Cell.of(code)));
    element
        .children("Description", child -> true)
        .findFirst()
        .flatMap(XmlElement::text)
        .ifPresent(name -> cells.put(RawItem.NAME, Cell.of(name.replaceAll("\\s+", " "))));
    asset.programToolNumber().ifPresent(number -> cells.put(RawItem.NUMBER, Cell.of(number)));
    asset.sizes().values().forEach((symbol, size) -> put(cells, symbol, size));
    if (asset.cuttingItems().size() == 1) {
      asset
          .cuttingItems()
          .getFirst()
          .sizes()
          .values()
          .forEach((symbol, size) -> put(cells, symbol, size));
    }
    note(cells, "Serial number", asset.serial().orElse(""));
    note(cells, "Status", String.join(", ", asset.status()));
    note(cells, "Connection", asset.connection().orElse(""));
    List<Finding> findings = new ArrayList<>();
    document
        .faults()
        .forEach(fault -> findings.add(Finding.query("asset-" + fault.kind(), fault.message())));
    document
        .doubtful()
        .forEach(doubt ->
            findings.add(
                Finding.query(
                    "asset-doubtful",
                    doubt.about(),
                    doubt.symbol().stream().toArray(String[]::new))));
    return new RawItem(element.line(), cells, findings);
  }

  private static void note(SortedMap<String, Cell> cells, String heading, String text) {
    if (!text.isBlank()) {
      cells.put(RawItem.note(heading), Cell.of(text));
    }
  }

  private static void put(SortedMap<String, Cell> cells, String symbol, BigDecimal size) {
    Optional<Property> property = Dictionary.standard().find(symbol);
    String text = size.toPlainString();
    cells.putIfAbsent(
        symbol,
        property.flatMap(Property::unit).map(unit -> Cell.of(text, unit)).orElse(Cell.of(text)));
  }

  @Override
  public void close() throws IOException {
    try {
      xml.close();
    } catch (XMLStreamException failed) {
      throw new IOException(failed);
    }
  }
}
