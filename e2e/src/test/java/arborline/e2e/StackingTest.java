package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Tools in their holders. */
class StackingTest extends BrowserTest {

  /** The guide counts these keys: fifteen besides code and numbers. */
  @Test
  void aFlatEndMillInAHolderIsMadeWithoutTheMouse() {
    Stock stock = Stock.of(journey, "KH");
    page.navigate(stock.path() + "/new");
    steps.typeFlatEndMill("KH-NEW");
    assertThat(page.getByPlaceholder(Pattern.compile("^one of"))).isVisible();
    page.keyboard().press("Tab");
    page.keyboard().type("sf");
    assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("SF10");
    page.keyboard().press("Enter");
    assertThat(page.getByText("as usual")).isVisible();
    page.keyboard().press("Control+s");
    assertThat(Journey.heading(page, "KH-NEW")).isVisible();
    assertThat(field("Name")).hasValue("Flat end mill 10");
    Journey.link(page, "Stack").click();
    assertThat(page.getByLabel("Parts", new Page.GetByLabelOptions().setExact(true)))
        .containsText("SF10");
    assertThat(field("Overhang")).hasValue("25");
  }

  private static long holder(Script script, String code) {
    return script
        .post(
            "/components",
            """
            {"code": "%s", "name": "Shrink chuck", "kind": "HOLDER", "machineSide": "ST-JD-40:m",
             "workSide": "CY-SF-10:f", "bodies": [{"length": 80, "from": 50, "to": 24}],
             "material": "STEEL", "clamping": 28}\
            """
                .formatted(code))
        .get("id")
        .getAsLong();
  }

  @Test
  void aChangedHolderAsksWhichStacksFollow() {
    Stock stock = Stock.of(journey, "KF");
    long holder = holder(stock.script(), "KF-HOLDER");
    for (String tool : new String[] {"FE10", "BE10"}) {
      stock
          .script()
          .post(
              "/tools/%d/stacks".formatted(stock.tool(tool)),
              "{\"name\":\"%s\",\"components\":[%d]}".formatted("With " + tool, holder));
    }
    page.navigate("/holders/" + holder);
    field("Length of row 1").fill("long");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("not a number");
    field("Length of row 1").fill("3 1/2in");
    Journey.button(page, "Save").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Which stacks follow?");
    page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("With BE10")).click();
    assertAccessible();
    page.getByRole(AriaRole.DIALOG)
        .getByRole(
            AriaRole.BUTTON,
            new com.microsoft.playwright.Locator.GetByRoleOptions().setName("Save"))
        .click();
    assertThat(page.getByText("Saved KF-HOLDER")).isVisible();
    assertThat(field("Length of row 1")).hasValue("88.9");
    Journey.button(page, "Versions").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Version 1");
    assertThat(page.getByRole(AriaRole.DIALOG).getByLabel("Strip")).isVisible();
    assertAccessible();
    Journey.button(page, "Back to version 1").click();
    assertThat(page.getByText("KF-HOLDER is as in version 1 again")).isVisible();
    assertThat(field("Length of row 1")).not().hasValue("88.9");
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("is as in version 1 again"))
        .getByText("Undo")
        .click();
    assertThat(field("Length of row 1")).hasValue("88.9");
    page.navigate("/tools/%d/stack".formatted(stock.tool("BE10")));
    assertThat(page.getByText("stays at version 1 of 4")).isVisible();
    Journey.button(page, "Follow").click();
    assertThat(page.getByText("stays at version 1 of 4")).hasCount(0);
  }

  @Test
  void aOverhangThatIsNoNumberOrCannotBeIsSaid() {
    Stock stock = Stock.of(journey, "KP");
    page.navigate("/tools/%d/stack".formatted(stock.tool("FE10")));
    steps.takePart("BH-J40-SF10");
    field("Overhang").fill("1,250");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("thousands or decimal");
    field("Overhang").fill("-5");
    assertThat(page.getByText("is not between 0 and the length")).isVisible();
    field("Overhang").fill("1e9");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("exponent");
    field("Overhang").fill("30");
    assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    assertThat(Journey.button(page, "Save")).isEnabled();
  }

  @Test
  void aPocketIsDeeperThanTheToolGoesUntilItIsProjectedFurther() {
    Stock stock = Stock.of(journey, "KD");
    page.navigate("/tools/%d/stack".formatted(stock.tool("FE10")));
    steps.takePart("BH-J40-SF10");
    field("Overhang").fill("30");
    page.getByLabel("Clearance").click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("the walls of a pocket"))
        .click();
    field("Depth of the pocket").fill("-35");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("is not above 0");
    field("Depth of the pocket").fill("35");
    assertThat(page.getByText("touches 30.0 mm above the tip; 35.0 mm of overhang clear"))
        .isVisible();
    Journey.button(page, "Set overhang to 35 mm").click();
    assertThat(page.getByText("Clears; 35.0 mm of overhang would be enough")).isVisible();
    field("Radius of its corners").fill("4");
    assertThat(page.getByText("it leaves 0.41 mm there")).isVisible();
    assertAccessible();
  }

  @Test
  void lengthsAreLookedAtInInches() {
    Stock stock = Stock.of(journey, "KI");
    page.navigate("/tools/%d/stack".formatted(stock.tool("FE10")));
    steps.takePart("BH-J40-SF10");
    field("Overhang").fill("25.4");
    Journey.button(page, "Lengths are shown in millimetres; switch").click();
    field("Height above the tip").click();
    assertThat(field("Overhang")).hasValue("1");
    assertThat(page.getByLabel("Results")).containsText("lbf.ft");
  }
}
