package arborline.e2e;

import arborline.rig.RunningLine;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** The product and a browser, started once for all tests of a run. */
final class Journey implements AutoCloseable {

  static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
  static final Path STARTER = ROOT.resolve("demo/incoming/marram-starter.csv");

  /** Milliseconds until what a page should show is given up; long, for machines that are busy. */
  private static final double PATIENCE = 45_000;

  private static Journey running;

  final RunningLine line;
  final Shop shop;
  private final Browser browser;

  private Journey(String folder) {
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    line = RunningLine.start(ROOT, Path.of("target", folder));
    shop = new Shop(line.shopUrl());
    browser =
        Playwright.create()
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--enable-unsafe-swiftshader",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));
  }

  static synchronized Journey start() {
    if (running == null) {
      running = new Journey("rig");
      Runtime.getRuntime().addShutdownHook(new Thread(running::close));
    }
    return running;
  }

  /** A product and a browser that no other test meets; to be closed. */
  static Journey alone(String folder) {
    return new Journey(folder);
  }

  @Override
  public void close() {
    line.close();
  }

  /** A fresh page at 1280 x 800 without motion, nobody signed in. */
  Page page() {
    BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setBaseURL(line.url())
                .setTimezoneId("UTC")
                .setReducedMotion(ReducedMotion.REDUCE)
                .setAcceptDownloads(true));
    context.setDefaultTimeout(PATIENCE);
    return context.newPage();
  }

  /** A fresh page with a role signed in. */
  Page as(String role) {
    Page page = page();
    page.navigate("/sign-in");
    page.getByLabel("Name").fill(role);
    page.getByLabel("Password").fill("tidewrack");
    button(page, "Sign in").click();
    page.waitForURL("**/");
    return page;
  }

  /** Waits until a page shows all that it asked for, in its own type and at rest. */
  static void loaded(Page page) {
    page.waitForFunction(
        """
        () => document.fonts.status === 'loaded'
            && document.querySelector('main[aria-busy=false]')
            && document.getAnimations().every((motion) => motion.playState !== 'running')\
        """);
  }

  static com.microsoft.playwright.Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  static com.microsoft.playwright.Locator link(Page page, String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
  }

  /** The machine of the demo, where a page lists machines. */
  static com.microsoft.playwright.Locator machine(Page page) {
    return page.getByRole(
        AriaRole.LINK, new Page.GetByRoleOptions().setName("M1 Heron").setExact(true));
  }

  static com.microsoft.playwright.Locator heading(Page page, String name) {
    return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
  }

  /** Changes the database behind the back of the server. */
  void change(String sql) {
    var database = line.database();
    try (Connection connection =
            DriverManager.getConnection(database.url(), database.user(), database.password());
        Statement statement = connection.createStatement()) {
      statement.executeUpdate(sql);
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }
}
