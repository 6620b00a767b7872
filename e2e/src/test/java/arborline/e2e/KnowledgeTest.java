package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the product knows of tools, in the browser, on libraries that no other test touches. */
class KnowledgeTest {

  private static Journey journey;
  private static Page page;
  private Steps steps;

  @BeforeAll
  static void open() {
    journey = Journey.start();
    page = journey.as("lead");
  }

  @AfterAll
  static void close() {
    page.context().close();
  }

  @BeforeEach
  void begin() {
    steps = new Steps(page);
  }

  private static Locator field(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private static void library(String name) {
    page.navigate("/libraries");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true)).click();
    assertThat(Journey.heading(page, name)).isVisible();
  }

  private static void choose(String sought) {
    page.getByPlaceholder(Pattern.compile("such as ball")).fill(sought);
    assertThat(page.getByRole(AriaRole.REGION).getByRole(AriaRole.BUTTON).first()).isVisible();
    page.keyboard().press("Enter");
  }

  private static void sheet(String library, String code) {
    library(library);
    field("Search").fill(code);
    Journey.link(page, code).first().click();
    assertThat(Journey.heading(page, code)).isVisible();
  }

  /** One tool of each kind of work, made as a person makes it. */
  @ParameterizedTest(name = "{0}")
  @CsvSource(
      delimiter = '|',
      value = {
        "lollipop 1|undercutting|Cutting diameter=8; Neck diameter=5; Neck length=30; Shank diameter=8; Overall length=75",
        "dovetail 2|dovetail|Cutting diameter=20; Neck diameter=12; Largest depth of cut=5; Shank diameter=12; Overall length=80",
        "form 3|form mill|Largest cutting diameter=24; Shank diameter=16; Overall length=80; Cutter profile=0 0; 0 12; 6 12; 14 8",
        "step drill 4|step drill|Cutting diameter=6.8; First step diameter=9; First step length=20; Flute length=45; Shank diameter=10; Overall length=95",
        "reamer 5|reamer|Cutting diameter=8; Largest depth of cut=30; Pre-machined hole diameter=7.8; Shank diameter=8; Overall length=120",
        "tap 6|cutting tap|Cutting diameter=8; Thread diameter=8; Thread pitch=1.25; Thread size=M8; Shank diameter=8; Overall length=90",
        "turning 7|external|Holder designation=PCLNR 2525 M 12; Master insert=CNMG 120408",
        "bar 8|boring bar|Cutting edge angle=95; Shank diameter=20; Functional width=13; Smallest bore diameter=25; Functional length=180",
        "router 9|compression|Cutting diameter=12; Largest depth of cut=38; Shank diameter=12; Overall length=90; Largest rotational speed=24000",
        "saw 10|saw blade|Cutting diameter=160; Cutting width=3.2; Connection diameter, machine side=30; Body width=2.2; Largest rotational speed=9000",
        "probe 11|touch probe|Cutting diameter=6; Usable length=50; Functional length=140",
        "laser 12|laser|Kerf=0.2; Nozzle diameter=1.5; Standoff=1"
      })
  void twelveToolsOfAllKindsOfWorkAreMade(String code, String sought, String values) {
    library("Probes and jets");
    Journey.link(page, "New tool").click();
    choose(sought);
    String plain = code.replace(' ', '-');
    field("Code").fill(plain);
    field("Name").fill("Sample " + code);
    for (String pair : values.split("; (?=[A-Z])")) {
      String[] parts = pair.split("=", 2);
      field(parts[0]).fill(parts[1]);
    }
    field("Name").click();
    assertThat(page.getByLabel("Findings")).containsText("nothing to object");
    assertThat(
            page.getByLabel("Drawing", new Page.GetByLabelOptions().setExact(true))
                .locator("path")
                .first())
        .isVisible();
    picture(plain);
    Journey.button(page, "Create").click();
    assertThat(Journey.heading(page, plain)).isVisible();
  }

  /** The guide counts these keys: eleven besides code and numbers. */
  @Test
  void aFlatEndMillIsMadeWithoutTheMouse() {
    library("Probes and jets");
    Journey.link(page, "New tool").click();
    steps.typeFlatEndMill("KEYS-10");
    page.keyboard().press("Control+s");
    assertThat(Journey.heading(page, "KEYS-10")).isVisible();
  }

  /** Kept where somebody asked for pictures, to be looked at. */
  private static void picture(String name) {
    String folder = System.getProperty("arbor.pictures", "");
    if (!folder.isEmpty()) {
      page.screenshot(
          new Page.ScreenshotOptions().setPath(java.nio.file.Path.of(folder, name + ".png")));
    }
  }

  @Test
  void toolsAreRenamedByPatternAndBackAgain() {
    library("Acetal only");
    Journey.link(page, "Names").click();
    field("Code").fill("{WIDTH}");
    assertThat(page.getByText("'WIDTH' is no property")).isVisible();
    assertThat(Journey.button(page, "Save patterns")).isDisabled();
    field("Code").fill("");
    field("Code").pressSequentially("AX{D");
    assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("DC");
    page.keyboard().press("Enter");
    page.keyboard().type("-{NO 2}");
    assertThat(field("Code")).hasValue("AX{DC}-{NO 2}");
    Journey.button(page, "Save patterns").click();
    assertThat(page.getByText("Saved the patterns")).isVisible();
    page.getByRole(AriaRole.CHECKBOX).first().uncheck();
    Journey.button(page, "Rename 12 tools").click();
    assertThat(page.getByText("Renamed 12 tools")).isVisible();
    assertThat(page.getByText("12 as the patterns say")).isVisible();
    page.locator("[data-sonner-toast]")
        .filter(new Locator.FilterOptions().setHasText("Renamed 12 tools"))
        .getByText("Undo")
        .click();
    assertThat(page.getByText("13 would change")).isVisible();
  }

  @Test
  void aReservedCodeIsTakenOverIntoANewTool() {
    library("Marram threading");
    Journey.link(page, "Names").click();
    field("Code").fill("TH{TP}-{NO 2}");
    Journey.button(page, "Save patterns").click();
    assertThat(page.getByText("Saved the patterns")).isVisible();
    library("Marram threading");
    Journey.link(page, "New tool").click();
    choose("thread mill");
    Journey.button(page, "Next code").click();
    assertThat(page.getByText("The code needs TP")).isVisible();
    field("Thread pitch").fill("1.5");
    Journey.button(page, "Next code").click();
    assertThat(field("Code")).hasValue("TH1.5-01");
  }

  @Test
  void aChangedClassSaysWhatItDrops() {
    sheet("Marram milling", "MM-CR10R05");
    steps.choose("Class", "flat end mill");
    assertThat(page.getByLabel("Findings")).containsText("no corner radius");
    steps.choose("Class", "twist drill");
    assertThat(page.getByText(Pattern.compile("This class has no APMX 20 mm, RE 0.5 mm")))
        .isVisible();
    steps.choose("Class", "corner-radius end mill");
    assertThat(field("Corner radius")).hasValue("0.5");
    Journey.button(page, "Discard").click();
  }

  @Test
  void aTurningToolIsShownAtItsWork() {
    sheet("Ossel turning", "OT-PCLNR25");
    Locator mounted = page.getByLabel("Mounted", new Page.GetByLabelOptions().setExact(true));
    assertThat(mounted).containsText("Tip orientation 3");
    assertThat(mounted).containsText("M3");
    steps.choose("Rake", "rake up");
    assertThat(mounted).containsText("M4");
    steps.choose("Work", "bore");
    assertThat(mounted).containsText("bore cut at negative X");
    sheet("Ossel turning", "OT-NE20");
    steps.choose("Work", "face");
    assertThat(mounted).containsText("choose the set point by hand");
  }

  @Test
  void aDrawingIsSavedWithItsDimensions() throws IOException {
    sheet("Marram milling", "MM-FL10");
    Download saved = page.waitForDownload(() -> Journey.button(page, "Save drawing").click());
    Assertions.assertEquals("MM-FL10.svg", saved.suggestedFilename());
    String drawing = Files.readString(saved.path());
    Assertions.assertTrue(drawing.contains(">DC 10<") && drawing.contains(">OAL 75<"), drawing);
  }

  @Test
  void whatAControlCanCarryStandsBesideTheName() {
    sheet("Marram milling", "MM-CR12R1");
    Locator comments = page.getByLabel("Comments of controls");
    assertThat(comments).containsText("CORNER-R END MILL 12 R1");
    field("Name").fill("Corner-radius end mill Ø12 with R1, coated");
    assertThat(comments).containsText("'Ø' becomes 'D'");
    assertThat(comments).containsText("coated is written CTD");
    Journey.button(page, "Discard").click();
  }

  @Test
  void theShopAddsAMaterialAndComputesWithIt() {
    sheet("Marram milling", "MM-FL10");
    Journey.link(page, "Cutting data").click();
    Journey.button(page, "Own materials").click();
    field("Name").fill("Cast bronze CuSn12");
    Journey.button(page, "Add").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("give kc1.1");
    page.getByLabel("kc1.1, N/mm²").fill("950");
    Journey.button(page, "Add").click();
    assertThat(page.getByText("kc1.1 950, mc 0.25")).isVisible();
    page.keyboard().press("Escape");
    assertThat(field("Material")).containsText("Cast bronze");
    assertThat(page.getByLabel("Results")).containsText("Rotation n");
  }

  @Test
  void anAggregateTurnsTheAxis() {
    sheet("Pelican router", "PR-UC10");
    Journey.link(page, "Stack").click();
    page.getByLabel("Parts", new Page.GetByLabelOptions().setExact(true))
        .getByText("Remove")
        .click();
    page.getByPlaceholder("code or name").fill("BA-F63-AG90");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^BA-F63-AG90")))
        .click();
    assertThat(page.getByLabel("Results")).containsText("Beside the spindle axis");
    Journey.button(page, "3D view").click();
    assertThat(page.locator("canvas")).isVisible();
  }
}
