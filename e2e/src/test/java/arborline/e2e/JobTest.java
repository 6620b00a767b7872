package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Jobs call tools, and what they call stays in its machine. */
class JobTest extends BrowserTest {

  private static final String JOB = "Keel bracket";

  private Locator pocket(int number) {
    return page.locator("#place-J1-" + number);
  }

  private void aMachineWithOneTool(Stock stock) {
    page.navigate("/machines/new");
    Journey.link(page, "M1 Heron, vertical mill").click();
    field("Id").fill("J1");
    field("Name of the machine").fill("J1 Copy");
    Journey.button(page, "Set it up").click();
    assertThat(Journey.heading(page, "J1 Copy")).isVisible();
    steps.choose("Library", stock.name());
    page.getByLabel("Search tools").fill("EJ-FE10");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^EJ-FE10 ")))
        .click();
    pocket(2).click();
    assertThat(pocket(2)).hasAccessibleName(Pattern.compile("Pocket 2: EJ-FE10,.*"));
  }

  private void aJobOfItsLoad() {
    Journey.link(page, "Jobs").click();
    Journey.button(page, "New job").click();
    Journey.button(page, "Make it").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Give it a name.");
    field("Name").fill(JOB);
    steps.choose("Machine", "J1 Copy");
    steps.choose("Begins with", "no tools yet");
    assertAccessible();
    Journey.button(page, "Make it").click();
    assertThat(Journey.heading(page, JOB)).isVisible();
    assertThat(page.getByText("open, calls no tool yet")).isVisible();
  }

  private void tick(String code) {
    field("Search tools").fill(code);
    page.getByRole(
            AriaRole.CHECKBOX,
            new Page.GetByRoleOptions().setName(Pattern.compile("^%s ".formatted(code))))
        .check();
  }

  @Test
  void aToolThatAJobCallsStaysUnlessTheLeadHasItChanged() {
    Stock stock = Stock.of(journey, "EJ").released();
    aMachineWithOneTool(stock);
    aJobOfItsLoad();
    Locator tools = page.getByLabel("Tools that the job calls");
    steps.choose("Library", stock.name());
    tick("EJ-FE10");
    assertThat(tools).containsText("In pocket 2");
    assertThat(page.getByText("open, all in the load")).isVisible();
    tick("EJ-FE12");
    assertThat(page.getByText("open, 1 tool not in the load")).isVisible();
    field("Number of EJ-FE12").fill("0");
    field("Number of EJ-FE12").press("Enter");
    assertThat(page.getByText("number 0 has to be 1 to").first()).isVisible();
    assertAccessible();

    Journey.link(page, "J1 Copy").click();
    pocket(2).click();
    assertThat(page.getByText("Called by " + JOB)).isVisible();
    Journey.button(page, "Remove from the plan").click();
    Locator asked = page.getByRole(AriaRole.DIALOG);
    assertThat(asked).containsText("and it would not be in the load");
    assertAccessible();
    Journey.button(page, "Leave it as it is").click();
    assertThat(asked).not().isVisible();
    assertThat(pocket(2)).hasAccessibleName(Pattern.compile("Pocket 2: EJ-FE10,.*"));
    Journey.button(page, "Remove from the plan").click();
    Journey.button(page, "Change it all the same").click();
    assertThat(page.getByText("Pocket 2 is empty")).isVisible();

    page.navigate("/trail");
    assertThat(page.getByText("although " + JOB + " calls EJ-FE10").first()).isVisible();
    Journey.link(page, "Jobs").click();
    assertThat(page.getByText("None in the load").first()).isVisible();
    Journey.link(page, JOB).click();
    Journey.link(page, "Plan its load").click();
    assertThat(page.getByText("2 tools have to be in.")).isVisible();
    Journey.button(page, "Find their places").click();
    assertThat(page.getByText("2 moves, fewer is impossible")).isVisible();
  }
}
