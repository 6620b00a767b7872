package arborline.core.naming;

import arborline.core.tool.Tool;

/** What a tool is called where nobody gives a name: its class and its size. */
public final class UsualName {

  private static final NamePattern BY_THREAD =
      NamePattern.read("{CLASS} {TDZ}").pattern().orElseThrow();
  private static final NamePattern BY_SIZE =
      NamePattern.read("{CLASS}[ {DC}][ R{RE}]").pattern().orElseThrow();

  private UsualName() {}

  /** The name, or blank where the class is not known. */
  public static String of(Tool tool) {
    return BY_THREAD.fill(tool, 0).text().or(() -> BY_SIZE.fill(tool, 0).text()).orElse("");
  }
}
