package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import java.util.function.Function;

/** A class made of its sheet and a way to draw it. */
abstract class DrawnClass implements ToolClass {

  private final ClassSheet sheet;
  private final Function<Tool, Outline> drawing;

  DrawnClass(ClassSheet.Builder sheet, Function<Tool, Outline> drawing) {
    this.sheet = sheet.build();
    this.drawing = drawing;
  }

  @Override
  public final ClassSheet sheet() {
    return sheet;
  }

  @Override
  public final Outline outline(Tool tool) {
    return drawing.apply(Completed.of(tool).tool());
  }
}
