package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.server.live.Live;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Open pages hear what others changed, and nothing that was not kept. */
class LiveTest extends ServerTest {

  @Autowired Live live;
  @Autowired TransactionTemplate transaction;

  private final List<String> heard = new CopyOnWriteArrayList<>();
  private final HttpClient client = HttpClient.newHttpClient();

  @BeforeEach
  void listen() throws IOException, InterruptedException {
    as("VISITOR");
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/api/v1/events".formatted(port)))
            .header("Authorization", "Bearer key-VISITOR")
            .build();
    BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                client.send(request, HttpResponse.BodyHandlers.ofInputStream()).body(),
                StandardCharsets.UTF_8));
    assertEquals("retry:1000", lines.readLine());
    assertEquals(":listening", lines.readLine());
    CompletableFuture.runAsync(() -> hear(lines));
    say("start");
    await("start");
  }

  private void hear(BufferedReader lines) {
    try {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (line.startsWith("data:")) {
          heard.add(line);
        }
      }
    } catch (IOException closed) {
      throw new UncheckedIOException(closed);
    }
  }

  @AfterEach
  void leave() {
    client.shutdownNow();
  }

  private void say(String detail) {
    transaction.executeWithoutResult(status -> live.say("test", 1, detail));
  }

  private void await(String detail) {
    Api.until(() -> times(detail) > 0);
  }

  private long times(String detail) {
    return heard.stream().filter(line -> line.contains("\"" + detail + "\"")).count();
  }

  @Test
  void aChangeIsHeardWithTopicAndSubject() {
    long library = library("Heard");
    Api.until(() ->
        heard.stream()
            .anyMatch(line ->
                line.contains("\"topic\":\"library\"")
                    && line.contains("\"subject\":\"%d\"".formatted(library))));
  }

  @Test
  void whatWasNotKeptIsNotHeard() {
    transaction.executeWithoutResult(status -> {
      live.say("test", 1, "given up");
      status.setRollbackOnly();
    });
    say("kept");
    await("kept");
    assertEquals(0, times("given up"));
  }

  @Test
  void aLongDeedIsHeardThoughALaterOneWasQuicker() throws Exception {
    CountDownLatch said = new CountDownLatch(1);
    CountDownLatch go = new CountDownLatch(1);
    CompletableFuture<Void> slow =
        CompletableFuture.runAsync(() ->
            transaction.executeWithoutResult(status -> {
              live.say("test", 1, "slow");
              said.countDown();
              waitFor(go);
            }));
    said.await();
    say("quick");
    await("quick");
    assertFalse(slow.isDone());
    assertEquals(0, times("slow"));
    go.countDown();
    slow.join();
    await("slow");
    say("end");
    await("end");
    assertEquals(1, times("slow"));
    assertEquals(1, times("quick"));
  }

  private static void waitFor(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }

  @Test
  void progressIsHeardBeforeTheDeedIsDone() {
    transaction.executeWithoutResult(status -> {
      live.sayNow("test", 1, "half way");
      await("half way");
    });
    assertTrue(times("half way") == 1);
  }

  @Test
  void aStreamEndsWithItsSession() throws IOException, InterruptedException {
    CookieManager cookies = new CookieManager();
    try (HttpClient browser = HttpClient.newBuilder().cookieHandler(cookies).build()) {
      browser.send(session("GET", "", ""), HttpResponse.BodyHandlers.ofString());
      String body = "{\"name\":\"visitor\",\"password\":\"tidewrack\"}";
      assertEquals(
          200,
          browser
              .send(session("POST", body, token(cookies)), HttpResponse.BodyHandlers.ofString())
              .statusCode());
      HttpRequest events =
          HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/api/v1/events".formatted(port)))
              .build();
      BufferedReader lines =
          new BufferedReader(
              new InputStreamReader(
                  browser.send(events, HttpResponse.BodyHandlers.ofInputStream()).body(),
                  StandardCharsets.UTF_8));
      assertEquals("retry:1000", lines.readLine());
      CompletableFuture<Boolean> ended =
          CompletableFuture.supplyAsync(() -> lines.lines().count() >= 0);
      browser.send(session("DELETE", "", token(cookies)), HttpResponse.BodyHandlers.ofString());
      Api.until(ended::isDone);
      assertTrue(ended.join());
    }
  }

  private static String token(CookieManager cookies) {
    return cookies.getCookieStore().getCookies().stream()
        .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
        .findFirst()
        .orElseThrow()
        .getValue();
  }

  private HttpRequest session(String method, String body, String token) {
    return HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/api/v1/session".formatted(port)))
        .header("Content-Type", "application/json")
        .header("X-XSRF-TOKEN", token)
        .method(method, HttpRequest.BodyPublishers.ofString(body))
        .build();
  }
}
