package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The lines of a delivery by what they have in common. */
class LineGroupsTest extends ServerTest {

  private static final String TABLE =
      """
      CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],OAL [mm],DMM [mm],NOF
      LG-1,Rougher short,end-mill-flat,7,10,22,72,10,4
      LG-2,Rougher long,end-mill-flat,108,10,30,83,10,4
      LG-3,Finisher,end-mill-flat,120,8,20,63,8,6
      LG-4,Finisher,end-mill-ball,,8,20,63,8,2
      """;

  private String lines;

  @BeforeEach
  void deliver() {
    lines = "/api/v1/deliveries/%d/lines".formatted(lead.deliver("groups.csv", TABLE));
  }

  private Map<String, Long> groups(String query) {
    Map<String, Long> groups = new TreeMap<>();
    for (JsonNode group : lead.get(lines + "/groups?by=" + query).at("items")) {
      groups.put(group.get("group").asString(), group.get("count").asLong());
    }
    return groups;
  }

  private List<String> codes(String query) {
    return StreamSupport.stream(lead.get(lines + query).at("items").spliterator(), false)
        .map(line -> line.get("code").asString())
        .toList();
  }

  @Test
  void linesAreCountedByClassNameNumberAndKind() {
    assertEquals(Map.of("end-mill-flat", 3L, "end-mill-ball", 1L), groups("class"));
    assertEquals(Map.of("Rougher", 2L, "Finisher", 2L), groups("name"));
    assertEquals(Map.of("0", 1L, "100", 2L, "", 1L), groups("number"));
    assertEquals(Map.of("CUTTER", 4L), groups("kind"));
    assertEquals(Map.of("Rougher", 1L), groups("name&text=short"));
    assertEquals(400, lead.get(lines + "/groups?by=weather").status());
  }

  @Test
  void linesAreSortedAndCountedByTheDateOfTheirFile() {
    Map<String, byte[]> files = new TreeMap<>();
    Map<String, LocalDateTime> changed = new TreeMap<>();
    for (int year = 2024; year > 2021; year--) {
      String name = "list of %d.csv".formatted(2030 - year);
      String table = "CODE,NAME\nLG-D%1$d,of %1$d\n".formatted(year);
      files.put(name, table.getBytes(StandardCharsets.UTF_8));
      changed.put(name, LocalDateTime.of(year, 3, 9, 23, 59));
    }
    lines =
        "/api/v1/deliveries/%d/lines".formatted(lead.deliver("dated.zip", Zips.of(files, changed)));
    assertEquals(List.of("LG-D2022", "LG-D2023", "LG-D2024"), codes("?sort=date"));
    assertEquals(Map.of("2022-03-09", 1L, "2023-03-09", 1L, "2024-03-09", 1L), groups("date"));
    assertEquals(List.of("LG-D2023"), codes("?by=date&group=2023-03-09"));
  }

  @ParameterizedTest
  @CsvSource({
    "?by=name&group=Rougher,         LG-1 LG-2",
    "?by=number&group=100,           LG-2 LG-3",
    "?by=number&group=,              LG-4",
    "?by=class&group=end-mill-ball,  LG-4",
    "?sort=diameter,                 LG-3 LG-4 LG-1 LG-2",
    "?text=finish&sort=code,         LG-3 LG-4",
    "?dcFrom=9&dcTo=11,              LG-1 LG-2",
  })
  void oneGroupIsListed(String query, String codes) {
    assertEquals(List.of(codes.split(" ")), codes(query));
  }
}
