package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/** The first journey of a lead, stop by stop; each stop leaves what the next one begins with. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class JourneyTest {

  @TempDir Path folder;
  private final Journey journey = Journey.start();
  private Page page;
  private Steps steps;

  @BeforeEach
  void signIn() {
    page = journey.as("lead");
    steps = new Steps(page);
  }

  @AfterEach
  void leave() {
    page.context().close();
  }

  /** No view has a serious accessibility fault. */
  private void assertAccessible() {
    List<String> serious =
        new AxeBuilder(page)
            .analyze().getViolations().stream()
                .filter(each -> List.of("serious", "critical").contains(each.getImpact()))
                .map(each -> each.getId() + ": " + each.getNodes().getFirst().getTarget())
                .toList();
    assertEquals(List.of(), serious, page.url());
  }

  private Locator field(String name) {
    return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
  }

  @Test
  @Order(1)
  void todaySaysWhatToDoFirstAndShowsTheMachine() {
    assertThat(page.getByText("Nothing was received yet")).isVisible();
    assertThat(Journey.link(page, "M1 Heron")).isVisible();
    assertThat(page.locator("[id^=pocket-M1-]")).hasCount(40);
    assertAccessible();
  }

  @Test
  @Order(1)
  void wrongPasswordIsSaidAtTheForm() {
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
  @Order(2)
  void deliveryIsPutRightAndTaken() {
    steps.receive(Journey.STARTER);
    assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Lines")))
        .containsText("58 read");
    assertAccessible();
    Locator held = field("APMX of line 4");
    held.fill("still wrong");
    held.press("Enter");
    assertThat(page.getByText("'still wrong': not a number").first()).isVisible();
    field("APMX of line 4").fill("13");
    field("APMX of line 4").press("Enter");
    assertThat(field("APMX of line 4")).hasCount(0);
    steps.repairAll();
    assertThat(page.getByText("read DC as inches")).hasCount(0);
    steps.takeAll();
    assertThat(page.getByLabel("Taking")).not().containsText("will enter");
  }

  @Test
  @Order(2)
  void aFileThatIsNoTableIsRefusedInWords() throws Exception {
    Path broken = folder.resolve("broken.json");
    Files.writeString(broken, "{\"tools\": 1}");
    page.navigate("/receiving");
    page.getByLabel("File to bring in").setInputFiles(broken);
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 1");
    Journey.button(page, "Put this delivery away").click();
    assertThat(page).hasURL(Pattern.compile("/receiving$"));
    assertThat(page.getByText("broken.json")).hasCount(0);
  }

  @Test
  @Order(2)
  void rowsOfASpreadsheetArePastedInAndPutRightByPasting() {
    page.navigate("/receiving");
    assertThat(Journey.button(page, "Bring a file in")).isVisible();
    paste(
        "body",
        "CODE\tCLASS\tDC [mm]\tAPMX [mm]\tDMM [mm]\tOAL [mm]\tNOF\n"
            + "PA-1\tflat end mill\t10\tlong\t10\t72\t4\n"
            + "PA-2\tflat end mill\t12\tlonger\t12\t83\t4\n");
    page.waitForURL("**/receiving/*");
    assertThat(field("APMX of line 2")).hasValue("long");
    paste("[aria-label='APMX of line 2']", "20\n26");
    assertThat(page.getByText("2 lines without objection")).isVisible();
    Journey.button(page, "Put this delivery away").click();
    assertThat(page).hasURL(Pattern.compile("/receiving$"));
  }

  private void paste(String where, String text) {
    page.locator(where)
        .first()
        .evaluate(
            """
            (element, text) => {
              const clipboardData = new DataTransfer();
              clipboardData.setData('text/plain', text);
              const paste = { clipboardData, bubbles: true, cancelable: true };
              element.dispatchEvent(new ClipboardEvent('paste', paste));
            }\
            """,
            text);
  }

  @Test
  @Order(3)
  void libraryIsFilteredSortedAndHung() {
    page.navigate("/libraries/1");
    assertThat(page.getByRole(AriaRole.ROW).nth(5)).isVisible();
    assertAccessible();
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^ball end mill")))
        .click();
    assertThat(page.getByText(Pattern.compile("^7 of \\d+ tools"))).isVisible();
    Journey.button(page, "Show all").click();
    field("Search").fill("dia 6..8 flutes 2");
    assertThat(page.getByText(Pattern.compile("^\\d of \\d+ tools"))).isVisible();
    field("Search").fill("no such tool");
    assertThat(page.getByText("No tool is like that.")).isVisible();
    field("Search").fill("");
    Journey.button(page, "Ø").click();
    assertThat(page.getByRole(AriaRole.ROW).nth(1)).containsText("MC-BE02");
    steps.hang("MC-FE10", "MC-FE12");
    assertThat(
            page.getByRole(
                AriaRole.IMG, new Page.GetByRoleOptions().setName("MC-FE10, MC-FE12 to scale")))
        .isVisible();
  }

  @Test
  @Order(4)
  void sheetAnswersSavesAndTakesBack() {
    page.navigate("/libraries/1");
    field("Search").fill("MC-FE10");
    Journey.link(page, "MC-FE10").first().click();
    assertAccessible();
    field("Usable length").fill("10");
    assertThat(page.getByLabel("Findings")).containsText("is more than usable length");
    assertThat(Journey.button(page, "Save")).isDisabled();
    field("Usable length").fill("1 1/2\"");
    assertThat(page.getByLabel("Findings")).containsText("nothing to object");
    field("Usable length").blur();
    page.keyboard().press("Control+s");
    assertThat(page.getByText("version 2", new Page.GetByTextOptions().setExact(true))).isVisible();
    assertThat(field("Usable length")).hasValue("38.1");
    Journey.button(page, "Undo").click();
    assertThat(page.getByText("version 3", new Page.GetByTextOptions().setExact(true))).isVisible();
    assertThat(field("Usable length")).hasValue("32");
  }

  @Test
  @Order(4)
  void toolIsMadeByClassCopiedAndTakenOut() {
    page.navigate("/libraries/1/new");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Flat end mill")).click();
    field("Code").fill("NEW 1");
    field("Cutting diameter").fill("7");
    assertThat(page.getByLabel("Findings")).containsText("has spaces in it");
    field("Code").fill("NEW-1");
    field("Name").fill("Flat end mill 7");
    field("Largest depth of cut").fill("16");
    field("Shank diameter").fill("8");
    field("Overall length").fill("63");
    assertThat(page.getByLabel("Findings")).containsText("nothing to object");
    assertAccessible();
    Journey.button(page, "Create").click();
    assertThat(Journey.heading(page, "NEW-1")).isVisible();
    page.navigate("/libraries/1");
    steps.hang("NEW-1");
    Journey.button(page, "Copy").click();
    assertThat(page.getByText("Copied NEW-1")).isVisible();
    Journey.button(page, "Take out").click();
    assertThat(page.getByText("Took NEW-1 out")).isVisible();
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("Took NEW-1 out"))
        .getByRole(AriaRole.BUTTON)
        .click();
    assertThat(page.getByText("Taken back")).isVisible();
  }

  @Test
  @Order(5)
  void exportComesBackUnchanged() {
    for (String format : List.of("CSV table", "JSON")) {
      page.navigate("/libraries/1");
      Journey.button(page, "Export").click();
      page.getByLabel("Format").click();
      page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(format)).click();
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText("carr");
      Download download = page.waitForDownload(() -> Journey.link(page, "Write the file").click());
      Path file = folder.resolve(download.suggestedFilename());
      download.saveAs(file);
      page.navigate("/receiving");
      page.getByLabel("File to bring in").setInputFiles(file);
      assertThat(page.getByLabel("Taking")).containsText("nothing changed");
    }
  }

  @Test
  @Order(6)
  void pocketsAreFilledByKeyboardAndByDragging() {
    steps.load("MC-FE06", 1, "98.2");
    page.getByLabel("Measured length").fill("long");
    Journey.button(page, "Keep measures").click();
    assertThat(page.getByText("'long': not a number")).isVisible();
    page.getByLabel("Search tools").fill("MC-FE12");
    Locator tool =
        page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^MC-FE12 ")));
    tool.focus();
    page.keyboard().press("Enter");
    assertThat(page.getByText("MC-FE12 is picked up")).isVisible();
    steps.pocket(2).focus();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Enter");
    assertThat(steps.pocket(3)).hasAccessibleName(Pattern.compile("MC-FE12"));
    page.getByLabel("Search tools").fill("MC-FE16");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^MC-FE16 ")))
        .dragTo(steps.pocket(24));
    assertThat(steps.pocket(24)).hasAccessibleName(Pattern.compile("MC-FE16"));
    page.getByLabel("Measured length").fill("138.02");
    Journey.button(page, "Keep measures").click();
    assertThat(page.getByText("Kept the measures of pocket 24")).isVisible();
    assertAccessible();
  }

  @Test
  @Order(7)
  void changedControlStopsTheWriting() {
    page.navigate("/tables/M1");
    assertThat(page.getByLabel("What to do with pocket 24")).containsText("send the plan");
    assertAccessible();
    Journey.button(page, "Show what will be written").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("G10 L10 P8 R138.02");
    journey.shop.operatorSetsLength(49, "182.5");
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("length was 182.300, now 182.500");
    Journey.button(page, "Read and compare again").click();
    assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
  }

  @Test
  @Order(8)
  void cutConnectionIsFinishedByRunningAgainAndEndsInStep() {
    page.navigate("/tables/M1");
    Journey.button(page, "Show what will be written").click();
    journey.shop.behave("{\"cutAfterRows\":1}");
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Interrupted:")).isVisible();
    assertThat(page.getByText(Pattern.compile("Not written: pocket .*24"))).isVisible();
    Journey.button(page, "Read again").click();
    Journey.button(page, "Show what will be written").click();
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Written, read back and equal")).isVisible();
    assertThat(page.getByLabel("What to do with pocket 24")).hasCount(0);
    page.getByText("all places").click();
    assertThat(
            page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*24"))))
        .containsText("in step");
  }

  @Test
  @Order(8)
  void silentControlIsSaid() {
    journey.shop.behave("{\"offline\":true}");
    page.navigate("/tables/M1");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("cannot be read");
    journey.shop.behave("{}");
    Journey.button(page, "Try again").click();
    assertThat(page.getByText("control read")).isVisible();
  }

  @Test
  @Order(9)
  void trailSaysWhoDidWhatAndTakesBack() {
    page.navigate("/trail");
    assertThat(page.getByText(Pattern.compile("Took \\d+ tools of marram-starter.csv")))
        .isVisible();
    assertAccessible();
    Locator planned =
        page.getByRole(AriaRole.ROW)
            .filter(
                new Locator.FilterOptions()
                    .setHasText(Pattern.compile("lead\\s*Planned MC-FE12 for pocket 3")));
    planned.getByRole(AriaRole.BUTTON).click();
    assertThat(planned).containsText("taken back");
  }

  @Test
  @Order(9)
  void turningToolFollowsFromItsDesignations() {
    page.navigate("/libraries/1/new");
    page.getByPlaceholder(Pattern.compile("such as ball")).fill("external");
    assertThat(page.getByRole(AriaRole.REGION).getByRole(AriaRole.BUTTON).first()).isVisible();
    page.keyboard().press("Enter");
    field("Code").fill("TE-1");
    field("Holder designation").fill("PSJNR 2525 M 12");
    assertThat(page.getByLabel("Findings")).containsText("trailing edge would rub");
    field("Holder designation").fill("PCLNR 2525 M 12");
    assertThat(field("Functional length")).hasValue("150");
    assertThat(field("Cutting edge angle")).hasValue("95");
    field("Master insert").fill("CNMG 130408");
    assertThat(page.getByLabel("Findings")).containsText("size code 13 does not exist");
    field("Master insert").fill("CNMG 120408");
    field("Name").click();
    assertThat(page.getByLabel("Findings")).not().containsText("does not exist");
    assertAccessible();
    Journey.button(page, "Create").click();
    assertThat(Journey.heading(page, "TE-1")).isVisible();
  }

  @Test
  @Order(9)
  void toolIsHeldComputedAndProven() {
    page.navigate("/libraries/1");
    field("Search").fill("MC-FE10");
    Journey.link(page, "MC-FE10").first().click();
    Journey.link(page, "Stack").click();
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("BH-J40-SF10")))
        .click();
    assertThat(page.getByLabel("What follows")).containsText("Gauge length");
    field("Projection").fill("71");
    field("Projection").press("Enter");
    assertThat(page.getByText(Pattern.compile("Only 1.0 mm of the shank are held"))).isVisible();
    assertThat(Journey.button(page, "Keep")).isDisabled();
    field("Projection").fill("40");
    field("Projection").press("Enter");
    field("Height above the tip").fill("41");
    field("Distance from the axis").fill("12.5");
    assertThat(page.getByText(Pattern.compile("41.* of projection clear|Clears"))).isVisible();
    assertAccessible();
    Journey.button(page, "Keep").click();
    assertThat(page.getByText("Kept the stack")).isVisible();
    Journey.link(page, "MC-FE10").click();
    Journey.link(page, "Cutting data").click();
    assertThat(page.getByLabel("What follows")).containsText("Rotation n");
    field("Width ae").fill("999");
    assertThat(page.getByText("Ae cannot exceed D")).isVisible();
    field("Width ae").fill("2");
    assertAccessible();
    Journey.button(page, "Keep").click();
    Journey.button(page, "Proven …").focus();
    page.keyboard().press("p");
    assertThat(Journey.button(page, "Proven")).isFocused();
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("Lines")).containsText("proven on");
  }

  @Test
  @Order(9)
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

  @Test
  @Order(10)
  void killedServerLeavesNothingHalfReadAndGoesOn() throws Exception {
    StringBuilder table =
        new StringBuilder("CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n");
    for (int i = 1; i <= 60_000; i++) {
      table.append("KILL-%d,Mill %d,end-mill-flat,8,20,8,63,4\n".formatted(i, i));
    }
    Path file = folder.resolve("large.csv");
    Files.writeString(file, table);
    page.navigate("/receiving");
    page.getByLabel("File to bring in").setInputFiles(file);
    page.waitForURL("**/receiving/*");
    assertThat(page.getByText("Reading:")).isVisible();
    journey.line.killAndRestart();
    page.reload();
    assertThat(page.getByLabel("Taking"))
        .containsText(
            "60,000 tools will enter",
            new LocatorAssertions.ContainsTextOptions().setTimeout(120_000));
    assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Lines")))
        .containsText("60,000 read");
    assertTrue(page.url().contains("/receiving/"));
  }
}
