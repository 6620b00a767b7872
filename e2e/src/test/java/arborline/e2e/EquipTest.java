package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Machines are set up as they are, and loaded with the fewest moves. */
class EquipTest extends BrowserTest {

  private void copyOfTheHeron(String id) {
    page.navigate("/machines/new");
    Journey.link(page, "M1 Heron, vertical mill").click();
    field("Id").fill(id);
    field("Name of the machine").fill(id + " Copy");
  }

  private Locator place(String machine, int number) {
    return page.locator("#place-%s-%d".formatted(machine, number));
  }

  @Test
  void aMachineIsSetUpByCopyAndChanged() {
    page.navigate("/machines");
    Journey.link(page, "New machine").click();
    Journey.link(page, "M1 Heron, vertical mill").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Id: 1 to 12 letters");
    assertThat(Journey.button(page, "Set it up")).isDisabled();
    field("Id").fill("E1");
    field("Name of the machine").fill("E1 Dunlin");
    field("Places").fill("24");
    assertThat(page.locator("[id^=place-E1-]")).hasCount(24);
    assertAccessible();
    Journey.button(page, "Set it up").click();
    assertThat(page.getByText("chain of 24 pockets")).isVisible();
    Journey.link(page, "Definition").click();
    field("Ø beside taken").fill("200");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("no wider tool fits");
    field("Ø beside taken").fill("90");
    Journey.button(page, "Save").click();
    assertThat(page.getByText("Saved the definition of E1 Dunlin")).isVisible();
    page.reload();
    assertThat(field("Ø beside taken")).hasValue("90");
    Journey.button(page, "Retire").click();
    assertThat(Journey.link(page, "New machine")).isVisible();
    assertThat(Journey.link(page, "E1 Dunlin")).hasCount(0);
  }

  @Test
  void whatIsTypedStaysWhileTheOneThatIsCopiedChanges() {
    copyOfTheHeron("E6");
    Journey.button(page, "Set it up").click();
    assertThat(Journey.heading(page, "E6 Copy")).isVisible();
    page.navigate("/machines/new?copy=E6");
    field("Id").fill("E7");
    field("Name of the machine").fill("E7 Turnstone");
    Page other = journey.as("programmer");
    other.navigate("/machines/E6/definition");
    other.getByLabel("Name of the machine").fill("E6 Wigeon");
    Journey.button(other, "Save").click();
    assertThat(other.getByText("Saved the definition of E6 Wigeon")).isVisible();
    other.context().close();
    assertThat(page.getByText("as E6 Wigeon is")).isVisible();
    assertThat(field("Id")).hasValue("E7");
    assertThat(field("Name of the machine")).hasValue("E7 Turnstone");
    Journey.button(page, "Set it up").click();
    assertThat(Journey.heading(page, "E7 Turnstone")).isVisible();
    for (String machine : List.of("E6", "E7")) {
      page.navigate("/machines/%s/definition".formatted(machine));
      Journey.button(page, "Retire").click();
      assertThat(Journey.link(page, "New machine")).isVisible();
    }
  }

  @Test
  void aTurretWithFewerStationsSaysWhichOfThemAreBeyondTheLast() {
    page.navigate("/machines/new");
    Journey.link(page, "L1 Cormorant, turning centre").click();
    field("Id").fill("L1");
    field("Name of the machine").fill("E5 Dotterel");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("There is a machine L1 already");
    field("Id").fill("E5");
    field("Places").fill("12");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("station 14 is beyond the last");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("station 16 is beyond the last");
    assertThat(Journey.button(page, "Set it up")).isDisabled();
    field("Driven stations").fill("2, 4-8");
    assertThat(Journey.button(page, "Set it up")).isEnabled();
    assertThat(page.locator("[id^=place-E5-]")).hasCount(12);
  }

