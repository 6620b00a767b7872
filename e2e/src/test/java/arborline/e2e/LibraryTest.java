package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LibraryTest extends BrowserTest {

  @TempDir Path folder;

  @Test
  void toolsAreFoundSortedAndHungOnTheStrip() {
    Stock stock = Stock.of(journey, "LF");
    page.navigate(stock.path());
    assertThat(page.getByRole(AriaRole.ROW).nth(5)).isVisible();
    assertAccessible();
    buttonFrom("ball end mill").click();
    assertThat(page.getByText(Pattern.compile("^\\d of \\d+ tools"))).isVisible();
    Journey.button(page, "Show all").click();
    field("Search").fill("dia 6..8 flutes 2");
    assertThat(page.getByText(Pattern.compile("^\\d of \\d+ tools"))).isVisible();
    field("Search").fill("no such tool");
    assertThat(page.getByText("No tool is like that.")).isVisible();
    field("Search").fill("");
    Journey.button(page, "Ø").click();
    assertThat(page.getByRole(AriaRole.ROW).nth(1)).containsText("LF-BE02");
    steps.hang("LF-FE10", "LF-FE12");
    assertThat(
            page.getByRole(
                AriaRole.IMG, new Page.GetByRoleOptions().setName("LF-FE10, LF-FE12 to scale")))
        .isVisible();
  }

  @Test
  void whoeverComesBackToAListFindsItAsItWas() {
    Stock stock = Stock.of(journey, "LB");
    page.navigate(stock.path());
    buttonFrom("ball end mill").click();
    field("Search").fill("dia 6..10");
    assertThat(page).hasURL(Pattern.compile("\\?q=dia\\+6\\.\\.10&class=end-mill-ball$"));
    assertNarrowed();
    page.getByText(Pattern.compile("^LB-BE")).first().dblclick();
    page.waitForURL("**/tools/*");
    page.goBack();
    assertNarrowed();
    page.reload();
    assertNarrowed();
    page.navigate(stock.path() + "?q=&class=no-such-class&dia.min=x&sort=colour");
    assertThat(page.getByText("No tool is like that.")).isVisible();
    Journey.button(page, "Show all").first().click();
    assertThat(page.getByRole(AriaRole.ROW).nth(5)).isVisible();
  }

  private void assertNarrowed() {
    assertThat(field("Search")).hasValue("dia 6..10");
    assertThat(page.getByText(Pattern.compile("^LB-BE")).first()).isVisible();
    assertThat(page.getByText("LB-BE02")).hasCount(0);
    assertThat(page.getByText(Pattern.compile("^LB-FE"))).hasCount(0);
  }

  @ParameterizedTest
  @ValueSource(strings = {"CSV table", "JSON", "XLSX workbook", "Plain text"})
  void whatWasWrittenComesBackUnchanged(String format) {
    Stock stock = Stock.of(journey, "LE");
    page.navigate(stock.path());
    Journey.button(page, "Export").click();
    steps.choose("Format", format);
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("carr");
    Download download = page.waitForDownload(() -> Journey.button(page, "Write the file").click());
    Path file = folder.resolve(download.suggestedFilename());
    download.saveAs(file);
    page.navigate("/receiving");
    page.getByLabel("Files to add").setInputFiles(file);
    assertThat(page.getByLabel("Taking")).containsText("Nothing to take");
  }

  @Test
  void aToolIsCopiedTakenOutAndTakenBack() {
    Stock stock = Stock.of(journey, "LC");
    page.navigate(stock.path());
    steps.hang("LC-FE10");
    Journey.button(page, "Copy").click();
    assertThat(page.getByText("Copied LC-FE10")).isVisible();
    Journey.button(page, "Remove").click();
    assertThat(page.getByText("Removed LC-FE10")).isVisible();
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("Removed LC-FE10"))
        .getByRole(AriaRole.BUTTON)
        .click();
    assertThat(page.getByText("Taken back")).isVisible();
  }
}
