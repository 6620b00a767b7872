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

/** A foreign table is read as somebody decides on the page where it is drawn. */
class ForeignTableTest extends BrowserTest {

  @TempDir Path folder;

  private static String table(String code) {
    return "Krume;Formkz;Mass;Winkel X;Schub\n"
        + "%s-1;SB;8x72;118;4\n%s-2;SB;10x80;140;5\n%s-3;SB;12 lang;118;6\n"
            .formatted(code, code, code);
  }

  private void receive(String name, String content) throws IOException {
    Path file = folder.resolve(name);
    Files.writeString(file, content);
    steps.receive(file);
  }

  private Locator readAs(String column) {
    return page.getByLabel("What %s is read as".formatted(column));
  }

  private void type(Locator field, String text) {
    field.fill(text);
    field.press("Tab");
  }

  private Locator row(String code) {
    return page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(code));
  }

  @Test
  void columnsAreDecidedTheToolsAreDrawnAndTheRecipeIsFoundAgain() throws IOException {
    receive("krume.csv", table("EFA"));
    page.getByText("How it was read").click();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Decide about columns"))
        .click();
    assertThat(readAs("Krume")).isVisible();
    type(readAs("Krume"), "WHATEVER");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("'WHATEVER' is not a symbol");
    type(readAs("Krume"), "CODE");
    assertThat(row("EFA-1")).isVisible();
    page.getByText("Is it SIG?").locator("..").getByText("Yes").click();
    assertThat(readAs("Winkel X")).hasValue("SIG");
    Journey.button(page, "Mass").first().click();
    type(page.getByLabel("Take apart as"), "{DC}x");
    type(page.getByLabel("Take apart as"), "{DC}x{OAL}");
    type(page.getByLabel("Class of every tool that says none"), "drill-twist");
    assertThat(row("EFA-2")).containsText("OAL 80 mm");
    assertThat(row("EFA-3")).containsText("is not made as the recipe says");
    page.getByLabel("Name of the recipe").fill("Krume of the old hall");
    Journey.button(page, "Save as recipe").click();
    assertThat(page).hasURL(Pattern.compile("/receiving/\\d+$"));
    receive("krume-2.csv", table("EFB"));
    page.getByText("How it was read").click();
    assertThat(page.getByText("Read by recipe Krume of the old hall, version 1")).isVisible();
    assertThat(page.getByText("EFB-2").first()).isVisible();
  }

  @Test
  void anEditedListIsSettledAgainstTheShop() throws IOException {
    String head = "CODE,NAME,CLASS,DC [mm],APMX [mm],LU [mm],OAL [mm],DMM [mm],NOF\n";
    receive(
        "settled.csv",
        head
            + "EFC-1,Mill,end-mill-flat,10,22,24,72,10,4\n"
            + "EFC-2,Mill,end-mill-flat,12,26,28,83,12,4\n");
    steps.takeAll("Shop milling");
    receive("edited.csv", head + "EFC-1,Mill,end-mill-flat,10,22,24,80,10,4\n");
    assertThat(page.getByText("0 new, 1 changed, 0 the same").first()).isVisible();
    page.getByLabel("Show EFC-1 beside what looks like it").first().click();
    assertThat(page.getByText("same code").first()).isVisible();
    page.getByLabel("Take OAL from the line").check();
    Journey.button(page, "Take what is marked").click();
    assertThat(page.getByText("changes tool EFC-1 of the shop").first()).isVisible();
    steps.takeAll("Shop milling");
    assertThat(page.getByLabel("Taking")).not().containsText("will enter");
  }
}
