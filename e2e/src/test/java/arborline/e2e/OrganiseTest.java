package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A lead sets libraries up from others: made, filled from a basket, sorted into sections. */
class OrganiseTest extends BrowserTest {

  private Locator row(String text) {
    return page.getByRole(AriaRole.ROW)
        .filter(new Locator.FilterOptions().setHasText(text))
        .first();
  }

  private Locator section(String name) {
    return page.getByLabel("Sections", new Page.GetByLabelOptions().setExact(true))
        .getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText(name));
  }

  private void make(String name) {
    page.navigate("/libraries");
    Journey.button(page, "New library").click();
    field("Name").fill(name);
  }

  @Test
  void aLibraryIsSetUpFromOthersThroughTheBasket() {
    Stock first = Stock.of(journey, "OA");
    Stock second = Stock.of(journey, "OB");
    make("Organise: Heron");
    field("What it is for").fill("Everyday tools of the Heron");
    page.getByLabel("milling", new Page.GetByLabelOptions().setExact(true)).click();
    field("Machines").fill("Heron");
    assertAccessible();
    Journey.button(page, "Create").click();
    assertThat(page.getByText("This library is empty.")).isVisible();

    page.navigate(first.path());
    steps.hang("OA-FE10", "OA-FE12");
    Journey.button(page, "Add to basket").click();
    page.navigate(second.path());
    steps.hang("OB-FE10");
    page.getByRole(AriaRole.GRID).press("b");
    assertThat(page.getByText("Basket 3")).isVisible();
    page.getByText("Basket 3").click();
    row("OB-FE10").focus();
    page.keyboard().press("Alt+ArrowUp");
    steps.choose("Into which library", "Organise: Heron");
    steps.choose("Numbers", "are numbered in this order");
    field("Section").fill("Everyday");
    assertThat(page.getByText("3 tools will enter")).isVisible();
    assertAccessible();
    page.getByLabel("Copying")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Copy"))
        .click();
    assertThat(page.getByText("Copied 3 tools into Organise: Heron")).isVisible();
    assertThat(page.getByText("3 there already")).isVisible();
    Journey.button(page, "Empty it").click();
    assertThat(page.getByText("Nothing is in the basket.")).isVisible();

    page.navigate("/libraries");
    Journey.link(page, "Organise: Heron").click();
    assertThat(row("OA-FE10")).containsText("1");
    assertThat(row("OB-FE10")).containsText("2");
    section("Everyday").click();
    assertThat(page.getByText("3 of 3 tools")).isVisible();
    Journey.button(page, "Edit sections").click();
    field("New section").fill("Every / day");
    Journey.button(page, "Add").click();
    assertThat(page.getByText("no semicolon and no ' / ' in it")).isVisible();
    field("New section").fill("Seldom");
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("Name of section Seldom")).isVisible();
    page.getByLabel("Drag Seldom").dragTo(page.getByLabel("Drag Everyday"));
    assertThat(
            page.getByLabel("Name of section", new Page.GetByLabelOptions().setExact(false))
                .first())
        .hasValue("Seldom");
    assertThat(page.getByLabel("Name of section Seldom")).isEnabled();
    page.getByLabel("Name of section Seldom").press("Alt+ArrowDown");
    assertThat(
            page.getByLabel("Name of section", new Page.GetByLabelOptions().setExact(false))
                .first())
        .hasValue("Everyday");
    assertThat(page.getByLabel("Name of section Seldom")).isEnabled();
    page.getByLabel("Name of section Seldom").press("Alt+ArrowUp");
    page.keyboard().press("Escape");
    Journey.button(page, "Show all").click();
    steps.hang("OA-FE12");
    Journey.button(page, "Section ▾").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Seldom")).click();
    assertThat(page.getByText("1 tool put into Seldom")).isVisible();
    section("Seldom").click();
    assertThat(page.getByText("1 of 3 tools")).isVisible();
  }

  @Test
  void aLibraryForTurningRefusesMillsAndSaysWhy() {
    Stock stock = Stock.of(journey, "OC");
    make("Organise: Cormorant");
    page.getByLabel("turning", new Page.GetByLabelOptions().setExact(true)).click();
    Journey.button(page, "Create").click();
    assertThat(page.getByText("This library is empty.")).isVisible();
    page.navigate(stock.path());
    steps.hang("OC-FE10");
    Journey.button(page, "Add to basket").click();
    page.navigate("/basket");
    steps.choose("Into which library", "Organise: Cormorant");
    assertThat(page.getByText("The library is for turning, the class flat end mill is for milling"))
        .isVisible();
    assertThat(page.getByText("1 cannot")).isVisible();
    Journey.button(page, "Empty it").click();
  }

  @Test
  void rowsThatWereCopiedArePastedIntoAnotherLibrary() {
    Stock from = Stock.of(journey, "OF");
    Stock into = Stock.of(journey, "OG");
    page.navigate(from.path());
    steps.hang("OF-FE10");
    page.getByRole(AriaRole.GRID).press("Control+c");
    Journey.link(page, "Libraries").click();
    Journey.link(page, into.name()).click();
    assertThat(Journey.heading(page, into.name())).isVisible();
    page.getByRole(AriaRole.GRID).press("Control+v");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Copy 1 tool into " + into.name());
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("belongs to OG-FE10");
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Copy"))
        .click();
    assertThat(page.getByText("Copied 1 tool into " + into.name())).isVisible();
  }

  @Test
  void rowsThatWereCopiedInOneWindowArePastedInAnother() {
    Stock from = Stock.of(journey, "OK");
    Stock into = Stock.of(journey, "OL");
    page.navigate(from.path());
    Journey.button(page, "Board").click();
    Locator board = page.getByRole(AriaRole.GRID);
    board.press("Space");
    board.press("Control+c");
    Page other = page.context().newPage();
    other.navigate(into.path());
    other.getByRole(AriaRole.GRID).press("Control+v");
    assertThat(other.getByRole(AriaRole.DIALOG)).containsText("Copy 1 tool into " + into.name());
    other.close();
  }

  @Test
  void toolsOfAnotherLibraryThatAreDroppedAskWhatBecomesOfThem() {
    Stock from = Stock.of(journey, "OM");
    Stock into = Stock.of(journey, "ON");
    page.navigate(into.path());
    assertThat(page.getByRole(AriaRole.GRID)).isVisible();
    page.evaluate(
        """
        tools => {
          const carried = new DataTransfer();
          carried.setData('application/x-arborline-tools', tools);
          const list = document.querySelector('[role=grid]');
          list.dispatchEvent(
            new DragEvent('drop', { dataTransfer: carried, bubbles: true, cancelable: true }));
        }\
        """,
        "[{\"toolId\":%d,\"libraryId\":%d}]".formatted(from.tool("FE10"), from.library()));
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Copy 1 tool into " + into.name());
    page.keyboard().press("Escape");
  }

  @Test
  void manyToolsAreChangedAtOnceAndTakenBack() {
    Stock stock = Stock.of(journey, "OE");
    page.navigate(stock.path());
    steps.hang("OE-FE10", "OE-FE12");
    Journey.button(page, "Change ▾").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("The 2 chosen")).click();
    Journey.button(page, "By a formula").click();
    field("Property").fill("LU");
    field("Formula").fill("APMX + ");
    assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
    field("Formula").fill("APMX + 2.5");
    assertThat(page.getByText("2 tools change")).isVisible();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("24.5 mm");
    assertAccessible();
    Journey.button(page, "Change 2 tools").click();
    assertThat(page.getByText("Changed 2 tools")).isVisible();
    assertThat(page.getByRole(AriaRole.DIALOG)).not().isVisible();
    field("Search").fill("OE-FE10");
    assertThat(page.getByRole(AriaRole.GRID)).containsText("24.5");
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("Changed 2 tools"))
        .getByRole(AriaRole.BUTTON)
        .click();
    assertThat(page.getByRole(AriaRole.GRID)).not().containsText("24.5");
  }

  @Test
  void aLibraryIsCopiedMergedAndDeletedWithUndo() {
    Stock stock = Stock.of(journey, "OD");
    page.navigate("/libraries");
    page.getByLabel("What to do with " + stock.name()).click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Copy")).click();
    field("Name of the copy").fill("Organise: OD copy");
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Copy"))
        .click();
    assertThat(Journey.link(page, "Organise: OD copy")).isVisible();
    page.getByLabel("What to do with Organise: OD copy").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Delete")).click();
    assertThat(Journey.link(page, "Organise: OD copy")).not().isVisible();
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("Deleted Organise: OD copy"))
        .getByRole(AriaRole.BUTTON)
        .click();
    assertThat(Journey.link(page, "Organise: OD copy")).isVisible();
    page.getByLabel("What to do with Organise: OD copy").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Merge")).click();
    steps.choose("Into which library", stock.name());
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Merge"))
        .click();
    assertThat(page.getByText("stood there already")).isVisible();
    assertThat(Journey.link(page, "Organise: OD copy")).not().isVisible();
  }

  @Test
  void aListSaysSpeedAndFeedInAWorkMaterial() {
    page.navigate("/libraries");
    Journey.link(page, "Marram milling").click();
    page.getByLabel("Search").fill("MM-FL06");
    Journey.button(page, "Columns of tools").click();
    Journey.button(page, "Cutting data").click();
    page.keyboard().press("Escape");
    assertThat(row("MM-FL06")).containsText("150");
    steps.choose("Cutting data for", "in stainless steel, austenitic");
    assertThat(row("MM-FL06")).containsText("85");
    assertAccessible();
    Journey.button(page, "Columns of tools").click();
    Journey.button(page, "What fits").click();
    assertThat(page.getByText("in stainless steel, austenitic")).not().isVisible();
  }

  @Test
  void aLibraryIsComparedWithWhatItWasAndGoesBackToThat() {
    Stock stock = Stock.of(journey, "OH");
    page.navigate(stock.path());
    steps.hang("OH-FE10");
    Journey.button(page, "Remove").click();
    assertThat(page.getByText("Removed OH-FE10")).isVisible();
    Journey.link(page, "History").click();
    assertThat(page.getByLabel("What changed").getByText("1 gone")).isVisible();
    assertThat(page.getByLabel("What changed")).containsText("OH-FE10");
    assertAccessible();
    page.getByText("Back to this", new Page.GetByTextOptions().setExact(true)).first().click();
    assertThat(page.getByText("Cannot be undone.")).isVisible();
    Journey.button(page, "Back to this for good").click();
    assertThat(page.getByText("Took back 1 line of its history")).isVisible();
    page.navigate(stock.path() + "?q=OH-FE10");
    assertThat(row("OH-FE10")).isVisible();
  }

  @Test
  void draftsAreReleasedAndListedByThat() {
    Stock stock = Stock.of(journey, "OS");
    page.navigate(stock.path());
    steps.hang("OS-FE10");
    Journey.button(page, "How far the chosen tools are trusted").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Released")).click();
    assertThat(page.getByText("Released: 1 tool")).isVisible();
    page.navigate(stock.path() + "?sort=standing&down=true");
    assertThat(page.getByRole(AriaRole.ROW).nth(1)).containsText("OS-FE10");
    page.navigate("/tools/" + stock.tool("FE10"));
    assertThat(page.getByLabel("How far it is trusted")).containsText("Released");
  }
}
