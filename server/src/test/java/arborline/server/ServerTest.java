package arborline.server;

import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.JsonNode;

/** A test against the whole server on a real MariaDB, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
abstract class ServerTest {

  @LocalServerPort int port;
  @Autowired JdbcClient jdbc;
  Api lead;

  @DynamicPropertySource
  static void properties(DynamicPropertyRegistry registry) {
    Api.properties(registry);
  }

  @BeforeEach
  void signIn() {
    lead = as("LEAD");
  }

  /** The API with an access key of a role. */
  Api as(String role) {
    jdbc.sql("insert ignore into access_key (key_hash, role) values (sha2(?, 256), ?)")
        .params("key-" + role, role)
        .update();
    return new Api(port, "key-" + role);
  }

  /** The line of a delivery with a code; of several the first that no other file restates. */
  JsonNode line(long delivery, String code) {
    return StreamSupport.stream(
            lead.get("/api/v1/deliveries/%d/lines?limit=500".formatted(delivery))
                .at("items")
                .spliterator(),
            false)
        .filter(one -> one.get("code").asString().equals(code))
        .filter(one -> !one.get("findings").toString().contains("restated"))
        .findFirst()
        .orElseThrow();
  }

  /** A library of its own, so that tests do not meet. */
  long library(String name) {
    return lead.post("/api/v1/libraries", Api.body("name", name)).number("id");
  }

  /** A table of flat end mills with codes of a prefix. */
  static String table(String prefix, int count) {
    StringBuilder table =
        new StringBuilder("CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n");
    for (int i = 1; i <= count; i++) {
      table.append(
          "%s-%d,Mill %d,end-mill-flat,%d,%d,15,10,72,4\n".formatted(prefix, i, i, i, 5 + i % 20));
    }
    return table.toString();
  }
}
