package arborline.core.vendor;

import arborline.core.exchange.UnreadableFileException;
import java.io.ByteArrayInputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads a manifest that is written in XML: attributes and elements that hold nothing but text are
 * what the element around them says. No document type, no entity of its own is followed.
 */
final class ManifestXml {

  private ManifestXml() {}

  private static final class Element {
    private final String name;
    private final ManifestFields.Entry entry;
    private final StringBuilder text = new StringBuilder();
    private boolean leaf;

    private Element(String name, ManifestFields.Entry entry, boolean leaf) {
      this.name = name;
      this.entry = entry;
      this.leaf = leaf;
    }
  }

  /** False where the file has no element. */
  static boolean read(byte[] content, ManifestFields fields) throws UnreadableFileException {
    Deque<Element> open = new ArrayDeque<>();
    try {
      XMLStreamReader xml = factory().createXMLStreamReader(new ByteArrayInputStream(content));
      while (xml.hasNext()) {
        switch (xml.next()) {
          case XMLStreamConstants.START_ELEMENT -> start(xml, fields, open);
          case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
            if (!open.isEmpty()) {
              open.peek().text.append(xml.getText());
            }
          }
          case XMLStreamConstants.END_ELEMENT -> end(open);
          default -> {
            // comments and instructions say nothing
          }
        }
      }
      return true;
    } catch (XMLStreamException broken) {
      int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber();
      throw new UnreadableFileException(
          "line %d: not valid XML; mend the manifest or leave it out".formatted(Math.max(1, line)),
          broken);
    }
  }

  private static void start(XMLStreamReader xml, ManifestFields fields, Deque<Element> open)
      throws XMLStreamException {
    if (open.size() > ManifestFields.DEEPEST) {
      throw new XMLStreamException("too deep", xml.getLocation());
    }
    if (!open.isEmpty()) {
      open.peek().leaf = false;
    }
    String name = xml.getLocalName();
    ManifestFields.Entry entry = fields.open(name, open.size());
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      entry.text(xml.getAttributeLocalName(i), xml.getAttributeValue(i));
    }
    open.push(new Element(name, entry, xml.getAttributeCount() == 0));
  }

  private static void end(Deque<Element> open) {
    Element element = open.pop();
    String text = element.text.toString();
    if (element.leaf && !open.isEmpty()) {
      open.peek().entry.text(element.name, text);
    } else {
      element.entry.text(element.name, text);
    }
    element.entry.close();
  }

  private static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    return factory;
  }
}
