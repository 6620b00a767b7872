package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is there on every view: sign-in, keys, commands, the theme, the page not found. */
class EverywhereTest extends BrowserTest {

  @Test
  void aWrongPasswordIsSaidAtTheForm() {
    Page stranger = journey.page();
    stranger.navigate("/libraries");
    assertThat(stranger).hasURL(Pattern.compile("/sign-in"));
    stranger.getByLabel("Name").fill("lead");
    stranger.getByLabel("Password").fill("wrong");
    Journey.button(stranger, "Sign in").click();
    assertThat(stranger.getByRole(AriaRole.ALERT)).containsText("do not belong together");
    stranger.getByLabel("Password").fill("tidewrack");
    Journey.button(stranger, "Sign in").click();
    assertThat(stranger).hasURL(Pattern.compile("/libraries$"));
    stranger.context().close();
  }

  @Test
  void todayShowsTheMachine() {
    assertThat(Journey.machine(page)).isVisible();
    assertThat(page.getByText("chain of 48 pockets").first()).isVisible();
    assertAccessible();
  }

  @Test
  void keysCommandsNightAndNotFound() {
    page.keyboard().press("?");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Arrow keys");
    page.keyboard().press("Escape");
    page.keyboard().press("Control+k");
    page.getByPlaceholder("Where to?").fill("night");
    page.keyboard().press("Enter");
    assertEquals("night", page.evaluate("document.documentElement.dataset.theme"));
    assertAccessible();
    page.navigate("/no/such/place");
    assertThat(page.getByText("There is nothing at this address")).isVisible();
    assertAccessible();
  }

  /** A page that is loaded while nothing answers says so, and goes on once somebody answers. */
  @Test
  void aServerThatDoesNotAnswerIsSaidInWords() {
    page.route("**/api/v1/**", route -> route.abort());
    page.navigate("/libraries");
    assertThat(page.getByText("Arbor Line does not answer")).isVisible();
    page.unroute("**/api/v1/**");
    page.getByText("Load again").click();
    assertThat(page).hasURL(Pattern.compile("/libraries$"));
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Libraries")))
        .isVisible();
  }
}
