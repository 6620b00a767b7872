package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The dispatch of the invented vendors: what is new, before and after a release was taken. */
class NewsTest extends ServerTest {

  private void behave(String manners) throws IOException, InterruptedException {
    try (HttpClient http = HttpClient.newHttpClient()) {
      HttpRequest request =
          HttpRequest.newBuilder(URI.create(Api.SHOP + "/dispatch/behaviour"))
              .PUT(HttpRequest.BodyPublishers.ofString(manners))
              .build();
      assertEquals(204, http.send(request, HttpResponse.BodyHandlers.ofString()).statusCode());
    }
  }

  @AfterEach
  void behaveWell() throws IOException, InterruptedException {
    behave("{}");
  }

  private JsonNode news(String vendor) {
    return StreamSupport.stream(lead.get("/api/v1/news").at("vendors").spliterator(), false)
        .filter(one -> one.get("vendor").asString().equals(vendor))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> items(JsonNode news, String change) {
    return StreamSupport.stream(news.get("changes").spliterator(), false)
        .filter(one -> one.get("change").asString().equals(change))
        .map(one -> one.get("item").asString())
        .toList();
  }

  private long fetch(String packageId) {
    Api.Answer fetched = lead.post("/api/v1/news/%s/fetch".formatted(packageId), Map.of());
    assertEquals(202, fetched.status(), fetched.toString());
    lead.untilRead(fetched.number("id"));
    return fetched.number("id");
  }

  @Test
  void ofAReleaseThatWasTakenTheNextOneIsToldValueByValueBeforeItIsFetched() {
    JsonNode before = news("Ossel Insert Works");
    assertTrue(before.get("taken").isNull());
    assertEquals("26.2", before.at("/newest/release").asString());
    long delivery = fetch("ossel-26.1");
    Api.Answer taken =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery),
            Api.body("library", library("News: turning")));
    assertEquals(200, taken.status(), taken.toString());
    JsonNode news = news("Ossel Insert Works");
    assertEquals("26.1", news.get("taken").asString());
    assertTrue(news.get("newer").asBoolean());
    assertEquals(List.of("OIW-CNMG120416-K6"), items(news, "NEW"));
    assertEquals(List.of("OIW-SNMG120412-K6"), items(news, "DISCONTINUED"));
    assertTrue(
        items(news, "CHANGED").contains("OIW-PCLNR2525M12"), items(news, "CHANGED").toString());
    JsonNode torque =
        StreamSupport.stream(news.get("changes").spliterator(), false)
            .filter(one -> one.get("item").asString().equals("OIW-PCLNR2525M12"))
            .findFirst()
            .orElseThrow()
            .get("fields");
    assertEquals(1, torque.size(), torque.toString());
    assertEquals("TQ", torque.get(0).get("field").asString());
    assertEquals("3.9 N.m", torque.get(0).get("before").asString());
    assertEquals("4.2 N.m", torque.get(0).get("now").asString());
    assertEquals("FOLLOWS", torque.get(0).get("outcome").asString());
    assertEquals(
        "News: turning",
        StreamSupport.stream(news.get("changes").spliterator(), false)
            .filter(one -> one.get("change").asString().equals("DISCONTINUED"))
            .findFirst()
            .orElseThrow()
            .at("/used/0/name")
            .asString());
  }

  /** As if a package had never come. */
  private void forget(String packageId) {
    for (JsonNode delivery : lead.get("/api/v1/deliveries").at("items")) {
      if (delivery.get("name").asString().equals(packageId + ".zip")) {
        lead.send(
            "DELETE", "/api/v1/deliveries/%d".formatted(delivery.get("id").asLong()), Map.of());
      }
    }
  }

  @Test
  void twentyWhoFetchOnePackageGetOneDelivery() throws InterruptedException {
    forget("ossel-26.2");
    Set<Long> got = ConcurrentHashMap.newKeySet();
    Set<Integer> statuses = ConcurrentHashMap.newKeySet();
    try (ExecutorService many = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < 20; i++) {
        many.submit(() -> {
          Api.Answer answer = lead.post("/api/v1/news/ossel-26.2/fetch", Map.of());
          statuses.add(answer.status());
          got.add(answer.number("id"));
        });
      }
    }
    assertEquals(Set.of(202), statuses);
    assertEquals(1, got.size(), got.toString());
    lead.untilRead(got.iterator().next());
  }

  @Test
  void aDispatchThatIsSilentIsNamedAndNothingCame() throws IOException, InterruptedException {
    behave("{\"offline\": true}");
    Api.Answer answer = lead.get("/api/v1/news");
    assertEquals(502, answer.status());
    assertTrue(answer.toString().contains("vendor dispatch"), answer.toString());
  }

  @Test
  void aPackageThatComesInPartIsNotKept() throws IOException, InterruptedException {
    forget("ossel-26.2");
    behave("{\"cutAfterBytes\": 5000}");
    Api.Answer cut = lead.post("/api/v1/news/ossel-26.2/fetch", Map.of());
    assertEquals(502, cut.status());
    behave("{\"wrongSum\": true}");
    Api.Answer other = lead.post("/api/v1/news/ossel-26.2/fetch", Map.of());
    assertEquals(502, other.status());
    assertTrue(other.toString().contains("check sum"), other.toString());
    assertTrue(news("Ossel Insert Works").at("/newest/delivery").isNull());
  }

  @Test
  void aPackageThatNobodyAnnouncedIsNotThere() {
    assertEquals(404, lead.post("/api/v1/news/none-1/fetch", Map.of()).status());
  }
}
