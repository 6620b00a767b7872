package arborline.core.tool.kind;

class DownCutRouterBitTest extends HelicalRouterBitChecks {

  DownCutRouterBitTest() {
    super("router-down-cut", "down");
  }
}
