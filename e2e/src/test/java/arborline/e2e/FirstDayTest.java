package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The first day of a lead in a shop that has received nothing yet, from the file to in step. */
class FirstDayTest {

  @Test
  void aFileOfToolsEndsInStepOnTheMachine() {
    try (Journey journey = Journey.alone("rig-first-day")) {
      Page page = journey.as("lead");
      Steps steps = new Steps(page);
      assertThat(Journey.machine(page)).isVisible();
      assertThat(page.getByText("chain of 48 pockets")).isVisible();
      steps.receive(Journey.STARTER);
      steps.repairAll();
      steps.takeAll("Shop milling");
      steps.releaseAll("Shop milling");
      steps.load("Shop milling", "MC-FE06", 1, "98.214", "5.992");
      steps.load("Shop milling", "MC-FE16", 24, "138.02", "15.99");
      Journey.link(page, "Compare with the control").click();
      page.getByLabel("Find a pocket").fill("24");
      assertThat(page.getByLabel("What to do with pocket 24")).containsText("send the plan");
      Journey.button(page, "Show what will be written").click();
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText("G10 L10 P8 R138.02");
      Journey.button(page, "Write, read back, compare").click();
      assertThat(page.getByText("Written, read back and equal")).isVisible();
      page.getByText("all pockets").click();
      Locator row =
          page.getByRole(AriaRole.ROW)
              .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*24")));
      assertThat(row).containsText("in step");
      page.navigate("/trail");
      assertThat(page.getByText(Pattern.compile("Took \\d+ tools of marram-starter.csv")))
          .isVisible();
    }
  }
}
