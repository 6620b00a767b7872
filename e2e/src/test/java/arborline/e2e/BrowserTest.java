package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** A test with a page of its own on which the lead is signed in. */
abstract class BrowserTest {

  protected final Journey journey = Journey.start();
  protected Page page;
  protected Steps steps;

  @BeforeEach
  void signIn() {
    page = journey.as("lead");
    steps = new Steps(page);
  }

  @AfterEach
  void leave() {
    page.context().close();
  }

  /** The view, once it has come, has no serious accessibility fault. */
  protected void assertAccessible() {
    assertThat(page.locator("main")).isVisible();
    assertThat(page.locator("h1").first()).isVisible();
    assertEquals(List.of(), Accessibility.faults(page), page.url());
  }

  protected Locator field(String name) {
    return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
  }

  /**
   * The button whose name begins so; {@code start} holds no sign that means something in a pattern.
   */
  protected Locator buttonFrom(String start) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + start)));
  }
}
