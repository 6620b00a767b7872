package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Cutting data of tools that do not mill. */
class CuttingDataTest extends BrowserTest {

  private void open(String library, String code) {
    page.navigate("/libraries");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(library).setExact(true))
        .click();
    field("Search").fill(code);
    Journey.link(page, code).first().click();
    Journey.link(page, "Cutting data").click();
    assertThat(page.getByLabel("Results")).containsText("Rotation n");
  }

  @Test
  void aTurningToolAsksForTheWork() {
    open("Ossel turning", "OT-PCLNR25");
    field("Speed vc").fill("200");
    field("Feed fn").fill("0.3");
    field("Depth ap").fill("3");
    field("Work diameter").fill("60");
    assertThat(page.getByLabel("Results")).containsText("1,061");
    assertThat(page.getByLabel("Results")).containsText("6.90");
    assertThat(page.getByLabel("Results")).containsText("Roughness Rt");
    field("Work diameter").fill("0");
    assertThat(page.getByText("The diameter of the work must be > 0")).isVisible();
    field("Work diameter").fill("wide");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("'wide': not a number");
    assertAccessible();
  }

  @Test
  void aTapFeedsItsPitch() {
    open("Marram threading", "MT-CM08");
    field("Speed vc").fill("12.566");
    assertThat(page.getByLabel("Results")).containsText("625");
    assertThat(page.getByText("The feed is the pitch of the thread")).isVisible();
  }

  @Test
  void aCatalogueLineIsProvenElsewhereAndTakenBack() {
    Stock stock = Stock.of(journey, "CD");
    page.navigate("/tools/%d/cutting".formatted(stock.tool("FE08")));
    field("Coolant").fill("air");
    Journey.button(page, "Save as catalogue's").click();
    assertThat(page.getByLabel("Lines")).containsText("catalogue");
    assertThat(page.getByLabel("Lines")).containsText("air");
    Journey.button(page, "Proven …").focus();
    page.keyboard().press("p");
    field("Proven feed").fill("0.06");
    page.getByLabel("Lines")
        .getByRole(
            AriaRole.BUTTON,
            new com.microsoft.playwright.Locator.GetByRoleOptions()
                .setName("Proven")
                .setExact(true))
        .click();
    assertThat(page.getByLabel("Lines")).containsText("proven on ");
    page.locator("[data-sonner-toast]").getByText("Undo").first().click();
    assertThat(page.getByLabel("Lines")).not().containsText("proven on ");
  }

  @Test
  void aProfileIsGivenByItsRows() {
    page.navigate("/libraries");
    Journey.link(page, "Marram milling").click();
    field("Search").fill("MM-FO01");
    Journey.link(page, "MM-FO01").first().click();
    field("Radius of point 2").fill("-3");
    assertThat(page.getByLabel("Findings")).containsText("the profile crosses the axis");
    field("Radius of point 2").fill("12");
    field("Arc of point 3").fill("4");
    assertThat(page.getByLabel("Findings")).containsText("nothing to object");
    assertThat(page.getByLabel("Cutter profile", new Page.GetByLabelOptions().setExact(true)))
        .hasValue("0 0; 0 12; 6 12 R4; 14 8");
  }
}
