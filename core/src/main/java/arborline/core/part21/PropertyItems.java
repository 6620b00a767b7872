package arborline.core.part21;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RowItems;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.quantity.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Items out of our property files, one after the other. */
final class PropertyItems implements ItemSource {

  private final PhysicalFile file;
  private final Map<Long, Unit> units = new HashMap<>();
  private final Map<Long, String> properties = new HashMap<>();
  private Begun begun;
  private long tool;
  private String toolCode = "";

  /** An item whose properties are still coming. */
  private static final class Begun {
    private final Statement statement;
    private final ItemKind kind;
    private final String owner;
    private final SortedMap<String, Cell> cells = new TreeMap<>();
    private List<String> parts = List.of();

    Begun(Statement statement, ItemKind kind, String owner) {
      this.statement = statement;
      this.kind = kind;
      this.owner = owner;
    }

    void put(String symbol, Cell cell) {
      if (symbol.equals(RowItems.PARTS) && kind == ItemKind.STACK) {
        parts = Arrays.stream(cell.text().split("\\|")).map(String::strip).toList();
      } else if (!cell.blank()) {
        cells.put(symbol, cell);
      }
    }

    RawItem item() {
      return new RawItem(statement.line(), kind, owner, cells, parts, new ArrayList<>(0));
    }
  }

  PropertyItems(InputStream stream, TextHead head) throws IOException {
    stream.skipNBytes(head.markLength());
    this.file = new PhysicalFile(new InputStreamReader(stream, head.charset()));
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    Optional<Statement> statement = file.next();
    while (statement.isPresent()) {
      Begun before = begun;
      read(statement.get());
      if (before != null && begun != before) {
        return Optional.of(before.item());
      }
      statement = file.next();
    }
    Begun left = begun;
    begun = null;
    return Optional.ofNullable(left).map(Begun::item);
  }

  private void read(Statement statement) throws IOException {
    Entity entity = statement.entities().getFirst();
    switch (statement.name()) {
      case "ITEM" -> item(statement, entity);
      case "CUTTING_DATA" -> belonging(statement, entity, ItemKind.CUTTING);
      case "STACK" -> belonging(statement, entity, ItemKind.STACK);
      case "PROPERTY" -> property(statement, entity);
      case "NUMERICAL_VALUE" -> number(statement, entity);
      case "STRING_VALUE" -> put(statement, entity, Cell.of(entity.text(1)));
      default -> unit(statement).ifPresent(unit -> units.put(statement.id(), unit));
    }
  }

  private void item(Statement statement, Entity entity) {
    begin(statement, ItemKind.named(entity.text(1)).orElse(ItemKind.CUTTER), "");
    begun.put(RawItem.CODE, Cell.of(entity.text(0)));
    begun.put(RawItem.CLASS, Cell.of(entity.text(2)));
    begun.put(RawItem.NAME, Cell.of(entity.text(3)));
    tool = statement.id();
    toolCode = begun.item().key();
  }

  private void belonging(Statement statement, Entity entity, ItemKind kind) throws IOException {
    if (entity.reference(0) != tool) {
      throw new UnreadableFileException(
          "line %d: %s belongs to #%d, which is not the item before it: keep the order of statements"
              .formatted(statement.line(), statement.name(), entity.reference(0)));
    }
    begin(statement, kind, toolCode);
    begun.put(RawItem.NAME, Cell.of(entity.text(1)));
  }

  private void begin(Statement statement, ItemKind kind, String owner) {
    begun = new Begun(statement, kind, owner);
    properties.clear();
  }

  private void property(Statement statement, Entity entity) throws IOException {
    if (begun == null || entity.reference(0) != begun.statement.id()) {
      throw new UnreadableFileException(
          "line %d: a property of #%d, which is not the item before it: keep the order of statements"
              .formatted(statement.line(), entity.reference(0)));
    }
    properties.put(statement.id(), entity.text(1));
  }

  private void number(Statement statement, Entity entity) throws IOException {
    String literal = entity.number(1).orElse("");
    String plain = literal.endsWith(".") ? literal.substring(0, literal.length() - 1) : literal;
    put(
        statement,
        entity,
        new Cell(plain, Optional.ofNullable(units.get(entity.reference(2))), false));
  }

  private void put(Statement statement, Entity entity, Cell cell) throws IOException {
    String symbol = properties.get(entity.reference(0));
    if (symbol == null) {
      throw new UnreadableFileException(
          "line %d: a value of #%d, which is no property of the item before it"
              .formatted(statement.line(), entity.reference(0)));
    }
    begun.put(symbol, cell);
  }

  private static Optional<Unit> unit(Statement statement) {
    Optional<String> named =
        statement
            .entity("CONTEXT_DEPENDENT_UNIT")
            .or(() -> statement.entity("CONVERSION_BASED_UNIT"))
            .map(entity -> entity.text(0));
    if (named.isPresent()) {
      return Unit.named(named.get().equals("DEGREE") ? "deg" : named.get());
    }
    boolean millimetre =
        statement
            .entity("SI_UNIT")
            .filter(unit -> unit.word(0).equals("MILLI") && unit.word(1).equals("METRE"))
            .isPresent();
    return millimetre ? Optional.of(Unit.MILLIMETRE) : Optional.empty();
  }

  @Override
  public void close() throws IOException {
    file.close();
  }
}
