package arborline.core.recipe;

import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Records of an XML list: elements whose attributes and inner elements are words that we know. What
 * the elements around them say holds for them as well. Entities and document types are not read.
 */
final class XmlRecords implements RecordRows.Records {

  private static final int FEWEST_FIELDS = 2;
  private static final int DEEPEST = 100;

  private final XMLStreamReader xml;
  private final Set<String> names;
  private final Deque<Element> open = new ArrayDeque<>();
  private final Deque<ListRecord> ready = new ArrayDeque<>();
  private boolean ended;
  private boolean any;

  private XmlRecords(XMLStreamReader xml, Set<String> names) {
    this.xml = xml;
    this.names = names;
  }

  /** An element that is open. */
  private static final class Element {
    private final String name;
    private final boolean starts;
    private final ListRecord record;
    private final StringBuilder text = new StringBuilder();
    private boolean inner;

    Element(String name, boolean starts, long line) {
      this.name = name;
      this.starts = starts;
      this.record = new ListRecord(line);
    }
  }

  /**
   * Opens a list.
   *
   * @param sample its beginning, perhaps cut off, in which the elements are found that are records
   */
  static XmlRecords open(InputStream file, InputStream sample) throws IOException {
    try {
      return new XmlRecords(factory().createXMLStreamReader(file), recordNames(sample));
    } catch (XMLStreamException broken) {
      throw unreadable(broken);
    }
  }

