package arborline.core.tool.kind;

class UpCutRouterBitTest extends HelicalRouterBitChecks {

  UpCutRouterBitTest() {
    super("router-up-cut", "up");
  }
}
