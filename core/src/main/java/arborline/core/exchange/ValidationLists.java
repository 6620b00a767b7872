package arborline.core.exchange;

import arborline.core.cutting.CuttingOrigin;
import arborline.core.cutting.WorkMaterial;
import arborline.core.cutting.WorkMaterials;
import arborline.core.tool.ToolClasses;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.dhatim.fastexcel.Range;
import org.dhatim.fastexcel.Worksheet;

/** What may be chosen in a column of a workbook, on a sheet of its own. */
final class ValidationLists {

  private final Worksheet sheet;
  private final Map<String, Range> ranges = new LinkedHashMap<>();

  ValidationLists(Worksheet sheet) {
    this.sheet = sheet;
    list(
        RowItems.KIND,
        Arrays.stream(ItemKind.values())
            .filter(kind -> kind != ItemKind.REMARK)
            .map(ItemKind::word)
            .toList());
    list(
        RawItem.CLASS,
        ToolClasses.all().stream().map(known -> known.sheet().id()).sorted().toList());
    list(CuttingReading.MATERIAL, WorkMaterials.all().stream().map(WorkMaterial::id).toList());
    list(
        CuttingReading.ORIGIN,
        Arrays.stream(CuttingOrigin.values()).map(CuttingOrigin::word).toList());
  }

  private void list(String column, List<String> words) {
    int at = ranges.size();
    sheet.value(0, at, column);
    for (int i = 0; i < words.size(); i++) {
      sheet.inlineString(i + 1, at, words.get(i));
    }
    ranges.put(column, sheet.range(1, at, words.size(), at));
  }

  /** What may be chosen in a column; nothing where anything may be written. */
  Optional<Range> of(String column) {
    return Optional.ofNullable(ranges.get(column));
  }

  /** A list that helps without forbidding: other materials are possible. */
  static boolean open(String column) {
    return column.equals(CuttingReading.MATERIAL);
  }

  void finish() throws IOException {
    sheet.finish();
  }
}
