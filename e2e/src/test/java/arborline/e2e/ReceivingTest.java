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

  /** A list of another shop: words and sizes say what it means, and one column is decided anew. */
  @Test
  void aListOfAnotherShopIsReadAndAColumnIsDecidedAnew() throws IOException {
    Path file = folder.resolve("bestand.csv");
    Files.writeString(
        file,
        """
        Werkzeugbestand Halle 2;;;;;;;;
        Art;Artikel;Ø d1;Schneidenlänge;Gesamtlänge;Schaft-Ø;Z;Kühlkanal;Fach
        Schaftfräser;AL-10;10;22;72;10;4;1,5;R2
        Schaftfräser;AL-12;120;26;83;12;4;1,5;R2
        Kugelfräser;AL-08;8;12;63;8;2;1;R3
        """);
    steps.receive(file);
    assertThat(page.getByText("DC 120 mm does not go with").first()).isVisible();
    Journey.button(page, "Take DC as it seems to be meant").click();
    assertThat(page.getByText("3 lines without objection")).isVisible();
    page.getByText("How it was read").click();
    assertThat(field("What column Schneidenlänge is read as")).hasValue("APMX");
    assertThat(field("What column Fach is read as")).hasValue("");
    assertAccessible();
    field("What column Kühlkanal is read as").fill("no such symbol");
    field("What column Kühlkanal is read as").press("Enter");
    assertThat(page.getByText("is not a symbol that we know").first()).isVisible();
    field("What column Kühlkanal is read as").fill("CHW");
    field("What column Kühlkanal is read as").press("Enter");
    assertThat(page.getByText("1 kept as a note")).isVisible();
  }

  @Test
  void aHolderComesWithItsToolAndTheFormulaGoesOnWorking() throws IOException {
    Path file = folder.resolve("bundle.csv");
    Files.writeString(
        file,
        """
        KIND,CODE,NAME,CLASS,DC,APMX,LU,OAL,DMM,NOF,CCMS,CCWS,BODIES,LSC,MATERIAL,VC,FZ,SEAT,OVERHANG,PARTS,NOTE:Shelf
        cutter,BC-10,Held mill,end-mill-flat,10,22,APMX + 2,72,10,4,,,,,1.4462,70,0.04,,,,C3
        stack,BC-10,,,,,,,,,,,,,,,,ST-JD-40:f,36,BC-H,
        holder,BC-H,Chuck,,,,,,,,ST-JD-40:m,CY-SF-10:f,27 x 63; 53 x 32-24,31,,,,,,,
        """);
    steps.receive(file);
    assertThat(page.getByText("BC-H, 1 line of cutting data")).isVisible();
    steps.takeAll("Shop milling");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("BC-10")).first().click();
    assertThat(page.getByText("= APMX + 2")).isVisible();
    assertThat(page.getByLabel("Notes")).containsText("Shelf");
    field("Largest depth of cut").fill("30");
    assertThat(field("Usable length")).hasValue("32");
    assertAccessible();
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
