package arborline.core.part21;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Property files of vendors as items of a delivery: sizes in the units in which they are written.
 */
@AutoService(ItemReader.class)
public final class VendorProperties implements ItemReader {

  /** The code of the finding about a value that cannot be told: {@code SYMBOL: what is wrong}. */
  public static final String DOUBTFUL = "value-doubtful";

  private static final int LARGEST = 8 * 1024 * 1024;

  /** Said of the value itself, which is then asked. */
  private static final Set<String> OF_VALUES =
      Set.of(Part21Fault.CONTRADICTING_VALUES, Part21Fault.MISSING_UNIT);

  @Override
  public String id() {
    return "properties";
  }

  @Override
  public boolean recognises(byte[] head) {
    String start = TextHead.sniff(head).decode(head).stripLeading();
    return start.startsWith("ISO-10303-21;") && !start.contains("'" + PropertyFile.SCHEMA + "'");
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    return open(file, PropertyDictionary.NONE);
  }

  /**
   * Opens a file whose ids stand for what its vendor's dictionary says.
   *
   * @throws UnreadableFileException where it is no property file
   */
  public static ItemSource open(InputStream file, PropertyDictionary dictionary)
      throws IOException {
    byte[] content = file.readNBytes(LARGEST + 1);
    if (content.length > LARGEST) {
      throw new UnreadableFileException(
          "line 1: the file is larger than 8 MB: a model rather than properties");
    }
    ExchangedItems read = ExchangedItems.read(content, dictionary);
    List<RawItem> items = items(read);
    if (items.isEmpty()) {
      throw new UnreadableFileException(
          "line 1: no item with properties is in this file; a model is attached to a tool on its"
              + " sheet");
    }
    return new Listed(items.iterator());
  }

  private record Listed(Iterator<RawItem> items) implements ItemSource {

    @Override
    public Optional<RawItem> next() {
      return items.hasNext() ? Optional.of(items.next()) : Optional.empty();
    }

    @Override
    public void close() {
      // nothing is open
    }
  }

  private static List<RawItem> items(ExchangedItems read) {
    List<RawItem> items = new ArrayList<>();
    List<Finding> said = new ArrayList<>();
    read.faults().stream()
        .filter(fault -> !OF_VALUES.contains(fault.kind()))
        .forEach(fault ->
            said.add(
                Finding.note(
                    "file-" + fault.kind(),
                    "line %d: %s".formatted(fault.line(), fault.message()),
                    RawItem.CODE)));
    for (ExchangedItem item : read.items()) {
      if (item.kind() != ItemKind.STACK && says(item)) {
        items.add(alone(item, items.isEmpty() ? said : List.of()));
      }
    }
    addStacks(read.items(), items);
    return items;
  }

  private static void addStacks(List<ExchangedItem> read, List<RawItem> items) {
    Map<String, ExchangedItem> byId = AssemblyParts.byId(read);
    Map<String, List<Integer>> byCode = new HashMap<>();
    for (int i = 0; i < items.size(); i++) {
      byCode.computeIfAbsent(items.get(i).text(RawItem.CODE), code -> new ArrayList<>()).add(i);
    }
    for (ExchangedItem item : read) {
      if (item.kind() == ItemKind.STACK) {
        AssemblyParts assembly = new AssemblyParts(item, byId);
        assembly
            .stack()
            .ifPresent(stack -> {
              byCode
                  .getOrDefault(stack.owner(), List.of())
                  .forEach(
                      i -> items.set(i, ofStack(items.get(i), stack, assembly.contradicted())));
              items.add(stack);
            });
      }
    }
  }

  /** What is asked of a stack stands with the tool that it holds, and its models come along. */
  private static RawItem ofStack(RawItem item, RawItem stack, Optional<Finding> asked) {
    List<Finding> findings = new ArrayList<>(item.findings());
    asked.ifPresent(findings::add);
    Set<String> models = new LinkedHashSet<>(PathList.read(item.text(RawItem.ATTACHMENT)));
    models.addAll(PathList.read(stack.text(RawItem.ATTACHMENT)));
    return item.with(Map.of(RawItem.ATTACHMENT, Cell.of(PathList.text(List.copyOf(models)))))
        .withFindings(findings);
  }

  private static boolean says(ExchangedItem item) {
    return !item.authored().isEmpty() || !item.texts().isEmpty() || !item.doubtful().isEmpty();
  }

  static RawItem alone(ExchangedItem item, List<Finding> said) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    put(cells, RawItem.CODE, item.id());
    put(cells, RawItem.NAME, item.name());
    item.authored().forEach((symbol, size) -> cells.put(symbol, Cell.of(size.text(), size.unit())));
    item.texts().forEach((symbol, text) -> put(cells, symbol, text));
    put(cells, PartReading.MACHINE_SIDE, item.machineSide());
    put(cells, PartReading.WORK_SIDE, item.workSide());
    put(cells, RawItem.ATTACHMENT, PathList.text(item.models()));
    item.kept().forEach((name, text) -> put(cells, RawItem.note(name), text));
    boolean tool = item.kind() == ItemKind.CUTTER || item.kind() == ItemKind.INSERT;
    if (tool) {
      put(
          cells,
          RawItem.CLASS,
          item.kind() == ItemKind.INSERT ? "insert" : item.classId().orElse(""));
    }
    List<Finding> findings = new ArrayList<>(said);
    StepsFromTip.apply(item.classId().orElse(""), cells, item.values())
        .ifPresent(done -> findings.add(Finding.note("steps-numbered", done, "DC")));
    item.doubtful()
        .forEach((symbol, about) ->
            findings.add(Finding.query(DOUBTFUL, "%s: %s".formatted(symbol, about), symbol)));
    return new RawItem(item.line(), item.kind(), cells, findings);
  }

  private static void put(SortedMap<String, Cell> cells, String symbol, String text) {
    if (!text.isBlank()) {
      cells.put(symbol, Cell.of(text));
    }
  }
}
