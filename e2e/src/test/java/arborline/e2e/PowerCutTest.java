package arborline.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is left when a server or a browser goes away in the middle of long work. */
class PowerCutTest {

  @TempDir Path folder;
  private static Journey journey;
  private static Script script;

  @BeforeAll
  static void start() {
    journey = Journey.alone("rig-power-cut");
    script = new Script(journey.line.url(), journey.line.key("LEAD"));
  }

  @AfterAll
  static void stop() {
    journey.close();
  }

  private static String table(String prefix, int lines) {
    StringBuilder table =
        new StringBuilder("CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n");
    for (int i = 1; i <= lines; i++) {
      table.append("%s-%d,Mill %d,end-mill-flat,8,20,8,63,4\n".formatted(prefix, i, i));
    }
    return table.toString();
  }

  private static void until(BooleanSupplier so) {
    long end = System.nanoTime() + 120_000_000_000L;
    while (!so.getAsBoolean()) {
      assertTrue(System.nanoTime() < end, "did not happen within two minutes");
      LockSupport.parkNanos(20_000_000);
    }
  }

  private long counted(String sql) {
    var database = journey.line.database();
    try (Connection connection =
            DriverManager.getConnection(database.url(), database.user(), database.password());
        Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery(sql)) {
      row.next();
      return row.getLong(1);
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  /** Adds a file and stays on the page of its delivery. */
  private Page bring(String person, String content) throws IOException {
    Path file = folder.resolve("large.csv");
    Files.writeString(file, content);
    Page page = journey.as(person);
    page.navigate("/receiving");
    page.getByLabel("Files to add").setInputFiles(file);
    page.waitForURL("**/receiving/*");
    return page;
  }

  @Test
  void killedWhileTakingLeavesNothingHalfTaken() {
    long delivery = script.deliver("taking.csv", table("CUT", 12_000));
    until(() -> script.get("/deliveries/" + delivery).get("state").getAsString().equals("ready"));
    long library = script.post("/libraries", "{\"name\":\"Power cut\"}").get("id").getAsLong();
    String order = "{\"library\":%d,\"numbering\":\"next\"}".formatted(library);
    CompletableFuture<Boolean> taking =
        CompletableFuture.supplyAsync(
            () -> script.post("/deliveries/%d/accept".formatted(delivery), order).has("accepted"));
    until(() ->
        counted(
                "select count(*) from live_event where detail like 'taking %' and subject = '"
                    + delivery
                    + "'")
            > 2);
    journey.line.killAndRestart();
    assertTrue(taking.handle((done, cut) -> cut instanceof CompletionException).join());
    assertEquals(0, script.get("/libraries/" + library).get("tools").getAsLong());
    assertEquals(0, script.get("/deliveries/" + delivery).get("taken").getAsLong());
    assertEquals(0, counted("select count(*) from tool where code like 'CUT-%'"));
    assertEquals(
        12_000,
        script
            .post("/deliveries/%d/accept".formatted(delivery), order)
            .get("accepted")
            .getAsLong());
  }

  @Test
  void killedWhileWritingAndConvertingBeginsAnew() {
    long delivery = script.deliver("writing.csv", table("PEN", 12_000));
    until(() -> script.get("/deliveries/" + delivery).get("state").getAsString().equals("ready"));
    long library = script.post("/libraries", "{\"name\":\"Pen\"}").get("id").getAsLong();
    script.post(
        "/deliveries/%d/accept".formatted(delivery),
        "{\"library\":%d,\"numbering\":\"next\"}".formatted(library));
    long file =
        script
            .post("/libraries/%d/files?format=mtconnect".formatted(library), "")
            .get("id")
            .getAsLong();
    long conversion =
        script.upload("/conversions/queue?to=mtconnect", "pen.csv", table("INK", 12_000));
    until(() -> counted("select count(*) from written_file where share > 0 and share < 1") == 1);
    until(() -> counted("select count(*) from conversion where share > 0 and share < 1") == 1);
    journey.line.killAndRestart();
    assertEquals(0, counted("select count(*) from written_part"));
    String ready = "done";
    until(() -> script.get("/files/" + file).get("state").getAsString().equals(ready));
    until(() -> script.get("/conversions/" + conversion).get("state").getAsString().equals(ready));
    assertTrue(script.get("/files/" + file).get("equal").getAsBoolean());
    assertEquals(12_000, script.get("/files/" + file).get("tools").getAsLong());
    assertEquals(
        12_000,
        script
            .get("/conversions/" + conversion)
            .getAsJsonArray("reports")
            .get(0)
            .getAsJsonObject()
            .get("written")
            .getAsLong());
  }

  @Test
  void killedWhileReadingGoesOnWhereItWas() throws IOException {
    Page page = bring("lead", table("KILL", 30_000));
    assertThat(page.getByText("Reading:")).isVisible();
    journey.line.killAndRestart();
    page.reload();
    assertThat(page.getByLabel("Taking"))
        .containsText(
            "30,000 tools will enter",
            new LocatorAssertions.ContainsTextOptions().setTimeout(120_000));
    assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Lines")))
        .containsText("30,000 read");
    page.context().close();
  }

  @Test
  void aClosedBrowserDoesNotEndTheReading() throws IOException {
    Page page = bring("programmer", table("CLOSED", 10_000));
    long delivery = Long.parseLong(page.url().replaceAll(".*/", ""));
    page.context().close();
    until(() -> script.get("/deliveries/" + delivery).get("state").getAsString().equals("ready"));
    assertEquals(10_000, script.get("/deliveries/" + delivery).get("pass").getAsLong());
  }

  @Test
  void aPageSaysThatItHearsNothingAndLoadsAgainOnceTheServerIsBack() {
    script.post("/libraries", "{\"name\":\"Before the cut\"}");
    Page page = journey.as("lead");
    page.navigate("/libraries");
    assertThat(page.getByText("Before the cut")).isVisible();
    Locator notice = page.getByText("The server does not answer.");
    journey.line.killAndRestart(() -> {
      assertThat(notice).isVisible();
      journey.change("update library set name = 'Meanwhile' where name = 'Before the cut'");
    });
    assertThat(page.getByText("Meanwhile")).isVisible();
    assertThat(notice).isHidden();
    page.context().close();
  }

  @Test
  void withoutItsDatabaseTheServerSaysSoAndGoesOnOnceItIsBack() {
    script.post("/libraries", "{\"name\":\"Kept\"}");
    Page page = journey.as("lead");
    page.navigate("/machines");
    assertThat(page.getByText("M1 Heron")).isVisible();
    journey
        .line
        .database()
        .killAndRestart(() -> {
          page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Trail")).click();
          assertThat(page.getByRole(AriaRole.ALERT))
              .containsText(
                  "does not reach its database",
                  new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        });
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Try again")).click();
    assertThat(page.getByText("opened library Kept")).isVisible();
    page.context().close();
  }
}
