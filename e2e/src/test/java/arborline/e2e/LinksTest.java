package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What belongs together, what leads nowhere, and what a change would touch. */
class LinksTest extends BrowserTest {

  @Test
  void aPostWhoseMachineIsRetiredIsAStrayUntilItIsSetAnew() {
    page.navigate("/machines/new");
    Journey.link(page, "M1 Heron, vertical mill").click();
    field("Id").fill("S1");
    field("Name of the machine").fill("S1 Sandpiper");
    Journey.button(page, "Set it up").click();
    assertThat(Journey.heading(page, "S1 Sandpiper")).isVisible();
    page.navigate("/posts/new?machine=S1");
    field("Name of the post").fill("Sandpiper post");
    Journey.button(page, "Make it").click();
    assertThat(Journey.heading(page, "Sandpiper post")).isVisible();
    page.navigate("/links");
    Locator links = page.getByLabel("Links", new Page.GetByLabelOptions().setExact(true));
    assertThat(links).containsText(Pattern.compile("Sandpiper post\\s+serves\\s+S1 Sandpiper"));
    assertAccessible();
    page.navigate("/machines/S1/definition");
    Journey.button(page, "What it touches").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("post serves it");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Sandpiper post");
    page.keyboard().press("Escape");
    Journey.button(page, "Retire").click();
    page.navigate("/");
    assertThat(page.getByText(Pattern.compile("links? that leads? nowhere"))).isVisible();
    page.navigate("/links");
    Locator strays =
        page.getByRole(
            AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("Sandpiper post")));
    assertThat(strays).containsText("The machine was retired");
    strays.getByRole(AriaRole.CHECKBOX).check();
    assertThat(Journey.button(page, "Set anew")).isDisabled();
    steps.choose("Set to", "M1 Heron");
    assertAccessible();
    Journey.button(page, "Set anew").click();
    assertThat(page.getByText("Set 1 link anew")).isVisible();
    assertThat(strays).hasCount(0);
    Journey.button(page, "Sandpiper post").click();
    assertThat(page.getByLabel("Links of Sandpiper post")).containsText("M1 Heron");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open Sandpiper post"))
        .click();
    assertThat(Journey.heading(page, "Sandpiper post")).isVisible();
    Journey.button(page, "Delete").click();
    assertThat(Journey.link(page, "New post")).isVisible();
  }

  @Test
  void whatIsTypedIntoAPostStaysWhileSomebodyElseChangesIt() {
    page.navigate("/posts/new");
    field("Name of the post").fill("Ruff post");
    Journey.button(page, "Make it").click();
    assertThat(Journey.heading(page, "Ruff post")).isVisible();
    field("Name of the post").fill("Ruff post, mine");
    Page other = journey.as("programmer");
    other.navigate(page.url());
    other.getByLabel("Name of the post").fill("Ruff post, yours");
    Journey.button(other, "Save").first().click();
    assertThat(Journey.heading(other, "Ruff post, yours")).isVisible();
    assertThat(other.getByText("Somebody else changed")).hasCount(0);
    other.context().close();
    assertThat(page.getByText("Somebody else changed the post meanwhile")).isVisible();
    assertThat(field("Name of the post")).hasValue("Ruff post, mine");
    assertAccessible();
    Journey.button(page, "Show it as it is now").click();
    assertThat(field("Name of the post")).hasValue("Ruff post, yours");
    field("Name of the post").fill("Ruff post");
    Journey.button(page, "Save").first().click();
    assertThat(Journey.heading(page, "Ruff post")).isVisible();
    assertThat(page.getByText("Somebody else changed")).hasCount(0);
    Journey.button(page, "Delete").click();
    assertThat(Journey.link(page, "New post")).isVisible();
  }
}
