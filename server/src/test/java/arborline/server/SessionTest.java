package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.json.JsonMapper;

@AutoConfigureMockMvc
class SessionTest extends ServerTest {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Autowired MockMvc mvc;

  private MockHttpServletRequestBuilder signIn(String name, String password) {
    return post("/api/v1/session")
        .contentType(MediaType.APPLICATION_JSON)
        .content("{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
  }

  private int status(MockHttpServletRequestBuilder request) throws Exception {
    return mvc.perform(request).andReturn().getResponse().getStatus();
  }

  @Test
  void signInNeedsNamePasswordAndToken() throws Exception {
    assertEquals(403, status(signIn("lead", "tidewrack")));
    assertEquals(401, status(signIn("lead", "wrong").with(csrf().asHeader())));
    assertEquals(401, status(signIn("nobody", "tidewrack").with(csrf().asHeader())));
    String body =
        mvc.perform(signIn("Lead", "tidewrack").with(csrf().asHeader()))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertTrue(body.contains("\"role\":\"lead\"") && body.contains("EDIT"));
  }

  @Test
  void guessingIsSlowedDown() throws Exception {
    for (int i = 0; i < 5; i++) {
      status(signIn("visitor", "guess" + i).with(csrf().asHeader()));
    }
    assertEquals(429, status(signIn("visitor", "tidewrack").with(csrf().asHeader())));
    assertEquals(200, status(signIn("operator", "tidewrack").with(csrf().asHeader())));
  }

  private int from(String address, String password) throws Exception {
    return status(
        signIn("programmer", password)
            .with(csrf().asHeader())
            .with(request -> {
              request.setRemoteAddr(address);
              return request;
            }));
  }

  @Test
  void guessesFromElsewhereDoNotLockTheUsualAddress() throws Exception {
    assertEquals(200, from("192.0.2.1", "tidewrack"));
    for (int guess = 0; guess < 30; guess++) {
      from("192.0.2." + (10 + guess), "guess" + guess);
    }
    assertEquals(429, from("192.0.2.99", "tidewrack"));
    assertEquals(200, from("192.0.2.1", "tidewrack"));
  }

  /** The answers to twenty sign-ins on one account at once. */
  private List<Integer> atOnce(String name, IntFunction<String> password) throws Exception {
    try (var many = Executors.newVirtualThreadPerTaskExecutor()) {
      List<Future<Integer>> asked =
          IntStream.range(0, 20)
              .mapToObj(i ->
                  many.submit(
                      () -> status(signIn(name, password.apply(i)).with(csrf().asHeader()))))
              .toList();
      List<Integer> answers = new ArrayList<>();
      for (Future<Integer> answer : asked) {
        answers.add(answer.get());
      }
      return answers;
    }
  }

  @Test
  void guessesThatAreMadeAtOnceAllCount() throws Exception {
    List<Integer> answers = atOnce("toolroom", i -> "guess" + i);
    assertTrue(Collections.frequency(answers, 429) >= 14, answers.toString());
  }

  /** A class that begins at eight o'clock, or scripts that share one account. */
  @Test
  void whoeverKnowsThePasswordIsLetInEvenManyAtOnce() throws Exception {
    assertEquals(Collections.nCopies(20, 200), atOnce("operator", i -> "tidewrack"));
  }

  @Test
  void aNameWithAnotherAccentIsAnotherName() throws Exception {
    assertEquals(401, status(signIn("\u00f6perator", "tidewrack").with(csrf().asHeader())));
  }

  @Test
  void refusalsOutsideTheControllersAreProblemDocumentsToo() throws Exception {
    var refused = mvc.perform(signIn("lead", "tidewrack")).andReturn().getResponse();
    assertEquals("application/problem+json", refused.getContentType().split(";")[0]);
    assertTrue(refused.getContentAsString().contains("load the page again"));
    for (String path :
        new String[] {"/error", "/api/v1/libraries/1%00", "/" + "a".repeat(20_000)}) {
      Api.Answer odd = lead.get(java.net.URI.create(path));
      assertTrue(odd.status() >= 400 && odd.status() < 500, path.substring(0, 6));
      assertTrue(odd.body().has("detail"), odd.toString());
    }
  }

  @Test
  void pagesSayWhatTheyMayLoadAndNotWhereTheyCameFrom() throws Exception {
    var page = mvc.perform(get("/")).andReturn().getResponse();
    assertEquals("same-origin", page.getHeader("Referrer-Policy"));
    String policy = page.getHeader("Content-Security-Policy");
    for (String part :
        new String[] {"default-src 'self'", "script-src", "frame-ancestors 'none'"}) {
      assertTrue(policy.contains(part), policy);
    }
    List<String> directives =
        Stream.of(policy.split(";")).map(directive -> directive.strip().split(" ")[0]).toList();
    assertEquals(List.copyOf(new LinkedHashSet<>(directives)), directives, "each is stated once");
  }

  @Test
  void passwordsAreStoredHashed() {
    assertTrue(
        jdbc.sql("select password_hash from account where name = 'lead'")
            .query(String.class)
            .single()
            .startsWith("{bcrypt}"));
  }

  @Test
  void nothingBehindTheApiIsOpen() throws Exception {
    for (String path : new String[] {"libraries", "deliveries", "machines", "trail", "events"}) {
      assertEquals(401, status(get("/api/v1/" + path)), path);
    }
    assertEquals(200, status(get("/actuator/health")));
    assertEquals(401, status(get("/actuator/env")));
  }

  @Test
  void theInterfaceIsGeneratedFromThePublishedDocument() throws Exception {
    mvc.perform(get("/api/v1/openapi.json"));
    String served =
        mvc.perform(get("/api/v1/openapi.json")).andReturn().getResponse().getContentAsString();
    String kept = Files.readString(Path.of("../ui/openapi.json"));
    assertEquals(
        JSON.readTree(kept),
        JSON.readTree(served),
        "the API changed: run ./arbor openapi and look at what the interface says to it");
  }
}
