package arborline.server.tool;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import java.util.List;
import java.util.TreeMap;

/** A tool that shows what a class looks like: trade defaults and a diameter of 10 mm. */
public final class ExampleTools {

  private ExampleTools() {}

  public static Tool of(ToolClass toolClass) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    toolClass.sheet().defaults().forEach((symbol, text) -> cells.put(symbol, Cell.of(text)));
    boolean face = toolClass.sheet().required().contains("DCONMS");
    boolean turning = toolClass.sheet().process() == Process.TURNING;
    cells.put("DC", Cell.of(face ? "40" : "10"));
    cells.put("DCX", Cell.of(face ? "50" : "10"));
    cells.put("OAL", Cell.of(face ? "40" : "45"));
    cells.put("CW", Cell.of("3"));
    cells.put("DMM", Cell.of(toolClass.sheet().required().contains("CW") ? "6" : "10"));
    if (turning) {
      cells.put("DMM", Cell.of("16"));
      cells.put("B", Cell.of("16"));
      cells.put("WF", Cell.of(toolClass.sheet().required().contains("DMIN") ? "11" : "20"));
      cells.put("OAL", Cell.of("80"));
      cells.put("LF", Cell.of("80"));
      cells.put("CDX", Cell.of("14"));
      cells.put("IC", Cell.of("9.525"));
    }
    cells.put("CLASS", Cell.of(toolClass.sheet().id()));
    return Interpreter.interpret(new RawItem(0, cells, List.of())).tool();
  }
}
