package arborline.core.asset;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.WriteOptions;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes archetypes. Parts stand in the definition of the first tool that follows them, because the
 * standard has no asset for a holder alone.
 */
final class AssetSink implements BundleSink {

  private static final String NAMESPACE = "urn:mtconnect.org:MTConnectAssets:2.2";
  private static final String VERSION = "2.2.0";

  /** Sizes of an edge; the others are of the tool. */
  private static final Set<String> OF_EDGE =
      Set.of("DC", "RE", "L", "IC", "W1", "SIG", "KAPR", "PSIR", "WF", "HF", "BS", "BCH", "CHW");

  private final XMLStreamWriter xml;
  private final OutputStream file;
  private final WriteOptions options;
  private final List<BundlePart> parts = new ArrayList<>();
  private final String now = Instant.now().truncatedTo(ChronoUnit.SECONDS).toString();

  AssetSink(OutputStream file, WriteOptions options) throws IOException {
    this.file = file;
    this.options = options;
    try {
      xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(file, "UTF-8");
      xml.writeStartDocument("UTF-8", "1.0");
      xml.writeCharacters("\n");
      xml.writeStartElement("MTConnectAssets");
      xml.writeDefaultNamespace(NAMESPACE);
      xml.writeEmptyElement("Header");
      xml.writeAttribute("creationTime", now);
      xml.writeAttribute("sender", "arbor-line");
      xml.writeAttribute("instanceId", "1");
      xml.writeAttribute("version", VERSION);
      xml.writeAttribute("assetBufferSize", "1048576");
      xml.writeAttribute("assetCount", "0");
      xml.writeStartElement("Assets");
    } catch (XMLStreamException failed) {
      throw new IOException(failed);
    }
  }

  @Override
  public void part(BundlePart part) {
    parts.add(part);
  }

  @Override
  public void write(Bundle bundle) throws IOException {
    try {
      archetype(bundle);
    } catch (XMLStreamException failed) {
      throw new IOException(failed);
    }
  }

  private void archetype(Bundle bundle) throws XMLStreamException, IOException {
    Tool tool = bundle.tool();
    start(tool.code());
    if (!tool.name().isBlank()) {
      element("Description", tool.name());
    }
    definition(Optional.of(bundle));
    xml.writeStartElement("CuttingToolLifeCycle");
    if (bundle.number().isPresent()) {
      element("ProgramToolNumber", String.valueOf(bundle.number().getAsInt()));
    }
    if (!bundle.stacks().isEmpty() && !bundle.stacks().getFirst().seat().isBlank()) {
      element("ConnectionCodeMachineSide", bundle.stacks().getFirst().seat());
    }
    measurements(Completed.of(tool).tool());
    xml.writeEndElement();
    xml.writeEndElement();
    xml.writeCharacters("\n");
  }

  private void start(String id) throws XMLStreamException {
    xml.writeCharacters("\n");
    xml.writeStartElement("CuttingToolArchetype");
    xml.writeAttribute("assetId", id);
    xml.writeAttribute("toolId", id);
    xml.writeAttribute("timestamp", now);
  }

  private void definition(Optional<Bundle> bundle) throws XMLStreamException, IOException {
    ByteArrayOutputStream text = new ByteArrayOutputStream();
    try (BundleSink sink = BundleFormats.named("text").orElseThrow().create(text, options)) {
      for (BundlePart part : parts) {
        sink.part(part);
      }
      if (bundle.isPresent()) {
        sink.write(bundle.get());
      }
    }
    parts.clear();
    xml.writeStartElement("CuttingToolDefinition");
    xml.writeAttribute("format", "TEXT");
    xml.writeCharacters(text.toString(StandardCharsets.UTF_8));
    xml.writeEndElement();
  }

  private void measurements(Tool tool) throws XMLStreamException {
    Map<String, Quantity> ofTool = new TreeMap<>();
    Map<String, Quantity> ofEdge = new TreeMap<>();
    tool.values()
        .forEach((symbol, value) -> {
          if (value instanceof Value.Measure measure && named(symbol).isPresent()) {
            (OF_EDGE.contains(symbol) ? ofEdge : ofTool).put(symbol, measure.quantity());
          }
        });
    if (!ofTool.isEmpty()) {
      measurements(ofTool);
    }
    if (!ofEdge.isEmpty()) {
      xml.writeStartElement("CuttingItems");
      xml.writeAttribute("count", "1");
      xml.writeStartElement("CuttingItem");
      xml.writeAttribute("indices", indices(tool));
      measurements(ofEdge);
      xml.writeEndElement();
      xml.writeEndElement();
    }
  }

  /** All edges alike: {@code 1-4}. */
  private static String indices(Tool tool) {
    int edges =
        tool.values().get("NOF") instanceof Value.Measure teeth
            ? teeth.quantity().amount().intValue()
            : 1;
    return edges > 1 ? "1-" + edges : "1";
  }

  private static Optional<String> named(String symbol) {
    return Measurements.element(symbol).filter(name -> units(symbol).isPresent());
  }

  private static Optional<String> units(String symbol) {
    return Dictionary.standard()
        .find(symbol)
        .flatMap(Property::unit)
        .flatMap(unit ->
            switch (unit) {
              case MILLIMETRE -> Optional.of("MILLIMETER");
              case DEGREE -> Optional.of("DEGREE");
              case KILOGRAM -> Optional.of("GRAM");
              default -> Optional.empty();
            });
  }

  private void measurements(Map<String, Quantity> sizes) throws XMLStreamException {
    xml.writeStartElement("Measurements");
    for (Map.Entry<String, Quantity> size : sizes.entrySet()) {
      String symbol = size.getKey();
      Unit unit = Dictionary.standard().get(symbol).unit().orElseThrow();
      BigDecimal nominal =
          size.getValue().in(unit == Unit.KILOGRAM ? Unit.GRAM : unit).stripTrailingZeros();
      xml.writeEmptyElement(named(symbol).orElseThrow());
      xml.writeAttribute("code", symbol);
      xml.writeAttribute("units", units(symbol).orElseThrow());
      xml.writeAttribute("nominal", nominal.toPlainString());
    }
    xml.writeEndElement();
  }

  private void element(String name, String text) throws XMLStreamException {
    xml.writeStartElement(name);
    xml.writeCharacters(text);
    xml.writeEndElement();
  }

  @Override
  public void close() throws IOException {
    try {
      if (!parts.isEmpty()) {
        start(parts.getFirst().code());
        definition(Optional.empty());
        xml.writeEndElement();
      }
      xml.writeEndDocument();
      xml.close();
    } catch (XMLStreamException failed) {
      throw new IOException(failed);
    }
    file.close();
  }
}
