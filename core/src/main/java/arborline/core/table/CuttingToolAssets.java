package arborline.core.table;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads MTConnect CuttingTool assets (any schema version: names count, not namespaces) as a tool
 * table in a control's own terms. Wear comes in the extension elements {@code LengthWear} and
 * {@code DiameterWear}. Lengths are restated in the control's unit; a measurement that is not there
 * or empty is not set.
 */
public final class CuttingToolAssets {

  private static final XMLInputFactory XML = factory();

  private final Map<String, TableEntry> places = new HashMap<>();
  private final ControlTerms terms;
  private Optional<TableEntry> spindle = Optional.empty();

  private CuttingToolAssets(ControlTerms terms) {
    this.terms = terms;
  }

  /**
   * Reads a document.
   *
   * @throws IOException where it is none, or a value in it cannot be read
   */
  public static ControlTable read(InputStream xml, ControlTerms terms) throws IOException {
    CuttingToolAssets assets = new CuttingToolAssets(terms);
    try {
      XMLStreamReader reader = XML.createXMLStreamReader(xml);
      boolean document = false;
      while (reader.hasNext()) {
        if (reader.next() == XMLStreamConstants.START_ELEMENT) {
          document |= reader.getLocalName().equals("MTConnectAssets");
          if (reader.getLocalName().equals("CuttingTool")) {
            assets.tool(reader);
          }
        }
      }
      if (!document) {
        throw new IOException("its answer is not an MTConnect assets document");
      }
    } catch (XMLStreamException broken) {
      throw new IOException(
          "its answer is not valid XML from line %d on: is it whole?".formatted(line(broken)),
          broken);
    }
    return new ControlTable(assets.places, assets.spindle);
  }

  private static int line(XMLStreamException broken) {
    return broken.getLocation() == null ? 1 : Math.max(1, broken.getLocation().getLineNumber());
  }

  private void tool(XMLStreamReader reader) throws XMLStreamException, IOException {
    Map<TableField, String> fields = new HashMap<>();
    put(
        fields,
        TableField.TOOL,
        Optional.ofNullable(reader.getAttributeValue(null, "toolId")).orElse(""));
    String locationType = "";
    String location = "";
    while (!(reader.next() == XMLStreamConstants.END_ELEMENT
        && reader.getLocalName().equals("CuttingTool"))) {
      if (!reader.isStartElement()) {
        continue;
      }
      switch (reader.getLocalName()) {
        case "Description" -> put(fields, TableField.NAME, text(reader));
        case "ProgramToolNumber" -> put(fields, TableField.NUMBER, text(reader));
        case "Location" -> {
          locationType = Optional.ofNullable(reader.getAttributeValue(null, "type")).orElse("POT");
          location = text(reader);
        }
        case "FunctionalLength" -> length(fields, TableField.LENGTH, reader);
        case "CuttingDiameter", "CuttingDiameterMax" -> length(fields, TableField.DIAMETER, reader);
        case "LengthWear" -> length(fields, TableField.LENGTH_WEAR, reader);
        case "DiameterWear" -> length(fields, TableField.DIAMETER_WEAR, reader);
        default -> {
          // other elements carry nothing that the table compares
        }
      }
    }
    if (locationType.equals("SPINDLE")) {
      spindle = Optional.of(new TableEntry(fields));
    } else if (!location.isEmpty()) {
      if (places.put(location, new TableEntry(fields)) != null) {
        throw new IOException("it names two tools for pocket " + location);
      }
    }
  }

  private void length(Map<TableField, String> fields, TableField field, XMLStreamReader reader)
      throws XMLStreamException, IOException {
    Unit stated =
        "INCH".equals(reader.getAttributeValue(null, "units")) ? Unit.INCH : Unit.MILLIMETRE;
    String text = text(reader);
    if (!text.isEmpty()) {
      String plain = ShownNumber.plain(text, field);
      fields.put(
          field,
          stated == terms.unit()
              ? plain
              : Conversion.convert(new BigDecimal(plain), stated, terms.unit())
                  .amount()
                  .toPlainString());
    }
  }

  private static void put(Map<TableField, String> fields, TableField field, String text) {
    if (!text.isEmpty() && !fields.containsKey(field)) {
      fields.put(field, text);
    }
  }

  private static String text(XMLStreamReader reader) throws XMLStreamException {
    return reader.getElementText().strip();
  }

  private static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    return factory;
  }
}
