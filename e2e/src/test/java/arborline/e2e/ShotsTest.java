package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Takes the pictures of docs/screenshots from the demo data; behind {@code ./arbor shots}. */
@Tag("shots")
class ShotsTest {

  private static final Path FOLDER =
      Path.of(System.getProperty("shots.folder", "../docs/screenshots"));

  private final Journey journey = Journey.start();

  private static void shot(Page page, String name) {
    Journey.loaded(page);
    page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
  }

  @Test
  void allViews() {
    Page page = journey.as("lead");
    page.navigate("/receiving");
    Journey.link(page, "halle-2.csv").click();
    page.getByText("How it was read").click();
    Journey.link(page, "Decide about columns").click();
    assertThat(page.getByRole(AriaRole.ROW).nth(5)).isVisible();
    page.locator("[data-column='2'] button").first().click();
    shot(page, "reading");
    page.navigate("/receiving");
    Journey.link(page, "CRIB-0117.step and 19 more").click();
    Journey.link(page, "Go through the solids").click();
    Journey.button(page, "CRIB-1004").click();
    assertThat(page.getByText("ø63.55 × 150 mm")).isVisible();
    Journey.button(page, "In space").click();
    assertThat(page.locator("canvas")).isVisible();
    shot(page, "solids");
    Steps steps = new Steps(page);
    steps.receive(Journey.STARTER);
    shot(page, "delivery");
    steps.repairAll();
    steps.takeAll("Shop milling");
    page.navigate("/receiving");
    assertThat(page.getByText("marram-starter.csv")).isVisible();
    shot(page, "receiving");
    Journey.link(page, "Libraries").click();
    assertThat(page.getByText("Mills of the machining centres")).isVisible();
    shot(page, "libraries");
    Journey.link(page, "Shop milling").click();
    steps.hang("MC-FE10", "MC-BE06", "MC-DR6-8");
    assertThat(
            page.getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("ball end mill"))
                .first())
        .isVisible();
    shot(page, "library");
    page.navigate("/duplicates");
    Journey.button(page, "Search the shop").click();
    assertThat(page.getByText("the same code, spelt otherwise").first()).isVisible();
    shot(page, "duplicates");
    page.navigate("/libraries/1");
    Journey.link(page, "MC-CR06L").first().click();
    assertThat(Journey.heading(page, "MC-CR06L")).isVisible();
    shot(page, "sheet");
    page.navigate("/libraries/1");
    page.getByLabel("Search", new Page.GetByLabelOptions().setExact(true)).fill("MC-FE10");
    Journey.link(page, "MC-FE10").first().click();
    Journey.link(page, "Stack").click();
    pick(page, "BH-J40-CO16-100");
    pick(page, "BC-16-10");
    page.getByLabel("Height above the tip").fill("50");
    page.getByLabel("Distance from the axis").fill("12");
    assertThat(page.getByText("of overhang clear")).isVisible();
    shot(page, "stack");
    Journey.button(page, "Save").click();
    Journey.link(page, "MC-FE10").click();
    Journey.link(page, "Cutting data").click();
    page.getByLabel("Machine", new Page.GetByLabelOptions().setExact(true)).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("M1 Heron")).click();
    page.getByLabel("Depth ap", new Page.GetByLabelOptions().setExact(true)).fill("5");
    assertThat(page.getByText("the dot is this cut")).isVisible();
    Journey.button(page, "Save").click();
    assertThat(page.getByLabel("Lines", new Page.GetByLabelOptions().setExact(true)))
        .containsText("calculated");
    shot(page, "cutting");
    page.navigate("/");
    page.getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText("for Cormorant turning"))
        .getByRole(AriaRole.LINK)
        .first()
        .click();
    assertThat(page.getByText("Changed by both")).isVisible();
    assertThat(page.getByText("Changed here")).isVisible();
    shot(page, "base");
    steps.releaseAll("Shop milling");
    steps.load("Shop milling", "MC-FE06", 1, "98.214", "5.992");
    steps.load("Shop milling", "MC-FE10", 2, "121.4", "9.988");
    steps.load("Shop milling", "MC-FE12", 3, "128.633", "11.985");
    steps.load("Shop milling", "MC-FE16", 4, "138.02", "15.99");
    steps.load("Shop milling", "MC-BE06", 5, "102.9", "5.996");
    steps.load("Shop milling", "MC-FM50", 7, "96.11", "50.012");
    steps.load("Shop milling", "MC-DR10", 8, "130.5", "9.99");
    steps.load("Shop milling", "MC-TPM6", 12, "128.4", "6");
    shot(page, "machine");
    page.navigate("/machines/L1");
    page.locator("#place-L1-2").click();
    assertThat(page.getByLabel("How it is used")).containsText("driven across it");
    shot(page, "turret");
    page.navigate("/jobs");
    Journey.link(page, "Fairlead block").click();
    assertThat(page.getByText("open, 2 tools not in the load")).isVisible();
    assertThat(page.getByLabel("Tools that have to be in").getByRole(AriaRole.CHECKBOX).first())
        .isVisible();
    shot(page, "job");
    page.navigate("/tables/X1");
    assertThat(page.getByText("Put it into a library")).isVisible();
    shot(page, "tool-table");
    Journey.link(page, "All tools").click();
    page.getByText("OT-GR2", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(page.getByLabel("The tool with the cursor")).containsText("needed for");
    shot(page, "tools-of-control");
    page.navigate("/");
    assertThat(page.getByText("out of step").first()).isVisible();
    shot(page, "today");
    page.navigate("/trail");
    assertThat(page.getByRole(AriaRole.ROW).nth(9)).isVisible();
    shot(page, "trail");
    page.evaluate("localStorage.setItem('theme', 'night')");
    page.navigate("/receiving/news");
    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Brack Holders"))
        .locator("header button")
        .click();
    assertThat(page.getByLabel("Taking")).isVisible();
    page.getByLabel("Search the items").fill("BRK-M");
    assertThat(page.getByText("gauge length 220 mm")).isVisible();
    shot(page, "package-night");
  }

  private static void pick(Page page, String code) {
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^" + code)))
        .first()
        .click();
    assertThat(page.getByLabel("Parts", new Page.GetByLabelOptions().setExact(true)))
        .containsText(code);
  }
}
