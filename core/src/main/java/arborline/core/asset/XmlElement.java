package arborline.core.asset;

import arborline.core.exchange.UnreadableFileException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * An element of an XML document with the line on which it begins. Attributes of other namespaces
 * are left out; document types and entities are not read.
 */
final class XmlElement {

  private static final int MOST_ELEMENTS = 200_000;
  private static final int DEEPEST = 100;

  private final String namespace;
  private final String name;
  private final long line;
  private final Map<String, String> attributes = new HashMap<>();
  private final StringBuilder text = new StringBuilder();
  private final List<XmlElement> children = new ArrayList<>(0);

  private XmlElement(String namespace, String name, long line) {
    this.namespace = namespace == null ? "" : namespace;
    this.name = name;
    this.line = line;
  }

  /**
   * Reads a document.
   *
   * @throws UnreadableFileException where it is no XML, or larger than any real one
   */
  static XmlElement read(InputStream document) throws UnreadableFileException {
    try {
      return read(factory().createXMLStreamReader(document));
    } catch (XMLStreamException broken) {
      long line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber();
      throw new UnreadableFileException(
          "line %d: not valid XML".formatted(Math.max(1, line)), broken);
    }
  }

  private static XmlElement read(XMLStreamReader xml)
      throws XMLStreamException, UnreadableFileException {
    Deque<XmlElement> open = new ArrayDeque<>();
    XmlElement root = null;
    int count = 0;
    long before = 1;
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.START_ELEMENT) {
        XmlElement element = of(xml, before);
        count++;
        if (count > MOST_ELEMENTS || open.size() > DEEPEST) {
          throw new UnreadableFileException(
              "line %d: the document has more elements than any real one".formatted(before));
        }
        if (open.isEmpty()) {
          root = element;
        } else {
          open.peek().children.add(element);
        }
        open.push(element);
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        open.pop();
      } else if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
        if (!open.isEmpty()) {
          open.peek().text.append(xml.getText());
        }
      } else if (event == XMLStreamConstants.ENTITY_REFERENCE) {
        throw new UnreadableFileException(
            "line %d: entities are not read".formatted(xml.getLocation().getLineNumber()));
      }
      before = xml.getLocation().getLineNumber();
    }
    if (root == null) {
      throw new UnreadableFileException("line 1: not valid XML: there is no element");
    }
    return root;
  }

  /**
   * The element on whose start a reader stands, with all that is in it; the reader is left at its
   * end.
   */
  static XmlElement subtree(XMLStreamReader xml)
      throws XMLStreamException, UnreadableFileException {
    long before = Math.max(1, xml.getLocation().getLineNumber());
    XmlElement root = of(xml, before);
    Deque<XmlElement> open = new ArrayDeque<>();
    open.push(root);
    int count = 1;
    while (!open.isEmpty()) {
      int event = xml.next();
      long line = xml.getLocation().getLineNumber();
      switch (event) {
        case XMLStreamConstants.START_ELEMENT -> {
          XmlElement element = of(xml, line);
          count++;
          if (count > MOST_ELEMENTS || open.size() > DEEPEST) {
            throw new UnreadableFileException(
                "line %d: the asset has more elements than any real one".formatted(line));
          }
          open.peek().children.add(element);
          open.push(element);
        }
        case XMLStreamConstants.END_ELEMENT -> open.pop();
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA ->
            open.peek().text.append(xml.getText());
        case XMLStreamConstants.ENTITY_REFERENCE ->
            throw new UnreadableFileException("line %d: entities are not read".formatted(line));
        default -> {
          // comments and the like
        }
      }
    }
    return root;
  }

  /** A reader that takes no document type and no entity. */
  static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    return factory;
  }

  private static XmlElement of(XMLStreamReader xml, long line) {
    XmlElement element = new XmlElement(xml.getNamespaceURI(), xml.getLocalName(), line);
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      String namespace = xml.getAttributeNamespace(i);
      if (namespace == null || namespace.isEmpty()) {
        element.attributes.put(xml.getAttributeLocalName(i), xml.getAttributeValue(i));
      }
    }
    return element;
  }

  String namespace() {
    return namespace;
  }

  String name() {
    return name;
  }

  long line() {
    return line;
  }

  /** An attribute without blanks around it; nothing where it is empty. */
  Optional<String> attribute(String attribute) {
    return Optional.ofNullable(attributes.get(attribute))
        .map(String::strip)
        .filter(value -> !value.isEmpty());
  }

  /** The text without blanks around it; nothing where there is none, or it is unavailable. */
  Optional<String> text() {
    return Optional.of(text.toString().strip())
        .filter(value -> !value.isEmpty() && !value.equals("UNAVAILABLE"));
  }

  /** All of its text as it stands there. */
  String wholeText() {
    return text.toString();
  }

  /** True where the text says that there is no value. */
  boolean unavailable() {
    return text.toString().strip().equals("UNAVAILABLE");
  }

  List<XmlElement> children() {
    return children;
  }

  /** Children of a name in the namespace of this element's document. */
  Stream<XmlElement> children(String wanted, java.util.function.Predicate<XmlElement> own) {
    return children.stream().filter(child -> child.name.equals(wanted) && own.test(child));
  }
}
