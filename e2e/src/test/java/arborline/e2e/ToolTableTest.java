package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class ToolTableTest extends BrowserTest {

  private Stock stock;

  @BeforeEach
  void emptyPlan() {
    forget();
    stock = Stock.of(journey, "TT").released();
    stock.clearPlan();
  }

  private void forget() {
    journey.shop.forget();
    journey.shop.send("m2", "POST", "/forget", "");
    journey.shop.send("x1", "POST", "/forget", "");
    journey.shop.send("l1", "POST", "/forget", "");
  }

  @AfterEach
  void behaveAgain() {
    forget();
  }

  @Test
  void aControlThatChangedMeanwhileStopsTheWriting() {
    stock.plan("FE16", 24, "138.02", "15.99");
    page.navigate("/tables/M1");
    page.getByLabel("Find a pocket").fill("24");
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
  void aCutConnectionIsFinishedByRunningAgain() {
    stock.plan("FE12", 33, "128.633", "11.985");
    stock.plan("FE16", 34, "138.02", "15.99");
    page.navigate("/tables/M1");
    Journey.button(page, "Show what will be written").click();
    journey.shop.behave("{\"cutAfterRows\":1}");
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Interrupted:")).isVisible();
    assertThat(page.getByText(Pattern.compile("Not written: pockets? .*34"))).isVisible();
    Journey.button(page, "Read again").click();
    Journey.button(page, "Show what will be written").click();
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Written, read back and equal")).isVisible();
    page.getByLabel("Find a pocket").fill("34");
    assertThat(page.getByText("No pocket here is like that.")).isVisible();
    page.getByText("all pockets").click();
    assertThat(
            page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*34"))))
        .containsText("in step");
  }

  @Test
  void aSilentControlIsSaid() {
    journey.shop.behave("{\"offline\":true}");
    page.navigate("/tables/M1");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("cannot be read");
    journey.shop.behave("{}");
    Journey.button(page, "Try again").click();
    assertThat(page.getByText("control read")).isVisible();
  }

  /** 120.5 mm are 4.7441 in, half of 12 mm are 0.2362 in. */
  @Test
  void aControlOfRegistersIsWrittenInItsOwnTermsAndProved() {
    stock.plan("M2", "FE12", 22, "120.5", "12");
    page.navigate("/tables/M2");
    page.getByLabel("Find a pocket").fill("22");
    assertThat(page.getByLabel("What to do with pocket 22")).containsText("send the plan");
    page.getByLabel("Find a pocket").fill("10");
    assertThat(page.getByLabel("What to do with pocket 10")).containsText("needs an answer");
    page.getByLabel("Find a pocket").fill("22");
    assertAccessible();
    Journey.button(page, "Show what will be written").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("TOOLDATA INCH  24");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText(" 22 H   4.7441 R   0.2362");
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Written, read back and equal: 1 pocket.")).isVisible();
    journey.shop.send("m2", "POST", "/operator", "{\"number\":22,\"radius\":0.4724}");
    Journey.button(page, "Read again").click();
    assertThat(page.getByText("0.4724 would be right as a diameter")).isVisible();
    assertThat(page.getByText("= 0.2362")).isVisible();
    steps.choose("What to do with pocket 22", "send the plan");
    Journey.button(page, "Show what will be written").click();
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Written, read back and equal: 1 pocket.")).isVisible();
    stock.unplan("M2", 22);
  }

  /** All eight in one answer; what was written is told where it is seen. */
  @Test
  void whatIsAskedOfManyStationsIsAnsweredOnce() {
    page.navigate("/tables/L1");
    page.getByText("all stations").click();
    Journey.button(page, "Decide for several").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("The control has forgotten that a tool is set");
    assertThat(dialog).containsText("8 stations: 1, 2, 3, 5, 7, 9, 11, 13");
    assertAccessible();
    steps.choose("What to do where the control has forgotten that a tool is set", "send the plan");
    Journey.button(page, "Done").click();
    assertThat(page.getByLabel("Settling")).containsText("8 stations will be settled");
    page.getByLabel("Find a station").fill("13");
    assertThat(page.getByLabel("What to do with station 13")).containsText("send the plan");
    Journey.button(page, "Show what will be written").click();
    Journey.button(page, "Write, read back, compare").click();
    assertThat(page.getByText("Written, read back and equal: 8 stations.")).isInViewport();
  }

  /** What the third number of a mill and that of a turning tool is. */
  @Test
  void everyToolIsShownWithWhatItsNumbersMean() {
    page.navigate("/tables/X1");
    Journey.link(page, "All tools").click();
    Locator tools =
        page.getByLabel("Tools of the control", new Page.GetByLabelOptions().setExact(true));
    Locator strip = page.getByLabel("The tool with the cursor");
    tools.getByText("MM-BL04", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(tools).containsText("Diameter, mm");
    assertThat(strip).containsText("from the gauge line to the lowest point of the tool");
    assertThat(strip).containsText("place 20");
    assertAccessible();
    tools.getByText("OT-FG4", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(tools).containsText("X ⌀, mm");
    assertThat(strip).containsText("of the corner that cuts; needed for radius compensation");
    page.getByLabel("Find a tool of the control").fill("ball 16");
    assertThat(page.getByText("1 of 11 tools")).isVisible();
    Journey.button(page, "Numbers").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("By number");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("55–56");
  }

  @Test
  void whatIsAlwaysDecidedSoBecomesARuleThatCanBeRevoked() {
    page.navigate("/tables/X1");
    steps.choose("What to do with place 9", "take it out of the plan");
    Journey.button(page, "Always at this machine").click();
    assertThat(page.getByText("a rule of this machine")).isVisible();
    Journey.button(page, "Rules").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("Whenever a planned tool is no longer at the control");
    assertThat(dialog).containsText("take it out of the plan");
    assertAccessible();
    dialog.getByText("Ask again").click();
    assertThat(dialog).containsText("None.");
    page.keyboard().press("Escape");
    assertThat(page.getByLabel("What to do with place 9")).containsText("needs an answer");
  }

  /** What the control knows of it is there when it is typed into a library. */
  @Test
  void aToolThatOnlyTheControlKnowsGoesIntoALibrary() {
    page.navigate("/tables/X1");
    page.getByLabel("Find a place").fill("stylus");
    Journey.button(page, "Put it into a library").click();
    steps.choose("Class", "Touch probe");
    Journey.button(page, "Go on").click();
    assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("New touch probe");
    assertThat(page.getByLabel("Code")).hasValue("KT-STYLUS6");
    assertThat(page.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)))
        .hasValue(Pattern.compile("At the control of X1: .*length"));
  }
}
