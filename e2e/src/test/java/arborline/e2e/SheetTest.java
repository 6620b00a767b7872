package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SheetTest extends BrowserTest {

  @Test
  void rulesAnswerAndAVersionIsSavedAndTakenBack() {
    Stock stock = Stock.of(journey, "SV");
    page.navigate(stock.path());
    field("Search").fill("SV-FE10");
    Journey.link(page, "SV-FE10").first().click();
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
  void aPictureIsAttachedAndItsRemovalIsUndone(@TempDir Path folder) throws IOException {
    Stock stock = Stock.of(journey, "SP");
    page.navigate(stock.path());
    field("Search").fill("SP-FE10");
    Journey.link(page, "SP-FE10").first().click();
    Path picture = folder.resolve("front view.png");
    Files.write(picture, page.screenshot());
    field("Files to attach").setInputFiles(picture);
    Locator attachments = page.getByLabel("Attachments");
    assertThat(attachments.getByAltText("front view.png")).isVisible();
    field("Files to attach").setInputFiles(picture);
    assertThat(page.getByText("has an attachment front view.png already")).isVisible();
    Journey.button(page, "Remove front view.png").click();
    assertThat(attachments.getByAltText("front view.png")).not().isVisible();
    Journey.button(page, "Undo").click();
    assertThat(attachments.getByAltText("front view.png")).isVisible();
  }

  @Test
  void aToolIsMadeByItsClass() {
    Stock stock = Stock.of(journey, "SN");
    page.navigate(stock.path() + "/new");
    Journey.button(page, "Flat end mill").click();
    field("Code").fill("NEW 1");
    field("Cutting diameter").fill("7");
    assertThat(page.getByLabel("Findings")).containsText("has spaces in it");
    field("Code").fill("SN-NEW-1");
    field("Name").fill("Flat end mill 7");
    field("Largest depth of cut").fill("16");
    field("Shank diameter").fill("8");
    field("Overall length").fill("63");
    assertThat(page.getByLabel("Findings")).containsText("nothing to object");
    assertAccessible();
    Journey.button(page, "Create").click();
    assertThat(Journey.heading(page, "SN-NEW-1")).isVisible();
  }

  @Test
  void aTurningToolFollowsFromItsDesignations() {
    Stock stock = Stock.of(journey, "ST");
    page.navigate(stock.path() + "/new");
    page.getByPlaceholder(Pattern.compile("such as ball")).fill("external");
    assertThat(page.getByRole(AriaRole.REGION).getByRole(AriaRole.BUTTON).first()).isVisible();
    page.keyboard().press("Enter");
    field("Code").fill("ST-TE-1");
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
    assertThat(Journey.heading(page, "ST-TE-1")).isVisible();
  }

  @Test
  void aToolIsHeldComputedAndProven() {
    Stock stock = Stock.of(journey, "SH");
    page.navigate(stock.path());
    field("Search").fill("SH-FE10");
    Journey.link(page, "SH-FE10").first().click();
    Journey.link(page, "Stack").click();
    steps.takePart("BH-J40-SF10");
    assertThat(page.getByLabel("Results")).containsText("Gauge length");
    field("Overhang").fill("71");
    field("Overhang").press("Enter");
    assertThat(page.getByText(Pattern.compile("Only 1.0 mm of the shank are held"))).isVisible();
    assertThat(Journey.button(page, "Save")).isDisabled();
    field("Overhang").fill("40");
    field("Overhang").press("Enter");
    field("Height above the tip").fill("41");
    field("Distance from the axis").fill("12.5");
    assertThat(page.getByText(Pattern.compile("41.* of overhang clear|Clears"))).isVisible();
    assertAccessible();
    Journey.button(page, "Save").click();
    assertThat(page.getByText("Saved the stack")).isVisible();
    Journey.link(page, "SH-FE10").click();
    Journey.link(page, "Cutting data").click();
    assertThat(page.getByLabel("Results")).containsText("Rotation n");
    field("Width ae").fill("999");
    assertThat(page.getByText("Ae cannot exceed D")).isVisible();
    field("Width ae").fill("2");
    assertAccessible();
    Journey.button(page, "Save").click();
    Journey.button(page, "Proven …").focus();
    page.keyboard().press("p");
    assertThat(Journey.button(page, "Proven")).isFocused();
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("Lines")).containsText("proven on");
  }
}
