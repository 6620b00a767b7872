package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What an operator looks at beside the machine fits a phone of 390 px. */
class PhoneTest extends BrowserTest {

  /** What can be read or pressed and lies beyond the right edge, by its text, once set in type. */
  private static final String BEYOND =
      """
      () => [...document.querySelectorAll('h1, h2, a, button, input, p, dd, th, td, [role=gridcell]')]
        .filter(part => part.checkVisibility() && part.getBoundingClientRect().right > innerWidth + 1)
        .map(part => part.tagName + ' ' + (part.textContent || part.ariaLabel || '').trim())
        .join('; ')
      """;

  private Page phone() {
    Page phone = journey.as("operator");
    phone.setViewportSize(390, 800);
    return phone;
  }

  private static void fits(Page phone, String path, String heading) {
    phone.navigate(path);
    assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
        .containsText(heading);
    Journey.loaded(phone);
    assertEquals("", phone.evaluate(BEYOND), path);
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "/, Today",
    "/machines, Machines",
    "/machines/M1, M1 Heron",
    "/machines/L1, L1 Cormorant",
    "/toolroom, Toolroom",
    "/jobs, Jobs",
    "/jobs/1, Winch drum 32",
    "/tables, Tool tables",
    "/tables/M1, Tool table of M1 Heron"
  })
  void aViewOfTheMachineFits(String path, String heading) {
    Page phone = phone();
    fits(phone, path, heading);
    phone.context().close();
  }

  @Test
  void theSheetOfAToolFits() {
    Stock stock = Stock.of(journey, "PH");
    Page phone = phone();
    fits(phone, "/tools/" + stock.tool("FE10"), stock.code("FE10"));
    phone.context().close();
  }
}
