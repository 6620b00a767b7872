package arborline.core.edition;

import arborline.core.exchange.RawItem;
import arborline.core.merge.MergeField;
import arborline.core.merge.MergeTool;
import arborline.core.merge.PartCodes;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/** A holder or another part of stacks as fields: each cell one, {@code values.BD}. */
public final class PartFields {

  private static final Set<String> NO_VALUES =
      Set.of(RawItem.CODE, RawItem.CLASS, RawItem.ATTACHMENT);

  private PartFields() {}

  public static MergeTool of(RawItem part) {
    SortedMap<String, MergeField> fields = new TreeMap<>();
    part.cells()
        .forEach((column, cell) -> {
          if (!NO_VALUES.contains(column)) {
            fields.put(ToolFields.VALUES + column, new CellField(cell));
          }
        });
    return new MergeTool(fields, PartCodes.NONE);
  }
}
