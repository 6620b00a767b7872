package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A lead and a programmer in two browsers: invited, shared with, kept out. */
class SharingTest extends BrowserTest {

  private static final String PASSWORD = "nine lively herrings";

  /** Invites somebody and has him enter by the link, in a browser of his own. */
  private Page invited(String name) {
    page.navigate("/accounts");
    Journey.button(page, "Invite somebody").click();
    field("Name").fill("lead");
    Journey.button(page, "Invite").click();
    assertThat(page.getByText("There is an account 'lead' already")).isVisible();
    field("Name").fill(name);
    Journey.button(page, "Invite").click();
    String link = field("Link for " + name).inputValue();
    Journey.button(page, "Done").click();
    assertThat(page.getByText("invited, link works until").first()).isVisible();
    Page other = journey.page();
    other.navigate(link);
    other.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(PASSWORD);
    other.getByLabel("Once more").fill("something else");
    Journey.button(other, "Enter").click();
    assertThat(other.getByText("typed differently the second time")).isVisible();
    other.getByLabel("Once more").fill(PASSWORD);
    Journey.button(other, "Enter").click();
    other.waitForURL("**/");
    return other;
  }

  @Test
  void whoeverIsInvitedHasALibraryOfHisOwnAndIsToldWhatHeMayNot() {
    Stock stock = Stock.of(journey, "SH");
    Page other = invited("Merle Pintle");
    assertAccessible();

    other.navigate("/libraries");
    Journey.button(other, "New library").click();
    other.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Pintle trials");
    new Steps(other).choose("Shared", "with nobody for now: it is private");
    Journey.button(other, "Create").click();
    assertThat(other.getByText("This library is empty.")).isVisible();
    page.navigate("/libraries");
    Locator row =
        page.getByRole(AriaRole.ROW)
            .filter(new Locator.FilterOptions().setHasText("Pintle trials"));
    assertThat(row).containsText("Merle Pintle");
    assertThat(row).containsText("private");
    assertThat(Journey.link(page, "Pintle trials")).hasCount(0);

    page.navigate(stock.path() + "/rights");
    assertAccessible();
    steps.choose("Every programmer may", "use it");
    Journey.button(page, "Save").click();
    page.waitForURL("**" + stock.path());
    other.navigate(stock.path());
    assertThat(other.getByText("You may use it. Changed by the lead")).isVisible();
    assertThat(Journey.link(other, "New tool")).hasCount(0);
    other
        .getByRole(AriaRole.LINK)
        .filter(new Locator.FilterOptions().setHasText("SH-"))
        .first()
        .click();
    assertThat(other.getByText("which you may not change; the lead may")).isVisible();
    assertThat(Journey.button(other, "Save")).hasCount(0);

    page.navigate("/accounts");
    Journey.button(page, "What to do with Merle Pintle").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Shut out")).click();
    assertThat(page.getByText("alone owns the private library 'Pintle trials'")).isVisible();
    Journey.button(page, "What to do with Merle Pintle").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Sign out everywhere"))
        .click();
    assertThat(page.getByText("Merle Pintle was signed out of 1 browser")).isVisible();
    other.navigate("/libraries");
    assertThat(Journey.button(other, "Sign in")).isVisible();
    other.context().close();
  }

  @Test
  void aKeyIsMadeShownOnceAndRemoved() {
    page.navigate("/account");
    field("Name of a new key").fill("nightly");
    page.getByLabel("change libraries and tools").click();
    Journey.button(page, "Make a key").click();
    assertThat(field("Key nightly")).isVisible();
    assertThat(page.getByText("look, change libraries and tools")).isVisible();
    assertAccessible();
    page.reload();
    assertThat(field("Key nightly")).hasCount(0);
    Journey.button(page, "Remove nightly").click();
    assertThat(page.getByText("You have no key")).isVisible();
    field("Old password").fill("wrong one");
    field("New password").fill(PASSWORD);
    field("The new one again").fill(PASSWORD);
    Journey.button(page, "Change the password").click();
    assertThat(page.getByText("The old password is another one")).isVisible();
  }
}
