package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A real tool on its way through the toolroom. */
class ToolroomTest extends BrowserTest {

  @Test
  void aPieceIsPutTogetherAndASlippedDecimalIsCaughtBeforeItIsKept() {
    Stock stock = Stock.of(journey, "TR").released();
    page.navigate("/toolroom");
    steps.choose("Machine", "M1 Heron");
    Journey.button(page, "New piece").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    steps.choose("Library", stock.name());
    dialog.getByLabel("Search tools").fill("TR-FE12");
    dialog
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^TR-FE12 ")))
        .press("Enter");
    assertThat(Journey.heading(page, "TR-FE12.1")).isVisible();
    assertThat(page.getByText("It is measured once it is put together.")).isVisible();
    Journey.button(page, "Put together").click();
    page.getByLabel("Diameter", new Page.GetByLabelOptions().setExact(true)).fill("119.88");
    Journey.button(page, "Keep").click();
    assertThat(page.getByText("The decimal point may have slipped: is it 11.988 mm?")).isVisible();
    assertThat(page.getByText("measured 11.988")).isHidden();
    Journey.button(page, "It is 11.988 mm").click();
    assertThat(page.getByText("measured 11.988")).isVisible();
    Journey.button(page, "Lost").click();
    page.navigate("/toolroom");
    assertThat(page.getByLabel("Out of use").getByText("TR-FE12.1")).isVisible();
  }
}
