package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
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
  void aChangeIsProposedTakenAndPublished() {
    Stock stock = Stock.of(journey, "SP");
    page.navigate(stock.path() + "/editions");
    field("Why this edition is made").fill("before the cleats");
    Journey.button(page, "Publish an edition").click();
    assertThat(page.getByText("Both hold the same")).isVisible();
    Journey.button(page, "Publish an edition").click();
    assertThat(page.getByText("changed since edition 1")).isVisible();
    page.navigate(stock.path() + "/rights");
    steps.choose("Every programmer may", "propose changes");
    Journey.button(page, "Save").click();
    page.waitForURL("**" + stock.path());

    Page other = journey.as("programmer");
    other.navigate(stock.path() + "?q=" + stock.code("FE10"));
    other
        .getByRole(AriaRole.LINK)
        .filter(new Locator.FilterOptions().setHasText(stock.code("FE10")))
        .first()
        .click();
    assertThat(other.getByText("Change it here and propose that.")).isVisible();
    Locator length =
        other.getByLabel("Overall length", new Page.GetByLabelOptions().setExact(true));
    length.fill("200");
    length.press("Tab");
    Journey.button(other, "Propose").click();
    Locator dialog = other.getByRole(AriaRole.DIALOG);
    dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Propose")).click();
    assertThat(dialog).isVisible();
    dialog.getByLabel("Why").fill("reaches into the cleats");
    dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Propose")).click();
    assertThat(other.getByText("Proposed; you see the answer on Today")).isVisible();

    page.navigate("/");
    Locator waiting = page.getByText("change of %s proposed by programmer".formatted(stock.name()));
    assertThat(waiting).isVisible();
    page.navigate("/proposals");
    Journey.link(page, "reaches into the cleats").click();
    assertThat(page.getByText("200 mm")).isVisible();
    assertAccessible();
    field("Words for programmer").fill("measured one, right");
    Journey.button(page, "Take all").click();
    assertThat(page.getByText("Took 1 of 1 change")).isVisible();
    other.navigate("/");
    Journey.link(other, "Read the answer").first().click();
    assertThat(other.getByText("measured one, right")).isVisible();
    other.context().close();

    page.navigate(stock.path() + "/editions");
    assertThat(page.getByText("1 tool changed")).isVisible();
    page.getByText(stock.code("FE10")).first().click();
    assertThat(page.getByText("Overall length")).isVisible();
    assertAccessible();
    Journey.button(page, "Back to edition 1").click();
    assertThat(page.getByText("Both hold the same")).isVisible();
  }

  @Test
  void whatBelongsTogetherIsCollectedAndProposedAtOnce() {
    Stock stock = Stock.of(journey, "SC");
    page.navigate(stock.path() + "/rights");
    steps.choose("Every programmer may", "propose changes");
    Journey.button(page, "Save").click();
    page.waitForURL("**" + stock.path());
    Page other = journey.as("programmer");
    other.navigate("/tools/" + stock.tool("FE12"));
    Journey.button(other, "Propose to retire").click();
    Locator dialog = other.getByRole(AriaRole.DIALOG);
    button(dialog, "Collect").click();
    assertThat(other.getByText("1 change of %s collected".formatted(stock.name()))).isVisible();
    other.navigate("/tools/" + stock.tool("FE10"));
    Locator length =
        other.getByLabel("Overall length", new Page.GetByLabelOptions().setExact(true));
    length.fill("200");
    length.press("Tab");
    Journey.button(other, "Propose").click();
    assertThat(dialog).containsText("collected and not proposed yet");
    button(dialog, "Put with these").click();
    assertThat(other.getByText("2 changes of %s collected".formatted(stock.name()))).isVisible();
    other.navigate("/");
    Journey.link(other, "Propose").first().click();
    assertThat(other.getByText("200 mm")).isVisible();
    Journey.link(other, "Change %s again".formatted(stock.code("FE10"))).click();
    assertThat(length).hasValue("200");
    length.fill("201");
    length.press("Tab");
    Journey.button(other, "Propose").click();
    button(dialog, "Put with these").click();
    other.navigate("/proposals");
    Journey.link(other, "not said yet").click();
    assertThat(other.getByText("201 mm")).isVisible();
    Journey.button(other, "Propose 2 changes").click();
    assertThat(Journey.button(other, "Propose 2 changes")).isVisible();
    other
        .getByLabel("Why", new Page.GetByLabelOptions().setExact(true))
        .fill("the cleats are deeper now");
    Journey.button(other, "Propose 2 changes").click();
    assertThat(other.getByText("not answered yet")).isVisible();
    other.context().close();
    page.navigate("/proposals");
    Journey.link(page, "the cleats are deeper now").click();
    Journey.button(page, "Take all").click();
    assertThat(page.getByText("Took 2 of 2 changes")).isVisible();
  }

  private static Locator button(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
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

  @Test
  void aDerivedLibraryTakesInWhatBecameOfItsBase() {
    Stock stock = Stock.of(journey, "SD");
    stock.script().post(stock.path() + "/editions", "{\"words\":\"first\"}");
    page.navigate("/libraries");
    Journey.button(page, "What to do with " + stock.name()).click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Derive a library"))
        .click();
    field("Name").fill("Plover mills");
    field("Codes end in").fill("-");
    Journey.button(page, "Derive").click();
    assertThat(page.getByText("begins or ends with a dash")).isVisible();
    field("Codes end in").fill("-V");
    Journey.button(page, "Derive").click();
    assertThat(Journey.heading(page, "Plover mills")).isVisible();
    String derived = page.url();
    lengthen(page, derived, stock.code("FE10") + "-V", "210");

    Page other = journey.as("programmer");
    lengthen(other, stock.path(), stock.code("FE10"), "205");
    lengthen(other, stock.path(), stock.code("FE12"), "215");
    other.navigate(stock.path() + "/editions");
    other.getByLabel("Why this edition is made").fill("longer mills");
    Journey.button(other, "Publish an edition").click();
    assertThat(other.getByText("Published edition 2")).isVisible();
    other.context().close();

    page.navigate("/");
    page.getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText("for Plover mills"))
        .getByRole(AriaRole.LINK)
        .first()
        .click();
    assertThat(page.getByText("longer mills")).isVisible();
    assertThat(Journey.button(page, "Take edition 2 in")).isDisabled();
    assertAccessible();
    page.getByRole(AriaRole.RADIO).filter(new Locator.FilterOptions().setHasText("210 mm")).click();
    Journey.button(page, "Take edition 2 in").click();
    assertThat(page.getByText("1 changed, 0 went")).isVisible();
    assertThat(page.getByText("edition 2 is the newest")).isVisible();
    page.navigate(derived + "?q=" + stock.code("FE1"));
    assertThat(
            page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(stock.code("FE10"))))
        .containsText("OAL");
  }

  private static void lengthen(Page where, String library, String code, String length) {
    where.navigate(library + "?q=" + code);
    where
        .getByRole(AriaRole.LINK)
        .filter(new Locator.FilterOptions().setHasText(code))
        .first()
        .click();
    Locator field = where.getByLabel("Overall length", new Page.GetByLabelOptions().setExact(true));
    field.fill(length);
    field.press("Tab");
    Journey.button(where, "Save").click();
    assertThat(where.getByText("Saved as version")).isVisible();
  }

  @Test
  void anOutletIsOpenedAndFedAndRulesAreDecided() {
    Stock stock = Stock.of(journey, "SO");
    stock.script().post(stock.path() + "/editions", "{\"words\":\"first\"}");
    page.navigate("/outlets?library=" + stock.library());
    field("Folder").fill("../up");
    Journey.button(page, "Open").click();
    assertThat(page.getByText("A folder is named by up to 60 letters")).isVisible();
    field("Folder").fill("Cell SO");
    Journey.button(page, "Open").click();
    Locator row =
        page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("stock-so.csv"));
    assertThat(row).containsText("up to date");
    assertThat(row).containsText("read back equal");
    steps.choose("Where", "behind an address with a key");
    Journey.button(page, "Open").click();
    assertThat(page.getByLabel("Address of stock-so.csv")).isVisible();
    assertAccessible();

    page.navigate("/rules");
    assertAccessible();
    steps.choose("Tools are retired by", "the lead alone");
    assertThat(page.getByText("Decided")).isVisible();
    Page other = journey.as("programmer");
    other.navigate("/tools/" + stock.tool("FE10"));
    Journey.button(other, "How far it is trusted").click();
    other.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Retired")).click();
    assertThat(other.getByText("In this shop tools are retired only by the lead")).isVisible();
    other.context().close();
    steps.choose("Tools are retired by", "the lead and programmers");
    assertThat(page.getByLabel("Tools are retired by")).containsText("programmers");
  }

  @Test
  void aToolThatIsNotReleasedIsOnlyPlannedWhereTheLeadAllowsIt() {
    Stock stock = Stock.of(journey, "SL");
    stock.clearPlan();
    page.navigate("/machines/M1");
    steps.choose("Library", stock.name());
    assertThat(page.getByText("only released tools are planned")).isVisible();
    page.getByText("Also tools that are not released").click();
    page.getByLabel("Search tools").fill(stock.code("FE10"));
    page.getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText(stock.code("FE10")))
        .click();
    steps.pocket(14).click();
    Journey.button(page, "Leave it out").click();
    assertThat(steps.pocket(14)).not().containsText(stock.code("FE10"));
    steps.pocket(14).click();
    Journey.button(page, "Allow it for pocket 14").click();
    assertThat(steps.pocket(14))
        .hasAccessibleName(Pattern.compile("Pocket 14: " + stock.code("FE10") + ".*"));
    page.navigate("/trail");
    assertThat(page.getByText("which is checked, and allowed it").first()).isVisible();
    stock.clearPlan();
  }

  @Test
  void whoseRightIsWithdrawnWhileHeTypesIsToldAndKeepsHisText() {
    Stock stock = Stock.of(journey, "SW");
    Page other = journey.as("programmer");
    other.navigate("/tools/" + stock.tool("FE10"));
    Locator length =
        other.getByLabel("Overall length", new Page.GetByLabelOptions().setExact(true));
    length.fill("201");
    length.press("Tab");
    assertThat(Journey.button(other, "Save")).isEnabled();
    page.navigate(stock.path() + "/rights");
    steps.choose("Every programmer may", "use it");
    Journey.button(page, "Save").click();
    page.waitForURL("**" + stock.path());
    assertThat(other.getByText("which you may not change; the lead may")).isVisible();
    assertThat(Journey.button(other, "Save")).hasCount(0);
    assertThat(length).hasValue("201");
    page.navigate(stock.path() + "/rights");
    steps.choose("Every programmer may", "change what is in it");
    Journey.button(page, "Save").click();
    page.waitForURL("**" + stock.path());
    assertThat(Journey.button(other, "Save")).isEnabled();
    Journey.button(other, "Save").click();
    assertThat(other.getByText("Saved as version 2")).isVisible();
    other.context().close();
  }

  @Test
  void aLeadAndTwoProgrammersAnswerOneProposal() {
    Stock stock = Stock.of(journey, "SQ");
    Page second = invited("Tarn Gudgeon");
    long account = 0;
    for (JsonElement one : stock.script().get("/accounts").getAsJsonArray("items")) {
      JsonObject known = one.getAsJsonObject();
      if (known.get("name").getAsString().equals("Tarn Gudgeon")) {
        account = known.get("id").getAsLong();
      }
    }
    String stamp = stock.script().get(stock.path() + "/rights").get("stamp").getAsString();
    stock
        .script()
        .put(
            stock.path() + "/rights",
            """
            {"sharing":"SHOP","people":[{"account":%d,"right":"MAINTAIN"}],
              "roles":[{"role":"PROGRAMMER","right":"PROPOSE"}],"stamp":"%s"}\
            """
                .formatted(account, stamp));

    Page first = journey.as("programmer");
    first.navigate("/tools/" + stock.tool("FE12"));
    Journey.button(first, "Propose to retire").click();
    Locator dialog = first.getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Why").fill("nobody has one left");
    dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Propose")).click();
    assertThat(first.getByText("Proposed; you see the answer on Today")).isVisible();

    for (Page one : List.of(page, second)) {
      one.navigate("/proposals");
      Journey.link(one, "nobody has one left").click();
      assertThat(one.getByText("to be retired")).isVisible();
    }
    second.getByLabel("Words for programmer").fill("there is one in the crib");
    Journey.button(second, "Decline all").click();
    assertThat(second.getByText("Declined", new Page.GetByTextOptions().setExact(true)))
        .isVisible();
    assertThat(page.getByText("declined by Tarn Gudgeon")).isVisible();
    assertThat(Journey.button(page, "Take all")).hasCount(0);
    first.navigate("/libraries");
    assertThat(
            first
                .getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(stock.name())))
        .containsText("1 answer to yours");
    first.navigate("/");
    Journey.link(first, "Read the answer").first().click();
    assertThat(first.getByText("there is one in the crib")).isVisible();
    first.context().close();
    second.context().close();
  }
}
