package arborline.core.part21;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RowItems;
import arborline.core.exchange.WriteOptions;
import arborline.core.exchange.WrittenBundle;
import arborline.core.quantity.Unit;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/** Writes items with their properties. */
final class PropertySink implements BundleSink {

  private static final Set<String> IN_ITEM = Set.of(RawItem.CODE, RawItem.NAME, RawItem.CLASS);

  private final Writer text;
  private final WrittenBundle form;
  private final Map<Unit, Long> units = new EnumMap<>(Unit.class);
  private final Map<String, Long> parts = new HashMap<>();
  private long last;

  PropertySink(OutputStream file, WriteOptions options) throws IOException {
    this.text = new BufferedWriter(new OutputStreamWriter(file, StandardCharsets.US_ASCII));
    this.form = new WrittenBundle(new PropertyFile(), options);
    text.write(
        """
        ISO-10303-21;
        HEADER;
        FILE_DESCRIPTION(('tools with properties by ISO 13399 symbol'),'2;1');
        FILE_NAME(%s,'',(''),(''),'Arbor Line','Arbor Line','');
        FILE_SCHEMA(('%s'));
        ENDSEC;
        DATA;
        """
            .formatted(Part21Text.quoted(options.title()), PropertyFile.SCHEMA));
  }

  private long statement(String entity) throws IOException {
    last++;
    text.write("#" + last + "=" + entity + ";\n");
    return last;
  }

  @Override
  public void part(BundlePart part) throws IOException {
    parts.put(part.code(), item(form.part(part.item())));
  }

  @Override
  public void write(Bundle bundle) throws IOException {
    long tool = 0;
    for (RawItem item : form.items(bundle)) {
      if (item.kind().standsAlone()) {
        tool = item(item);
      } else {
        belonging(item, tool);
      }
    }
  }

  private long item(RawItem item) throws IOException {
    long id =
        statement(
            "ITEM(%s,%s,%s,%s)"
                .formatted(
                    Part21Text.quoted(item.text(RawItem.CODE)),
                    Part21Text.quoted(item.kind().word()),
                    Part21Text.quoted(item.text(RawItem.CLASS)),
                    Part21Text.quoted(item.text(RawItem.NAME))));
    properties(item, id);
    return id;
  }

  private void belonging(RawItem item, long tool) throws IOException {
    boolean stack = item.kind() == ItemKind.STACK;
    String name = stack ? "STACK" : "CUTTING_DATA";
    long id =
        statement("%s(#%d,%s)".formatted(name, tool, Part21Text.quoted(item.text(RawItem.NAME))));
    properties(item, id);
    if (stack) {
      text(id, RowItems.PARTS, String.join(" | ", item.parts()));
      for (String part : item.parts()) {
        if (parts.containsKey(part)) {
          statement("ASSEMBLY_USAGE(#%d,#%d)".formatted(id, parts.get(part)));
        }
      }
    }
  }

  private void properties(RawItem item, long owner) throws IOException {
    for (Map.Entry<String, Cell> property : item.cells().entrySet()) {
      Cell cell = property.getValue();
      if (IN_ITEM.contains(property.getKey()) || cell.blank()) {
        continue;
      }
      if (cell.unit().isPresent() && cell.text().matches("-?\\d+(?:\\.\\d+)?")) {
        number(owner, property.getKey(), cell);
      } else {
        text(owner, property.getKey(), cell.text());
      }
    }
  }

  private void number(long owner, String symbol, Cell cell) throws IOException {
    long unit = unit(cell.unit().orElseThrow());
    long property = statement("PROPERTY(#%d,%s)".formatted(owner, Part21Text.quoted(symbol)));
    boolean whole = cell.text().indexOf('.') < 0;
    statement(
        "NUMERICAL_VALUE(#%d,%s,#%d)"
            .formatted(property, whole ? cell.text() + "." : cell.text(), unit));
  }

  private void text(long owner, String symbol, String value) throws IOException {
    long property = statement("PROPERTY(#%d,%s)".formatted(owner, Part21Text.quoted(symbol)));
    statement("STRING_VALUE(#%d,%s)".formatted(property, Part21Text.quoted(value)));
  }

  private long unit(Unit unit) throws IOException {
    Long known = units.get(unit);
    if (known != null) {
      return known;
    }
    long id =
        switch (unit) {
          case MILLIMETRE -> statement("(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.))");
          case INCH -> inch();
          case DEGREE -> degree();
          default ->
              statement(
                  "(CONTEXT_DEPENDENT_UNIT(%s)NAMED_UNIT(*))"
                      .formatted(Part21Text.quoted(unit.code())));
        };
    units.put(unit, id);
    return id;
  }

  private long inch() throws IOException {
    long millimetre = unit(Unit.MILLIMETRE);
    long size =
        statement("LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(25.4),#%d)".formatted(millimetre));
    long exponents = statement("DIMENSIONAL_EXPONENTS(1.,0.,0.,0.,0.,0.,0.)");
    return statement(
        "(CONVERSION_BASED_UNIT('INCH',#%d)LENGTH_UNIT()NAMED_UNIT(#%d))"
            .formatted(size, exponents));
  }

  private long degree() throws IOException {
    long radian = statement("(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.))");
    long size =
        statement(
            "PLANE_ANGLE_MEASURE_WITH_UNIT(PLANE_ANGLE_MEASURE(0.017453292519943295),#%d)"
                .formatted(radian));
    long exponents = statement("DIMENSIONAL_EXPONENTS(0.,0.,0.,0.,0.,0.,0.)");
    return statement(
        "(CONVERSION_BASED_UNIT('DEGREE',#%d)NAMED_UNIT(#%d)PLANE_ANGLE_UNIT())"
            .formatted(size, exponents));
  }

  @Override
  public void close() throws IOException {
    text.write("ENDSEC;\nEND-ISO-10303-21;\n");
    text.close();
  }
}
