package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Every view passes all rules of axe on a desk and on a small screen; by night, where only colours
 * change, that of contrast.
 */
class AccessibilityTest extends BrowserTest {

  /** Each view with a heading that stands there once what it shows has come. */
  private static Map<String, String> views(Stock stock) {
    Map<String, String> views = new LinkedHashMap<>();
    long tool = stock.tool("FE10");
    views.put("/", "Today");
    views.put("/receiving", "Receiving");
    views.put("/receiving/" + stock.delivery(), stock.prefix() + ".csv");
    views.put("/libraries", "Libraries");
    views.put(stock.path(), stock.name());
    views.put(stock.path() + "/naming", "Names");
    views.put(stock.path() + "/new", "New tool");
    views.put("/tools/" + tool, stock.code("FE10"));
    views.put("/tools/" + tool + "/stack", stock.code("FE10"));
    views.put("/tools/" + tool + "/cutting", stock.code("FE10"));
    views.put("/holders", "Holders");
    views.put("/holders/1", "");
    views.put("/machines", "Machines");
    views.put("/machines/M1", "M1 Heron");
    views.put("/tables", "Tool tables");
    views.put("/tables/M1", "Tool table of M1 Heron");
    views.put("/trail", "Trail");
    return views;
  }

  @Test
  void everyViewIsAccessible() {
    Stock stock = Stock.of(journey, "AX");
    List<String> found = new ArrayList<>();
    views(stock)
        .forEach((path, heading) -> {
          open(path, heading);
          for (int width : List.of(1280, 1024)) {
            page.setViewportSize(width, 800);
            theme("daylight");
            found.addAll(violations(path + " at " + width, new AxeBuilder(page)));
            theme("night");
            found.addAll(
                violations(
                    path + " at " + width + " by night",
                    new AxeBuilder(page).withRules(List.of("color-contrast"))));
          }
        });
    assertEquals(List.of(), found);
  }

  private void open(String path, String heading) {
    page.navigate(path);
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)).first())
        .containsText(heading);
    assertThat(page.getByText("Loading …")).hasCount(0);
  }

  private void theme(String name) {
    page.evaluate("theme => (document.documentElement.dataset.theme = theme)", name);
  }

  private static List<String> violations(String where, AxeBuilder axe) {
    return axe.analyze().getViolations().stream()
        .filter(rule -> List.of("moderate", "serious", "critical").contains(rule.getImpact()))
        .map(rule -> said(where, rule))
        .toList();
  }

  private static String said(String where, Rule rule) {
    return "%s: %s at %s".formatted(where, rule.getId(), rule.getNodes().getFirst().getTarget());
  }
}
