package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class MachineTest extends BrowserTest {

  private Stock stock;

  @BeforeEach
  void emptyPlan() {
    stock = Stock.of(journey, "MP").released();
    stock.clearPlan();
  }

  @Test
  void pocketsAreFilledByKeyboardAndByDragging() {
    steps.load(stock.name(), "MP-FE06", 1, "98.2", "5.99");
    page.getByLabel("Measured length").fill("long");
    assertThat(page.getByText("'long': not a number")).isVisible();
    Journey.button(page, "Save measures").click();
    assertThat(page.getByText("A field holds what is no number")).isVisible();
    page.getByLabel("Measured length").fill("0");
    assertThat(page.getByText("'0' is not above 0")).isVisible();
    page.getByLabel("Measured length").press("Escape");
    page.getByLabel("Search tools").fill("MP-FE12");
    Locator tool = buttonFrom("MP-FE12 ");
    tool.focus();
    page.keyboard().press("Enter");
    assertThat(page.getByText("MP-FE12 is picked up")).isVisible();
    steps.pocket(2).focus();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Enter");
    assertThat(steps.pocket(3)).hasAccessibleName(Pattern.compile("MP-FE12"));
    page.getByLabel("Search tools").fill("MP-FE16");
    buttonFrom("MP-FE16 ").dragTo(steps.pocket(24));
    assertThat(steps.pocket(24)).hasAccessibleName(Pattern.compile("MP-FE16"));
    page.getByLabel("Measured length").fill("138.02");
    Journey.button(page, "Save measures").click();
    assertThat(page.getByText("Saved the measures of pocket 24")).isVisible();
    assertAccessible();
  }

  @Test
  void theNextToolIsPickedUpWhileTheLastIsStillOnItsWay() {
    page.navigate("/machines/M1");
    steps.choose("Library", stock.name());
    Deque<Route> onTheirWay = new ArrayDeque<>();
    page.route("**/plan/9", onTheirWay::add);
    page.getByLabel("Search tools").fill("MP-FE");
    buttonFrom("MP-FE06 ").click();
    steps.pocket(9).click();
    buttonFrom("MP-FE12 ").click();
    assertThat(page.getByText("MP-FE12 is picked up")).isVisible();
    page.waitForResponse("**/plan/9", () -> onTheirWay.remove().resume());
    assertThat(steps.pocket(9)).hasAccessibleName(Pattern.compile("MP-FE06"));
    assertThat(page.getByText("MP-FE12 is picked up")).isVisible();
    steps.pocket(10).click();
    assertThat(steps.pocket(10)).hasAccessibleName(Pattern.compile("MP-FE12"));
  }

  @Test
  void whatWasPlannedStandsInTheTrailAndIsTakenBackThere() {
    steps.load(stock.name(), "MP-FE10", 7, "120", "9.98");
    page.navigate("/trail");
    assertAccessible();
    takeBack("Planned MP-FE10 for pocket 7");
    assertThat(page.getByText("planned anew since")).isVisible();
    takeBack("Measured MP-FE10 in pocket 7");
    assertThat(deed("Measured MP-FE10 in pocket 7")).containsText("taken back");
    takeBack("Planned MP-FE10 for pocket 7");
    assertThat(deed("Planned MP-FE10 for pocket 7")).containsText("taken back");
    page.navigate("/machines/M1");
    assertThat(steps.pocket(7)).hasAccessibleName(Pattern.compile("Pocket 7: (?!.*MP-FE10)"));
  }

  private Locator deed(String text) {
    return page.getByRole(AriaRole.ROW)
        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("lead\\s*" + text)))
        .last();
  }

  private void takeBack(String text) {
    deed(text).getByRole(AriaRole.BUTTON).click();
  }
}
