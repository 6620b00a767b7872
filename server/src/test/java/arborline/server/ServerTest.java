package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Locale;
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
public abstract class ServerTest {

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
    jdbc.sql("update shop_rules set rules = '{\"unreleased\":true}'").update();
  }

  /** What lists are grouped by stands beside entries; whatever was done, it says what is so. */
  void entriesSayWhatBelongsToTheirTools() {
    List<String> wrong =
        jdbc.sql(
                """
                with cut as (
                  select tool_id, group_concat(distinct material order by material separator ', ')
                    as materials
                  from cutting_line where material <> '' group by tool_id),
                held as (
                  select s.tool_id, min(s.id) as stack_id from stack s
                  join stack_part p on p.stack_id = s.id and p.place = 0 group by s.tool_id)
                select concat(e.code, ': ', e.holder, '; ', e.materials, '; ', e.standing)
                from entry e join tool t on t.id = e.tool_id
                left join cut on cut.tool_id = e.tool_id
                left join held on held.tool_id = e.tool_id
                left join stack_part p on p.stack_id = held.stack_id and p.place = 0
                left join component c on c.id = p.component_id
                where e.holder <> coalesce(c.code, '') or e.standing <> t.standing
                  or e.materials <> left(coalesce(cut.materials, ''), 200)\
                """)
            .query(String.class)
            .list();
    assertEquals(List.of(), wrong);
  }

  /** The API with an access key of a role. */
  Api as(String role) {
    jdbc.sql("insert ignore into access_key (key_hash, role) values (sha2(?, 256), ?)")
        .params("key-" + role, role)
        .update();
    return new Api(port, "key-" + role);
  }

  /** A person of a role, whose name no other test has, with a key of his. */
  record Person(long account, String name, Api api) {}

  /** Invites somebody and gives him a key that may do all that he may. */
  Person person(String role) {
    String name = "%s %d".formatted(role.toLowerCase(Locale.ROOT), System.nanoTime());
    long account =
        lead.post("/api/v1/accounts", Api.body("name", name, "role", role))
            .at("account")
            .get("id")
            .asLong();
    jdbc.sql(
            "insert into access_key (key_hash, role, account_id, name) values (sha2(?, 256), ?, ?, 'test')")
        .params(name, role, account)
        .update();
    return new Person(account, name, new Api(port, name));
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
