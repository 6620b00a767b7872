package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Solids without data are gone through one by one, drawn over their surface. */
class SolidTrayTest extends BrowserTest {

  private static final Path SOLIDS = Path.of("../core/src/test/resources/solids");

  @TempDir Path folder;

  private Path tray(String... names) throws IOException {
    Path zip = folder.resolve("tray.zip");
    try (java.util.zip.ZipOutputStream out =
        new java.util.zip.ZipOutputStream(Files.newOutputStream(zip))) {
      for (String name : names) {
        out.putNextEntry(new java.util.zip.ZipEntry("EST-" + name + ".step"));
        Files.copy(SOLIDS.resolve(name + ".step"), out);
      }
    }
    return zip;
  }

  private void choose(String label, String option) {
    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }

  @Test
  void eachIsDrawnNamedAndFinishedByKey() throws IOException {
    steps.receive(tray("ball", "hex", "hollow"));
    Journey.link(page, "Go through the solids").click();
    assertThat(page.getByText("0 of 3 inspected")).isVisible();
    assertThat(page.locator("canvas")).isVisible();
    assertThat(page.getByText("ø10 × 55 mm")).isVisible();
    assertThat(page.getByText("Read from its solid as ball end mill")).isVisible();
    page.getByLabel("NOF of line 1").fill("2");
    page.getByLabel("NOF of line 1").press("Enter");
    page.locator("h1").click();
    page.keyboard().press("Enter");
    assertThat(page.getByText("1 of 3 inspected")).isVisible();
    assertThat(page.getByText("ø16 × 65 mm")).isVisible();
    page.keyboard().press("ArrowRight");
    assertThat(page.getByText("ø40 × 60 mm, bore ø16")).isVisible();
    choose("Kind", "holder");
    assertThat(page.getByLabel("CCMS of line 1")).isVisible();
    page.keyboard().press("ArrowLeft");
    assertThat(page.getByText(Pattern.compile("hexagon")).first()).isVisible();
  }

  @Test
  void aDimensionIsDraggedIntoACornerAndTheEndsAreTurned() throws IOException {
    steps.receive(tray("ball"));
    Journey.link(page, "Go through the solids").click();
    Locator length = page.getByLabel("OAL on the drawing");
    assertThat(length).isVisible();
    String whole = length.inputValue();
    Locator handle = page.locator("[data-handle=OAL]");
    BoundingBox box = handle.boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x - 60, box.y, new Mouse.MoveOptions().setSteps(5));
    page.mouse().up();
    assertThat(length).not().hasValue(whole);
    assertThat(page.getByLabel("OAL of line 1")).hasValue(length.inputValue());
    Locator turn =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Turn around"));
    turn.click();
    assertThat(turn).hasAttribute("aria-pressed", "true");
    assertThat(page.getByText("as somebody said")).isVisible();
    assertThat(length).hasValue(whole);
  }

  @Test
  void whatIsNoSolidIsNamedAndTheOthersStay() throws IOException {
    Path broken = folder.resolve("EST-BROKEN.step");
    Files.writeString(broken, "solid x\nendsolid");
    page.navigate("/receiving");
    page.getByLabel("Files to add").setInputFiles(broken);
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("no file of ISO 10303-21");
  }
}
