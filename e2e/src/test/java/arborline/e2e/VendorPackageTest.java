package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A vendor's news are looked at, the package is fetched, decided on and taken. */
class VendorPackageTest extends BrowserTest {

  private Locator region(String name) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private void search(String text) {
    page.getByLabel("Search the items").fill(text);
  }

  @Test
  void theNextReleaseIsSeenFetchedDecidedAndTaken() {
    page.navigate("/receiving");
    Journey.link(page, "News of vendors").click();
    Locator marram = region("Marram Carbide");
    assertThat(marram).containsText("8 changed, 2 no longer made, 4 new");
    assertThat(marram).containsText("the shop has another value: you will be asked");
    assertAccessible();
    marram.locator("header button").click();
    page.waitForURL("**/receiving/*/package");
    assertThat(page.getByText("2 changes to decide")).isVisible();
    assertThat(page.getByText("items/MC-7005-050.p21")).isVisible();
    Journey.link(page, "all lines of the delivery").click();
    Journey.link(page, "Decide value by value").click();
    page.waitForURL("**/package?finding=*");
    assertThat(page.getByText("LU was 30 mm and is now 32 mm with the vendor")).isVisible();
    Journey.button(page, "Model").click();
    assertThat(page.getByText("ø8 × 72 mm")).isVisible();
    page.getByLabel("Take LU from the vendor").check();
    Journey.button(page, "Take what is marked, keep the rest").click();
    assertThat(page.getByLabel("What it is").getByText("inspected")).isVisible();
    assertAccessible();
    search("");
    steps.choose("Shown", "cannot enter");
    assertThat(page.getByText("2 of 23 items")).isVisible();
    steps.choose("Shown", "all items");
    page.getByText("2 items that the shop has are no longer made").click();
    Journey.button(page, "Note all of them as no longer made").click();
    assertThat(page.getByText("(noted)")).isVisible();
    Journey.link(page, "MC-4010-05").click();
    assertThat(page.getByText("no longer made since 2026-2")).isVisible();
    page.goBack();
    steps.takeAll("Marram catalogue");
    page.navigate("/receiving/news");
    assertThat(region("Marram Carbide")).not().containsText("MC-4010-08");
  }

  @Test
  void howFarAToolStandsOutIsDraggedWithWhatItComesTo() {
    page.navigate("/receiving/news");
    region("Brack Holders").locator("header button").click();
    page.waitForURL("**/receiving/*/package");
    search("BRK-M-08");
    assertThat(page.getByText("gauge length 220 mm")).isVisible();
    BoundingBox cutter = page.locator("svg .cursor-ew-resize").first().boundingBox();
    double x = cutter.x + cutter.width / 2;
    double y = cutter.y + cutter.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 60, y);
    page.mouse().up();
    assertThat(page.getByText("an overhang of 37.0 mm at most is possible")).isVisible();
    Journey.button(page, "As it was").click();
    assertThat(page.getByText("gauge length 220 mm")).isVisible();
    Locator overhang = page.getByLabel("Overhang", new Page.GetByLabelOptions().setExact(true));
    overhang.fill("-5");
    overhang.press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("is a length above 0");
    overhang.fill("36");
    overhang.press("Enter");
    Journey.button(page, "Let it stand out 36 mm").click();
    assertThat(page.getByText("gauge length 221 mm")).isVisible();
    assertThat(page.getByText("Let it stand out")).not().isVisible();
  }

  @Test
  void aPackageWithoutAnItemLikeThatSaysSo() {
    page.navigate("/receiving");
    Journey.link(page, "marram-2026-1.zip").click();
    Journey.link(page, "Go through the package").click();
    search("no such code");
    assertThat(page.getByText("No item is like that.")).isVisible();
  }

  /** Which answer comes first is up to the network. */
  @Test
  void thePageIsWholeWhateverAnswerComesFirst() {
    page.navigate("/receiving");
    Journey.link(page, "marram-2026-1.zip").click();
    Journey.link(page, "Go through the package").click();
    page.waitForURL("**/receiving/*/package");
    List<Route> held = new ArrayList<>();
    page.route(Pattern.compile(".*/api/v1/deliveries/\\d+$"), held::add);
    page.waitForResponse("**/lines?*", page::reload);
    held.forEach(Route::resume);
    assertThat(page.getByText("22 items")).isVisible();
  }
}
