package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A lead finds tools that are one, sees by what, merges them and takes that back. */
class DuplicatesTest extends BrowserTest {

  private static final String LIBRARY = "The cart counted twice";

  private void shelve() {
    Script script = new Script(journey.line.url(), journey.line.key("LEAD"));
    long library =
        script.post("/libraries", "{\"name\":\"%s\"}".formatted(LIBRARY)).get("id").getAsLong();
    for (String[] tool : new String[][] {{"NGT-FL-07", "17.5"}, {"ngt.fl7", "17.51"}}) {
      script.post(
          "/libraries/%d/tools".formatted(library),
          """
          {"code": "%s", "name": "Mill", "classId": "end-mill-flat", "values": {
            "DC": {"text": "7.77"}, "APMX": {"text": "%s"}, "DMM": {"text": "8"},
            "OAL": {"text": "61.3"}, "NOF": {"text": "3"}}}\
          """
              .formatted(tool[0], tool[1]));
    }
  }

  private Locator group() {
    return page.locator("main")
        .getByRole(AriaRole.REGION)
        .filter(new Locator.FilterOptions().setHasText("NGT-FL-07"));
  }

  @Test
  void twoThatAreOneAreMergedWithTheValueOfTheOther() {
    shelve();
    page.navigate("/libraries");
    Journey.link(page, "Duplicates").click();
    buttonFrom("Search").click();
    steps.choose("Library", LIBRARY);
    assertThat(group()).containsText("all sizes that both state are the same");
    assertThat(group()).containsText("the same code, spelt otherwise");
    assertAccessible();
    group()
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep NGT-FL-07"))
        .or(group().getByText("kept"))
        .first()
        .click();
    group().getByText("17.51 mm").click();
    Journey.button(page, "Merge into NGT-FL-07").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("takes APMX over");
    assertThat(dialog).containsText("holds both: number 2 of ngt.fl7 is given up");
    assertAccessible();
    dialog
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Merge").setExact(true))
        .click();
    assertThat(dialog).not().isVisible();
    assertThat(page.getByText("No tools look like one.")).isVisible();
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("Merged into NGT-FL-07"))
        .getByRole(AriaRole.BUTTON)
        .click();
    assertThat(group()).containsText("17.51 mm");
    Journey.button(page, "Keep apart for good").click();
    assertThat(page.getByText("No tools look like one.")).isVisible();
  }

  @Test
  void aListIsHungOnTheBoardAndKeptAsAView() {
    Stock stock = Stock.of(journey, "OV");
    page.navigate(stock.path());
    steps.choose("Grouped", "by class");
    assertThat(page.getByRole(AriaRole.GRID)).containsText("Twist drill");
    Journey.button(page, "Board").click();
    Locator board =
        page.getByRole(AriaRole.GRID, new Page.GetByRoleOptions().setName("Board of tools"));
    assertThat(board).containsText("OV-CH06");
    assertAccessible();
    board.press("Space");
    assertThat(board.locator("[aria-selected=true]")).hasCount(1);
    page.getByLabel("View", new Page.GetByLabelOptions().setExact(true)).click();
    field("Name").fill("Hung by class");
    Journey.button(page, "Keep as a new view").click();
    assertThat(page.getByText("Kept the view Hung by class")).isVisible();
    Journey.button(page, "Keep as a new view").isDisabled();
    page.keyboard().press("Escape");
    Journey.button(page, "List").click();
    steps.choose("Grouped", "not grouped");
    assertThat(page.getByRole(AriaRole.GRID)).not().containsText("Twist drill");
    page.getByLabel("View", new Page.GetByLabelOptions().setExact(true)).click();
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hung by class").setExact(true))
        .click();
    assertThat(board).containsText("Twist drill");
    Journey.button(page, "List").click();
    steps.choose("Grouped", "not grouped");
  }
}
