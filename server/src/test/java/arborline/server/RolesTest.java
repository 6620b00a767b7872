package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every endpoint, asked by every role. */
class RolesTest extends ServerTest {

  private static final List<String> ROLES =
      List.of("LEAD", "PROGRAMMER", "TOOLROOM", "OPERATOR", "VISITOR");

  /** The orders name what does not exist, so that nothing is changed by those who may. */
  @ParameterizedTest(name = "{0} {1}: {2}")
  @CsvSource({
    "POST,   /libraries,                              LEAD PROGRAMMER",
    "POST,   /libraries/999999/tools,                 LEAD PROGRAMMER",
    "POST,   /libraries/999999/tools/1/copy,          LEAD PROGRAMMER",
    "DELETE, /libraries/999999/tools/1,               LEAD PROGRAMMER",
    "PUT,    /tools/999999?version=1,                 LEAD PROGRAMMER",
    "POST,   /tools/999999/back?version=1,            LEAD PROGRAMMER",
    "PUT,    /deliveries/999999/reading,              LEAD PROGRAMMER",
    "PATCH,  /deliveries/999999/lines/1,              LEAD PROGRAMMER",
    "POST,   /deliveries/999999/repair,               LEAD PROGRAMMER",
    "POST,   /deliveries/999999/look,                 LEAD PROGRAMMER",
    "PUT,    /libraries/999999/naming,                LEAD PROGRAMMER",
    "POST,   /libraries/999999/naming/rename,         LEAD PROGRAMMER",
    "POST,   /materials,                              LEAD PROGRAMMER",
    "DELETE, /materials/none,                         LEAD PROGRAMMER",
    "POST,   /libraries/999999/codes,                 LEAD PROGRAMMER",
    "POST,   /components,                             LEAD PROGRAMMER",
    "PUT,    /components/999999?version=1,                      LEAD PROGRAMMER",
    "PUT,    /components/999999/retired?retired=true, LEAD PROGRAMMER",
    "POST,   /tools/999999/stacks,                    LEAD PROGRAMMER",
    "PUT,    /stacks/999999?version=1,                          LEAD PROGRAMMER",
    "DELETE, /stacks/999999,                          LEAD PROGRAMMER",
    "POST,   /tools/999999/cutting,                   LEAD PROGRAMMER",
    "PUT,    /cutting/999999/proven?version=1,        LEAD PROGRAMMER TOOLROOM",
    "DELETE, /cutting/999999,                         LEAD PROGRAMMER",
    "DELETE, /tools/999999/attachments/1,             LEAD PROGRAMMER",
    "POST,   /deliveries/999999/settle,               LEAD PROGRAMMER",
    "POST,   /deliveries/999999/allow,                LEAD PROGRAMMER",
    "POST,   /conversions/999999/stop,                LEAD PROGRAMMER",
    "DELETE, /conversions/999999,                     LEAD PROGRAMMER",
    "DELETE, /recipes/999999,                         LEAD PROGRAMMER",
    "POST,   /libraries/999999/files,                 LEAD PROGRAMMER",
    "POST,   /deliveries/999999/accept,               LEAD PROGRAMMER",
    "POST,   /deliveries/999999/stop,                 LEAD PROGRAMMER",
    "DELETE, /deliveries/999999,                      LEAD PROGRAMMER",
    "POST,   /duplicates/search/stop,                 LEAD PROGRAMMER",
    "POST,   /duplicates/merge,                       LEAD PROGRAMMER",
    "POST,   /duplicates/apart,                       LEAD PROGRAMMER",
    "PUT,    /machines/none/plan/1,                   LEAD TOOLROOM",
    "DELETE, /machines/none/plan/1,                   LEAD TOOLROOM",
    "POST,   /machines/none/reconciliation/apply,     LEAD TOOLROOM",
    "POST,   /physical-tools,                         LEAD TOOLROOM OPERATOR",
    "PUT,    /physical-tools/999999/state?version=1,  LEAD TOOLROOM OPERATOR",
    "POST,   /physical-tools/999999/measurements,     LEAD TOOLROOM OPERATOR",
    "DELETE, /physical-tools/999999?version=1,        LEAD TOOLROOM OPERATOR",
    "POST,   /trail/999999/undo,                      LEAD PROGRAMMER TOOLROOM OPERATOR"
  })
  void changingNeedsTheRight(String method, String path, String allowed) {
    Set<String> may = Set.of(allowed.split(" "));
    for (String role : ROLES) {
      int status =
          as(role)
              .send(
                  method,
                  "/api/v1" + path,
                  Api.body("library", 999_999, "toolId", 1, "lines", List.of()))
              .status();
      if (may.contains(role)) {
        assertTrue(status != 401 && status != 403 && status < 500, role + " got " + status);
      } else {
        assertEquals(403, status, role);
      }
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/libraries",
        "/libraries/1",
        "/libraries/1/tools",
        "/libraries/1/facets",
        "/libraries/1/export?format=csv",
        "/libraries/1/losses?format=csv",
        "/classes",
        "/schema/tools",
        "/deliveries",
        "/machines",
        "/physical-tools",
        "/machines/M1",
        "/machines/M1/table",
        "/machines/M1/reconciliation",
        "/trail",
        "/units",
        "/components",
        "/materials",
        "/explain/quantity?text=1/2&from=in&to=mm&decimals=3"
      })
  void everybodySignedInMayLook(String path) {
    for (String role : ROLES) {
      assertEquals(200, as(role).get("/api/v1" + path).status(), role);
    }
    assertEquals(401, new Api(port, "no such key").get("/api/v1" + path).status());
  }

  @Test
  void takingADeedBackNeedsTheRightToDoIt() {
    library("Only editors");
    long undo = lead.get("/api/v1/trail?limit=1").at("items").get(0).get("id").asLong();
    String path = "/api/v1/trail/%d/undo".formatted(undo);
    assertEquals(403, as("TOOLROOM").post(path, null).status());
    assertEquals(204, as("PROGRAMMER").post(path, null).status());
  }
}
