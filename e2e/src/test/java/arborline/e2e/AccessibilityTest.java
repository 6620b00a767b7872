package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

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
    views.put("/duplicates", "Duplicates");
    views.put(stock.path(), stock.name());
    views.put(stock.path() + "/naming", "Names");
    views.put(stock.path() + "/history", "History");
    views.put(stock.path() + "/new", "New tool");
    views.put("/tools/" + tool, stock.code("FE10"));
    views.put("/tools/" + tool + "/stack", stock.code("FE10"));
    views.put("/tools/" + tool + "/cutting", stock.code("FE10"));
    views.put("/holders", "Holders");
    views.put("/holders/1", "");
    views.put("/machines", "Machines");
    views.put("/machines/M1", "M1 Heron");
    views.put("/machines/M3/load", "Plan a load of M3 Gannet");
    views.put("/machines/X1/definition", "Definition of X1 Kittiwake");
    views.put("/machines/new", "New machine");
    views.put("/posts", "Posts");
    views.put("/links", "Links");
    views.put("/jobs", "Jobs");
    views.put("/jobs/1", "Winch drum 32");
    views.put("/tables", "Tool tables");
    views.put("/tables/M1", "Tool table of M1 Heron");
    views.put("/trail", "Trail");
    return views;
  }

  @Test
  void whatHindersIsFound() {
    page.setContent(
        """
        <html lang="en"><title>Faults</title><main><h1>Faults</h1>
        <p style="color: #ccc; background: #fff">pale</p><button></button></main></html>
        """);
    assertEquals(List.of("color-contrast at [p]"), Accessibility.faultsOfContrast(page));
    assertEquals(
        List.of("button-name at [button]", "color-contrast at [p]"), Accessibility.faults(page));
  }

  @Test
  void everyViewIsAccessible() {
    Stock stock = Stock.of(journey, "AX");
    List<String> found = new ArrayList<>();
    views(stock)
        .forEach((path, heading) -> {
          open(path, heading);
          theme("daylight");
          for (int width : List.of(1280, 1024)) {
            page.setViewportSize(width, 800);
            Accessibility.faults(page)
                .forEach(fault -> found.add("%s at %d: %s".formatted(path, width, fault)));
          }
          theme("night");
          Accessibility.faultsOfContrast(page)
              .forEach(fault -> found.add("%s by night: %s".formatted(path, fault)));
        });
    assertEquals(List.of(), found);
  }

  private void open(String path, String heading) {
    page.navigate(path);
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)).first())
        .containsText(heading);
    Journey.loaded(page);
  }

  private void theme(String name) {
    page.evaluate("theme => (document.documentElement.dataset.theme = theme)", name);
  }
}
