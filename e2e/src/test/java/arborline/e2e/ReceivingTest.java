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

class ReceivingTest extends BrowserTest {

  @TempDir Path folder;

  @Test
  void aDeliveryIsPutRightAndTaken() throws IOException {
    Path file = folder.resolve("receiving.csv");
    Files.writeString(file, Stock.starter("RC"));
    steps.receive(file);
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
    Journey.button(page, "Set RE to half of DC").click();
    assertThat(Journey.button(page, "Set RE to half of DC")).hasCount(0);
    Journey.button(page, "Undo").first().click();
    assertThat(Journey.button(page, "Set RE to half of DC")).isVisible();
    steps.repairAll();
    assertThat(page.getByText("read DC as inches")).hasCount(0);
    steps.takeAll("Shop milling");
    assertThat(page.getByLabel("Taking")).not().containsText("will enter");
  }

  @Test
  void aFileThatIsNoTableIsRefusedInWords() throws IOException {
    Path broken = folder.resolve("broken.json");
    Files.writeString(broken, "{\"tools\": 1}");
    page.navigate("/receiving");
    page.getByLabel("Files to add").setInputFiles(broken);
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 1");
    Journey.button(page, "Delete this delivery").click();
    assertThat(page).hasURL(Pattern.compile("/receiving$"));
    assertThat(page.getByText("broken.json")).hasCount(0);
  }

  @Test
  void rowsOfASpreadsheetArePastedInAndPutRightByPasting() {
    page.navigate("/receiving");
    assertThat(Journey.button(page, "Add files")).isVisible();
    paste(
        "body",
        "CODE\tCLASS\tDC [mm]\tAPMX [mm]\tDMM [mm]\tOAL [mm]\tNOF\n"
            + "PA-1\tflat end mill\t10\tlong\t10\t72\t4\n"
            + "PA-2\tflat end mill\t12\tlonger\t12\t83\t4\n");
    page.waitForURL("**/receiving/*");
    assertThat(field("APMX of line 2")).hasValue("long");
    paste("[aria-label='APMX of line 2']", "20\n26");
    assertThat(page.getByText("2 lines without objection")).isVisible();
    Journey.button(page, "Delete this delivery").click();
    assertThat(page).hasURL(Pattern.compile("/receiving$"));
    Journey.button(page, "Undo").click();
    assertThat(page).hasURL(Pattern.compile("/receiving/\\d+$"));
    assertThat(page.getByText("2 lines without objection")).isVisible();
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
}
