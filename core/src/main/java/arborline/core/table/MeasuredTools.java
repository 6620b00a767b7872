package arborline.core.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads from MTConnect CuttingTool assets which tools count as measured, by program number. */
final class MeasuredTools {

  private static final XMLInputFactory XML = factory();

  private MeasuredTools() {}

  /**
   * True for a tool with the CutterStatus MEASURED, false for one without it, by ProgramToolNumber.
   *
   * @throws IOException where the document is none of MTConnect assets
   */
  static Map<String, Boolean> read(byte[] document) throws IOException {
    Map<String, Boolean> measured = new HashMap<>();
    try {
      XMLStreamReader reader = XML.createXMLStreamReader(new ByteArrayInputStream(document));
      boolean assets = false;
      while (reader.hasNext()) {
        if (reader.next() == XMLStreamConstants.START_ELEMENT) {
          assets |= reader.getLocalName().equals("MTConnectAssets");
          if (reader.getLocalName().equals("CuttingTool")) {
            tool(reader, measured);
          }
        }
      }
      if (!assets) {
        throw new IOException("its state of set tools is not an MTConnect assets document");
      }
    } catch (XMLStreamException broken) {
      throw new IOException(
          "its state of set tools cannot be read: " + broken.getMessage(), broken);
    }
    return measured;
  }

  private static void tool(XMLStreamReader reader, Map<String, Boolean> measured)
      throws XMLStreamException {
    String number = "";
    boolean set = false;
    while (!(reader.next() == XMLStreamConstants.END_ELEMENT
        && reader.getLocalName().equals("CuttingTool"))) {
      if (!reader.isStartElement()) {
        continue;
      }
      switch (reader.getLocalName()) {
        case "ProgramToolNumber" -> number = reader.getElementText().strip();
        case "Status" -> set |= reader.getElementText().strip().equals("MEASURED");
        default -> {
          // nothing else says whether a tool is set
        }
      }
    }
    if (!number.isEmpty()) {
      measured.put(number, set);
    }
  }

  private static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    return factory;
  }
}
