package arborline.core.naming;

import arborline.core.tool.Completed;
import arborline.core.tool.Tool;

/** What a tool is called where nobody gives a name: its class and its size. */
public final class UsualName {

  private static final NamePattern PATTERN =
      NamePattern.read("{CLASS}[ {TDZ}][ {DC}][ R{RE}]").pattern().orElseThrow();

  private UsualName() {}

  /** The name, or blank where the class is not known. */
  public static String of(Tool written) {
    Tool tool = Completed.of(written).tool();
    return PATTERN.fill(tool.has("TDZ") ? tool.with("DC", null) : tool, 0).text().orElse("");
  }
}