  private static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    return factory;
  }

  /** An element of the sample, with the names of its known fields. */
  private record Sampled(String name, Set<String> fields, boolean[] inner) {}

  /** Elements with known fields of their own that stand in no other such element. */
  private static Set<String> recordNames(InputStream sample) {
    Map<String, Integer> most = new HashMap<>();
    Map<String, String> parents = new HashMap<>();
    Deque<Sampled> path = new ArrayDeque<>();
    try {
      XMLStreamReader reader = factory().createXMLStreamReader(sample);
      while (reader.hasNext()) {
        int event = reader.next();
        if (event == XMLStreamConstants.START_ELEMENT) {
          if (!path.isEmpty()) {
            parents.putIfAbsent(reader.getLocalName(), path.peek().name());
            path.peek().inner()[0] = true;
          }
          path.push(sampled(reader));
        } else if (event == XMLStreamConstants.END_ELEMENT) {
          Sampled ended = path.pop();
          most.merge(ended.name(), ended.fields().size(), Math::max);
          boolean leaf = !ended.inner()[0] && HeaderCell.of(ended.name()).known();
          if (leaf && !path.isEmpty()) {
            path.peek().fields().add(ended.name());
          }
        }
      }
    } catch (XMLStreamException cutOff) {
      path.forEach(open -> most.merge(open.name(), 0, Math::max));
    }
    Set<String> records = new HashSet<>();
    most.forEach((name, count) -> {
      if (count >= FEWEST_FIELDS) {
        records.add(name);
      }
    });
    records.removeIf(name -> inside(name, records, parents));
    return records;
  }

  private static Sampled sampled(XMLStreamReader reader) {
    Set<String> known = new HashSet<>();
    for (int i = 0; i < reader.getAttributeCount(); i++) {
      if (HeaderCell.of(reader.getAttributeLocalName(i)).known()) {
        known.add("@" + reader.getAttributeLocalName(i));
      }
    }
    return new Sampled(reader.getLocalName(), known, new boolean[1]);
  }

  private static boolean inside(String name, Set<String> records, Map<String, String> parents) {
    String outer = parents.get(name);
    for (int depth = 0; outer != null && depth < DEEPEST; depth++) {
      if (records.contains(outer) && !outer.equals(name)) {
        return true;
      }
      outer = parents.get(outer);
    }
    return false;
  }

  @Override
  public Optional<ListRecord> next() throws IOException {
    try {
      while (ready.isEmpty() && !ended) {
        step();
      }
    } catch (XMLStreamException broken) {
      throw unreadable(broken);
    }
    if (ready.isEmpty() && !any) {
      throw new UnreadableFileException(
          "line 1: no list of tools is found in this XML: elements with fields such as diameter");
    }
    any = true;
    return Optional.ofNullable(ready.poll());
  }

  private void step() throws XMLStreamException, UnreadableFileException {
    if (!xml.hasNext()) {
      ended = true;
      return;
    }
    switch (xml.next()) {
      case XMLStreamConstants.START_ELEMENT -> start();
      case XMLStreamConstants.END_ELEMENT -> end(open.pop());
      case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
        if (!open.isEmpty()) {
          open.peek().text.append(xml.getText());
        }
      }
      case XMLStreamConstants.ENTITY_REFERENCE ->
          throw new UnreadableFileException(
              "line %d: entities are not read; write out what they stand for"
                  .formatted(xml.getLocation().getLineNumber()));
      default -> {
        // comments and instructions say nothing of tools
      }
    }
  }

  private void start() throws UnreadableFileException {
    if (open.size() >= DEEPEST) {
      throw new UnreadableFileException(
          "line %d: elements stand more than %d deep in one another"
              .formatted(xml.getLocation().getLineNumber(), DEEPEST));
    }
    String name = xml.getLocalName();
    boolean inRecord = open.stream().anyMatch(element -> element.starts);
    if (!open.isEmpty()) {
      open.peek().inner = true;
    }
    Element element =
        new Element(name, !inRecord && names.contains(name), xml.getLocation().getLineNumber());
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      element.record.put("", xml.getAttributeLocalName(i), xml.getAttributeValue(i));
    }
    open.push(element);
  }

  private void end(Element element) {
    Element outer = open.peek();
    String text = element.text.toString().strip();
    if (element.starts) {
      kind(element);
      for (Element around : open) {
        element.record.inherit(around.name, new LinkedHashMap<>(around.record.fields()));
      }
      ready.add(element.record);
    } else if (outer != null && !element.inner && !text.isEmpty()) {
      outer.record.put("", element.name, text);
      element.record.fields().forEach((name, value) -> attribute(outer, element, name, value));
    } else if (outer != null && element.record.onlyCutting()) {
      outer.record.cutting().add(element.record);
    } else if (outer != null && open.stream().anyMatch(around -> around.starts)) {
      element.record.fields().forEach((name, value) -> outer.record.put(element.name, name, value));
      outer.record.cutting().addAll(element.record.cutting());
    }
  }

  /** A unit beside a value belongs to it; the rest stands under the name of its element. */
  private static void attribute(Element outer, Element element, String name, String value) {
    boolean unit = HeaderCell.of(name).meaning().filter(Meaning.UNIT::equals).isPresent();
    String written = outer.record.fields().get(element.name);
    if (unit && written != null) {
      outer.record.fields().put(element.name, written + " " + value);
    } else {
      outer.record.put(element.name, name, value);
    }
  }

  /** An element may be named by the kind of tool itself. */
  private static void kind(Element element) {
    String words = element.name.replaceAll("(?<=\\p{Ll})(?=\\p{Lu})", " ").replace('_', ' ');
    boolean said =
        element.record.fields().keySet().stream()
            .anyMatch(
                name -> HeaderCell.of(name).meaning().filter(Meaning.KIND::equals).isPresent());
    if (!said && ClassWords.find(words).isPresent()) {
      element.record.put("", "kind", words);
    }
  }

  private static UnreadableFileException unreadable(XMLStreamException broken) {
    int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber();
    String why = broken.getMessage() == null ? "" : broken.getMessage();
    int at = why.indexOf("Message: ");
    return new UnreadableFileException(
        "line %d: not valid XML: %s".formatted(line, at < 0 ? why : why.substring(at + 9)), broken);
  }

  @Override
  public void close() throws IOException {
    try {
      xml.close();
    } catch (XMLStreamException broken) {
      throw new IOException(broken);
    }
  }
}
