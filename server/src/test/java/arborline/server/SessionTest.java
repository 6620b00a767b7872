package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.nio.file.Files;
import java.nio.file.Path;
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
    assertEquals(401, status(signIn("lead", "wrong").with(csrf())));
    assertEquals(401, status(signIn("nobody", "tidewrack").with(csrf())));
    String body =
        mvc.perform(signIn("Lead", "tidewrack").with(csrf()))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertTrue(body.contains("\"role\":\"lead\"") && body.contains("EDIT"));
  }

  @Test
  void guessingIsSlowedDown() throws Exception {
    for (int i = 0; i < 5; i++) {
      status(signIn("visitor", "guess" + i).with(csrf()));
    }
    assertEquals(429, status(signIn("visitor", "tidewrack").with(csrf())));
    assertEquals(200, status(signIn("operator", "tidewrack").with(csrf())));
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
    String served =
        mvc.perform(get("/api/v1/openapi.json")).andReturn().getResponse().getContentAsString();
    String kept = Files.readString(Path.of("../ui/openapi.json"));
    assertEquals(
        JSON.readTree(kept),
        JSON.readTree(served),
        "the API changed: run ./arbor openapi and look at what the interface says to it");
  }
}