  @Test
  void whatASmallerStorageLosesIsSaidBeforeItIsLost() {
    Stock stock = Stock.of(journey, "EQ").released();
    copyOfTheHeron("E2");
    Journey.button(page, "Set it up").click();
    assertThat(Journey.heading(page, "E2 Copy")).isVisible();
    steps.choose("Library", stock.name());
    page.getByLabel("Search tools").fill("EQ-FE10");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^EQ-FE10 ")))
        .click();
    place("E2", 44).click();
    assertThat(place("E2", 44)).hasAccessibleName(Pattern.compile("Pocket 44: EQ-FE10,.*"));
    Journey.link(page, "Definition").click();
    field("Places").fill("40");
    assertThat(page.getByText("EQ-FE10, place 44")).isVisible();
    assertThat(Journey.button(page, "Save")).isDisabled();
    page.getByLabel("Let them go").check();
    Journey.button(page, "Save").click();
    assertThat(page.getByText("Saved the definition of E2 Copy")).isVisible();
    Journey.link(page, "Its load").click();
    assertThat(place("E2", 44)).hasCount(0);
  }

  @Test
  void aLoadIsPlannedWithTheFewestMoves() {
    Stock stock = Stock.of(journey, "EL").released();
    copyOfTheHeron("E3");
    field("Places").fill("3");
    Journey.button(page, "Set it up").click();
    Journey.link(page, "Plan a load").click();
    assertThat(page.getByText("Tick the tools that have to be in")).isVisible();
    steps.choose("Library", stock.name());
    page.getByLabel("Search tools").fill("EL-FE");
    assertThat(page.getByRole(AriaRole.CHECKBOX, named(stock.code("FE06")))).isVisible();
    assertThat(Journey.button(page, "Find their places")).isDisabled();
    Journey.button(page, "All listed").click();
    Journey.button(page, "Find their places").click();
    assertThat(page.getByRole(AriaRole.ALERT))
        .containsText("the places that take them are too few");
    for (String code : new String[] {"FE06", "FE10", "FE12"}) {
      assertThat(page.getByRole(AriaRole.CHECKBOX, named(stock.code(code)))).isChecked();
    }
    Locator listed = field("Have to be in").getByRole(AriaRole.BUTTON);
    while (listed.count() > 2) {
      int before = listed.count();
      listed.first().click();
      assertThat(listed).hasCount(before - 1);
    }
    Journey.button(page, "Find their places").click();
    assertThat(page.getByText("2 moves, fewer is impossible")).isVisible();
    assertAccessible();
    Journey.button(page, "Plan it so").click();
    assertThat(page.getByText("2 tools planned")).isVisible();
  }

  private static Page.GetByRoleOptions named(String code) {
    return new Page.GetByRoleOptions().setName(Pattern.compile("^" + code + " "));
  }

