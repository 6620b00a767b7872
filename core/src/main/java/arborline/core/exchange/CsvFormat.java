package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Value;
import com.google.auto.service.AutoService;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Text table: header cells are ISO 13399 symbols with the unit in brackets. */
@AutoService(ToolFormat.class)
public final class CsvFormat implements ToolFormat {

  @Override
  public String id() {
    return "csv";
  }

  @Override
  public String mediaType() {
    return "text/csv;charset=UTF-8";
  }

  /** Any text may be a table; asked last. */
  @Override
  public boolean recognises(byte[] head) {
    return true;
  }

  @Override
  public RawToolSource open(InputStream file, byte[] head, TableReading reading)
      throws IOException {
    return new CsvSource(file, TextHead.sniff(head), reading);
  }

  @Override
  public void losses(LibraryTool tool, WriteOptions options, LossReport report) {
    Restated.losses(tool.tool(), options, report);
    tool.tool()
        .values()
        .forEach((symbol, value) -> {
          if (value.defaulted()) {
            report.add(tool.tool().code(), symbol, "the mark 'default, not confirmed' is dropped");
          }
        });
  }

  @Override
  public ToolSink create(OutputStream file, WriteOptions options) {
    return new Sink(file, options);
  }

  private static final class Sink implements ToolSink {
    private final CsvWriter csv;
    private final List<Property> properties;
    private final WriteOptions options;
    private final Unit lengthUnit;

    Sink(OutputStream file, WriteOptions options) {
      this.options = options;
      this.lengthUnit = options.unit().orElse(Unit.MILLIMETRE);
      this.properties = options.symbols().stream().map(Dictionary.standard()::get).toList();
      this.csv = CsvWriter.builder().build(new OutputStreamWriter(file, StandardCharsets.UTF_8));
      List<String> header = new ArrayList<>(List.of("CODE", "NAME", "CLASS", "NUMBER"));
      properties.forEach(symbol -> header.add(head(symbol)));
      csv.writeRecord(header);
    }

    private String head(Property property) {
      return property
          .unit()
          .filter(unit -> unit != Unit.ONE)
          .map(unit -> "%s [%s]".formatted(property.symbol(), columnUnit(unit).code()))
          .orElse(property.symbol());
    }

    private Unit columnUnit(Unit canonical) {
      return canonical == Unit.MILLIMETRE ? lengthUnit : canonical;
    }

    @Override
    public void write(LibraryTool written) {
      List<String> cells = new ArrayList<>(properties.size() + 4);
      cells.add(FormulaGuard.guard(written.tool().code()));
      cells.add(FormulaGuard.guard(written.tool().name()));
      cells.add(written.tool().toolClass());
      cells.add(written.number().isPresent() ? Integer.toString(written.number().getAsInt()) : "");
      for (Property property : properties) {
        cells.add(cell(property, written.tool().values().get(property.symbol())));
      }
      csv.writeRecord(cells);
    }

    private String cell(Property property, Value value) {
      return switch (value) {
        case null -> "";
        case Value.Word word -> FormulaGuard.guard(word.text());
        case Value.Measure measure -> number(property, measure.quantity());
      };
    }

    private String number(Property property, Quantity authored) {
      Quantity quantity = Restated.of(authored, options.unit());
      Optional<Unit> column = property.unit().map(this::columnUnit);
      return column.filter(quantity.unit()::equals).isPresent()
          ? quantity.text()
          : quantity.toString();
    }

    @Override
    public void close() throws IOException {
      csv.close();
    }
  }
}
