package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** What a person does in several journeys. */
final class Steps {

  private final Page page;

  Steps(Page page) {
    this.page = page;
  }

  /** Adds a file and waits until it is inspected. */
  void receive(Path file) {
    page.navigate("/receiving");
    page.getByLabel("Files to add").setInputFiles(file);
    page.waitForURL("**/receiving/*");
    assertThat(page.getByLabel("Taking")).isVisible();
  }

  /** Applies the first bulk repair of every group until none is offered. */
  void repairAll() {
    Locator repairs =
        page.locator("section header button.button:not(.main)")
            .filter(
                new Locator.FilterOptions()
                    .setHasNotText(
                        Pattern.compile("Looked at|Only one|Let in|Keep the shop|Take these")));
    for (int round = 0; round < 12 && repairs.count() > 0; round++) {
      int before = repairs.count();
      String title = repairs.first().innerText();
      repairs.first().click();
      assertThat(
              page.locator("section header button.button")
                  .filter(new Locator.FilterOptions().setHasText(title)))
          .hasCount(0);
      if (repairs.count() > before) {
        break;
      }
    }
  }

  /** Takes everything that passes into a library. */
  void takeAll(String library) {
    choose("Library", library);
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions()
                .setName(Pattern.compile("^Take \\d+ tools?( and \\d+ other items?)?$")))
        .click();
    assertThat(page.getByText("entered " + library)).isVisible();
  }

  /** Types a flat end mill of 10 mm on the page of new tools, as the guide counts its keys. */
  void typeFlatEndMill(String code) {
    assertThat(page.getByText("Which class is it?")).isVisible();
    assertThat(page.getByRole(AriaRole.REGION).getByRole(AriaRole.BUTTON).first()).isVisible();
    page.keyboard().type("flat");
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("Code", new Page.GetByLabelOptions().setExact(true))).isFocused();
    page.keyboard().type(code);
    assertThat(Journey.button(page, "Keep unfinished")).isVisible();
    page.keyboard().press("Tab");
    page.keyboard().press("Tab");
    page.keyboard().type("10");
    for (String number : new String[] {"22", "10", "72"}) {
      page.keyboard().press("Tab");
      page.keyboard().type(number);
    }
    assertThat(page.getByLabel("Findings")).containsText("nothing to object");
  }

  /** Takes a holder that is offered for a stack, by keyboard, so that nothing can slip away. */
  void takePart(String code) {
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + code)))
        .press("Enter");
    assertThat(page.getByLabel("Parts", new Page.GetByLabelOptions().setExact(true)))
        .containsText(code);
  }

  /** Opens a choice and takes one of its options. */
  void choose(String choice, String option) {
    page.getByLabel(choice, new Page.GetByLabelOptions().setExact(true)).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }

  /** Hangs tools on the strip by clicking their rows. */
  void hang(String... codes) {
    for (String code : codes) {
      page.getByLabel("Search", new Page.GetByLabelOptions().setExact(true)).fill(code);
      Locator row =
          page.getByRole(AriaRole.ROW)
              .filter(
                  new Locator.FilterOptions()
                      .setHas(page.getByText(code, new Page.GetByTextOptions().setExact(true))));
      row.getByRole(AriaRole.GRIDCELL).nth(2).click();
      assertThat(row).hasAttribute("aria-selected", "true");
    }
    page.getByLabel("Search", new Page.GetByLabelOptions().setExact(true)).fill("");
    assertThat(
            page.getByRole(AriaRole.STATUS)
                .filter(
                    new Locator.FilterOptions()
                        .setHasText(Pattern.compile("^\\s*\\d+ tools\\s*$"))))
        .isVisible();
  }

  /** Plans a tool of a library for a pocket of M1 and gives its measures. */
  void load(String library, String code, int pocket, String length, String diameter) {
    if (!page.url().endsWith("/machines/M1")) {
      page.navigate("/machines/M1");
      choose("Library", library);
    }
    page.getByLabel("Search tools").fill(code);
    Locator listed = page.getByLabel("Tools to load").getByRole(AriaRole.LISTITEM);
    // Until the list is what was looked for, its rows still move.
    assertThat(listed.filter(new Locator.FilterOptions().setHasNotText(code))).hasCount(0);
    listed.filter(new Locator.FilterOptions().setHasText(code)).getByRole(AriaRole.BUTTON).click();
    assertThat(page.getByText("is picked up")).isVisible();
    pocket(pocket).click();
    assertThat(pocket(pocket))
        .hasAccessibleName(Pattern.compile("Pocket %d: %s,.*".formatted(pocket, code)));
    page.getByLabel("Measured length").fill(length);
    page.getByLabel("Measured diameter").fill(diameter);
    page.waitForResponse(
        response -> response.request().method().equals("PUT") && response.ok(),
        () -> Journey.button(page, "Save measures").click());
  }

  /** Releases all tools of a library, so that they can be planned. */
  void releaseAll(String library) {
    page.navigate("/libraries");
    Journey.link(page, library).click();
    page.getByRole(AriaRole.GRIDCELL).nth(2).click();
    page.getByRole(AriaRole.GRID).focus();
    page.keyboard().press("Control+a");
    Journey.button(page, "How far the chosen tools are trusted").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Released")).click();
    assertThat(page.getByText(Pattern.compile("Released: \\d+ tools"))).isVisible();
  }

  Locator pocket(int number) {
    return page.locator("#place-M1-" + number);
  }
}