  @Test
  void sistersStandInOneMachineAndAreNumberedAndSortedWithTheOthers() {
    Stock stock = Stock.of(journey, "EV").released();
    page.navigate("/machines/new");
    Journey.link(page, "M3 Gannet, five-axis mill").click();
    field("Id").fill("E4");
    field("Name of the machine").fill("E4 Copy");
    page.getByLabel(Pattern.compile("^With its load plan")).uncheck();
    field("Places").fill("6");
    Journey.button(page, "Set it up").click();
    assertThat(Journey.heading(page, "E4 Copy")).isVisible();
    steps.choose("Library", stock.name());
    page.getByLabel("Search tools").fill("EV-FE1");
    pick("EV-FE12");
    place("E4", 2).click();
    assertThat(place("E4", 2)).hasAccessibleName(Pattern.compile("Pocket 2: EV-FE12,.*"));
    pick("EV-FE12");
    assertThat(page.getByText("Another EV-FE12 is picked up")).isVisible();
    place("E4", 4).click();
    assertThat(place("E4", 4)).hasAccessibleName(Pattern.compile("Pocket 4: EV-FE12,.*"));
    pick("EV-FE10");
    place("E4", 6).click();
    assertThat(place("E4", 6)).hasAccessibleName(Pattern.compile("Pocket 6: EV-FE10,.*"));
    Journey.button(page, "Numbers").click();
    field("First number").fill("0");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Number 0 is outside 1 to");
    field("First number").fill("70");
    assertAccessible();
    Journey.button(page, "Renumber 3 tools").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).not().isVisible();
    place("E4", 4).click();
    assertThat(page.getByText("number 70", exactly())).isVisible();
    place("E4", 6).click();
    assertThat(page.getByText("number 71", exactly())).isVisible();
    Journey.button(page, "Sort the chain").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("by code")).click();
    assertThat(page.getByText("2 moves, fewer is impossible")).isVisible();
    Journey.button(page, "Plan it so").click();
    assertThat(place("E4", 1)).hasAccessibleName(Pattern.compile("Pocket 1: EV-FE10,.*"));
    assertThat(place("E4", 3)).hasAccessibleName(Pattern.compile("Pocket 3: EV-FE12,.*"));
  }

  private void pick(String code) {
    page.getByRole(AriaRole.BUTTON, named(code)).click();
  }

  private static Page.GetByTextOptions exactly() {
    return new Page.GetByTextOptions().setExact(true);
  }

  @Test
  void aDrillStandsOnTheCentreLineAndTurnsAcrossInADrivenStation() {
    page.navigate("/machines/L1");
    assertThat(place("L1", 13)).hasAccessibleName(Pattern.compile("Station 13: MD-TD03,.*"));
    place("L1", 13).click();
    Locator use = page.getByLabel("How it is used");
    assertThat(use).containsText("static along the spindle");
    assertThat(use).containsText("Tip orientation 7");
    use.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("More")).click();
    Locator above = page.getByLabel("The tool at the work, seen from above");
    assertTrue(above.boundingBox().width >= 240, "drawn wide enough to see beside the front view");
    steps.choose("Tool", "driven");
    assertThat(use).containsText("Station 13 drives nothing");
    assertThat(Journey.button(page, "Use it so")).isDisabled();
    Journey.button(page, "Leave it").click();
    place("L1", 2).click();
    assertThat(use).containsText("driven across it");
    assertThat(use).containsText("Tip orientation 8");
    use.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("More")).click();
    steps.choose("Pointing", "along the spindle");
    assertThat(use).containsText("Tip orientation 7");
    assertThat(page.getByLabel("The tool at the work, seen from above")).isVisible();
    assertAccessible();
    Journey.button(page, "Use it so").click();
    assertThat(page.getByText("Saved how it is used")).isVisible();
    Journey.button(page, "As usual").click();
    assertThat(use).containsText("Tip orientation 8");
  }

  @Test
  void aPostSaysWhatItCannotWriteAndWhereItsDefaultsComeFrom() {
    page.navigate("/machines");
    Journey.link(page, "Posts").click();
    Journey.link(page, "New post").click();
    field("Name of the post").fill("Petrel post");
    field("to").fill("0");
    page.keyboard().press("Tab");
    Journey.button(page, "Make it").click();
    assertThat(page.getByText("A field holds what is no number").first()).isVisible();
    field("to").fill("20");
    page.keyboard().press("Tab");
    field("Of milling tools").fill("DC, X9");
    steps.choose("Brings the library", "Pelican router");
    Journey.button(page, "Make it").click();
    assertThat(page.getByText("'X9' is no property of ISO 13399")).isVisible();
    field("Of milling tools").fill("DC");
    Journey.button(page, "Make it").click();
    assertThat(page.getByText("10 of 30 tools cannot be posted.")).isVisible();
    field("Feed of roughing said here").fill("9");
    field("Feed of roughing said here").press("Enter");
    assertThat(page.getByText("a number above 0 up to 3").first()).isVisible();
    field("Feed of finishing said here").fill("0.6");
    field("Feed of finishing said here").press("Enter");
    assertThat(page.getByText("from the post")).isVisible();
    steps.choose("Whose defaults are changed", "for me");
    field("Feed of finishing said here").fill("0.5");
    field("Feed of finishing said here").press("Enter");
    assertThat(page.getByText("yours, instead of 0.6 from the post")).isVisible();
    assertAccessible();
    Journey.button(page, "Delete").click();
    assertThat(Journey.link(page, "New post")).isVisible();
    assertThat(Journey.link(page, "Petrel post")).hasCount(0);
  }

  @Test
  void whatCannotGoIntoAMachineIsNotOfferedThereUnlessSomebodyAsksWhy() {
    Stock stock = Stock.of(journey, "EN").released();
    page.navigate("/machines/L1");
    assertThat(page.locator("[id^=place-L1-]")).hasCount(16);
    steps.choose("Library", stock.name());
    page.getByLabel("Search tools").fill("EN-FE");
    assertThat(page.getByRole(AriaRole.BUTTON, named("EN-FE10"))).isVisible();
    page.navigate("/machines/R1");
    assertThat(page.locator("[id^=place-R1-]")).hasCount(12);
    assertThat(page.getByLabel("Rack of R1 Pelican")).isVisible();
    assertAccessible();
  }
}
