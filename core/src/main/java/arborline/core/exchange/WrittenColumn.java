package arborline.core.exchange;

import arborline.core.cutting.CuttingField;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A column of a table that is written.
 *
 * @param unit of its numbers; empty for texts and counts
 */
record WrittenColumn(String symbol, Optional<Unit> unit) {

  /** The columns for what occurs, those of a tool first. */
  static List<WrittenColumn> of(WriteOptions options) {
    Contents contents = options.contents();
    List<WrittenColumn> columns = new ArrayList<>();
    boolean several =
        contents.present().contains(Carried.PARTS)
            || contents.present().contains(Carried.STACKS)
            || contents.present().contains(Carried.CUTTING);
    if (several) {
      columns.add(text(RowItems.KIND));
    }
    List.of(RawItem.CODE, RawItem.NAME, RawItem.CLASS, RawItem.NUMBER)
        .forEach(symbol -> columns.add(text(symbol)));
    if (contents.present().contains(Carried.SECTION)) {
      columns.add(text(RawItem.SECTION));
    }
    attachments(columns, contents);
    contents.symbols().forEach(symbol -> columns.add(property(symbol, options)));
    contents.headings().forEach(heading -> columns.add(text(RawItem.note(heading))));
    if (contents.present().contains(Carried.CUTTING)) {
      cutting(columns, options);
    }
    if (contents.present().contains(Carried.PARTS)) {
      bodies(columns, options);
    }
    if (contents.present().contains(Carried.STACKS)) {
      stacks(columns, options);
    }
    return columns;
  }

  /** The columns of a sheet of tools and inserts. */
  static List<WrittenColumn> ofTools(WriteOptions options) {
    Contents contents = options.contents();
    List<WrittenColumn> columns = new ArrayList<>();
    List.of(RawItem.CODE, RawItem.NAME, RawItem.CLASS, RawItem.NUMBER, RawItem.SECTION)
        .forEach(symbol -> columns.add(text(symbol)));
    attachments(columns, contents);
    contents.ofTools().forEach(symbol -> columns.add(property(symbol, options)));
    contents.headings().forEach(heading -> columns.add(text(RawItem.note(heading))));
    return columns;
  }

  /** The columns of a sheet of parts. */
  static List<WrittenColumn> ofParts(WriteOptions options) {
    List<WrittenColumn> columns = new ArrayList<>();
    List.of(RowItems.KIND, RawItem.CODE, RawItem.NAME).forEach(symbol -> columns.add(text(symbol)));
    options.contents().ofParts().forEach(symbol -> columns.add(property(symbol, options)));
    bodies(columns, options);
    attachments(columns, options.contents());
    return columns;
  }

  /** The columns of a sheet of cutting data. */
  static List<WrittenColumn> ofCutting(WriteOptions options) {
    List<WrittenColumn> columns = new ArrayList<>(List.of(text(RowItems.KIND), text(RawItem.CODE)));
    cutting(columns, options);
    return columns;
  }

  /** The columns of a sheet of stacks. */
  static List<WrittenColumn> ofStacks(WriteOptions options) {
    List<WrittenColumn> columns =
        new ArrayList<>(List.of(text(RowItems.KIND), text(RawItem.CODE), text(RawItem.NAME)));
    stacks(columns, options);
    return columns;
  }

  private static void attachments(List<WrittenColumn> columns, Contents contents) {
    if (contents.present().contains(Carried.ATTACHMENTS)) {
      columns.add(text(RawItem.ATTACHMENT));
    }
  }

  private static void bodies(List<WrittenColumn> columns, WriteOptions options) {
    columns.add(text(PartReading.BODIES));
    columns.add(text(PartReading.BODY_MATERIAL));
    columns.add(length(PartReading.AXIS_AT, options));
    columns.add(length(PartReading.AXIS_OUT, options));
  }

  private static void stacks(List<WrittenColumn> columns, WriteOptions options) {
    columns.add(text(StackReading.SEAT));
    columns.add(length(StackReading.OVERHANG, options));
    columns.add(text(RowItems.PARTS));
  }

  private static void cutting(List<WrittenColumn> columns, WriteOptions options) {
    columns.add(text(CuttingReading.MATERIAL));
    columns.add(text(CuttingReading.PURPOSE));
    List.of(CuttingField.VC, CuttingField.FEED, CuttingField.AP, CuttingField.AE)
        .forEach(field -> columns.add(number(field, options)));
    List.of(
            CuttingReading.COOLANT,
            CuttingReading.ORIGIN,
            CuttingReading.AUTHOR,
            CuttingReading.AT,
            CuttingReading.MACHINE)
        .forEach(symbol -> columns.add(text(symbol)));
    columns.add(number(CuttingField.BEFOREVC, options));
    columns.add(number(CuttingField.BEFOREFEED, options));
  }

  private static WrittenColumn text(String symbol) {
    return new WrittenColumn(symbol, Optional.empty());
  }

  private static WrittenColumn property(String symbol, WriteOptions options) {
    return new WrittenColumn(
        symbol,
        Dictionary.standard()
            .get(symbol)
            .unit()
            .filter(unit -> unit != Unit.ONE)
            .map(unit -> wanted(unit, options)));
  }

  private static WrittenColumn number(CuttingField field, WriteOptions options) {
    return new WrittenColumn(field.name(), Optional.of(wanted(field.unit(), options)));
  }

  private static WrittenColumn length(String symbol, WriteOptions options) {
    return new WrittenColumn(symbol, Optional.of(wanted(Unit.MILLIMETRE, options)));
  }

  private static Unit wanted(Unit unit, WriteOptions options) {
    return unit == Unit.MILLIMETRE ? options.unit().orElse(unit) : unit;
  }

  String header() {
    return unit.map(stated -> "%s [%s]".formatted(symbol, stated.code())).orElse(symbol);
  }

  /** The text of a cell: the bare number where it is in the column's unit. */
  String text(Cell cell) {
    if (cell == null) {
      return "";
    }
    boolean counted = cell.unit().filter(own -> own != Unit.ONE).isEmpty();
    boolean own = counted || cell.unit().equals(unit);
    return FormulaGuard.guard(
        own ? cell.text() : cell.text() + " " + cell.unit().orElseThrow().code());
  }
}
