package arborline.server.setup;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.library.Numbering;
import arborline.core.tool.Tool;
import arborline.server.acceptance.Acceptance;
import arborline.server.inspection.Inspection;
import arborline.server.library.Libraries;
import arborline.server.news.FetchedPackages;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** What the demo shop took of its vendors before, so that they have news. */
@Component
class DemoVendors {

  private static final Logger LOG = LoggerFactory.getLogger(DemoVendors.class);

  private final FetchedPackages packages;
  private final Inspection inspection;
  private final Acceptance acceptance;
  private final Libraries libraries;
  private final Tools tools;
  private final ToolStore store;
  private final TransactionTemplate transaction;

  DemoVendors(
      FetchedPackages packages,
      Inspection inspection,
      Acceptance acceptance,
      Libraries libraries,
      Tools tools,
      ToolStore store,
      TransactionTemplate transaction) {
    this.packages = packages;
    this.inspection = inspection;
    this.acceptance = acceptance;
    this.libraries = libraries;
    this.tools = tools;
    this.store = store;
    this.transaction = transaction;
  }

  /** Does what the file says; without the stand-ins the demo goes on without it. */
  void take(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (String line : Files.readAllLines(file)) {
      String[] cells = line.split("\t");
      if (cells[0].equals("take") && !take(cells[1], cells[2])) {
        return;
      }
      if (cells[0].equals("change")) {
        transaction.executeWithoutResult(status -> change(cells[1], cells[2], cells[3]));
      }
    }
  }

  private boolean take(String packageId, String library) {
    try {
      long delivery = packages.fetch(packageId);
      inspection.run(delivery);
      acceptance.take(delivery, libraries.open(library).id(), null, Numbering.NEXT, null);
      return true;
    } catch (IOException silent) {
      LOG.warn("the demo goes on without its vendors: {}", silent.getMessage());
      return false;
    }
  }

  private void change(String code, String property, String value) {
    CurrentTool current = store.lock(tools.byCode(code).orElseThrow());
    RawItem changed = RawItem.of(current.tool()).with(Map.of(property, Cell.of(value)));
    Tool tool = Interpreter.interpret(changed).tool();
    store.change(current, tool, "measured in the shop");
  }
}
