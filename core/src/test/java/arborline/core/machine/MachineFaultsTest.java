package arborline.core.machine;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What of a machine definition is refused. */
class MachineFaultsTest {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Test
  void soundDefinitionsHaveNone() {
    assertEquals(List.of(), MachineFaults.of(TestMachines.heron(48)));
    assertEquals(List.of(), MachineFaults.of(TestMachines.cormorant()));
  }

  @Test
  void oneOfEachKindCanBeSetUpAsSoonAsItIsCalledSomething() {
    for (Machine kind : MachineKinds.all()) {
      assertEquals(
          List.of(
              "id: 1 to 12 letters, digits and hyphens, a letter first",
              "name: 1 to 60 characters"),
          MachineFaults.of(kind),
          kind.kind());
    }
  }

  private static List<String> changed(Machine machine, String pointer, String value) {
    JsonNode tree = JSON.readTree(JSON.writeValueAsString(machine));
    int last = pointer.lastIndexOf('/');
    JsonNode parent = tree.at(pointer.substring(0, last));
    ((ObjectNode) parent).set(pointer.substring(last + 1), JSON.readTree(value));
    return MachineFaults.of(JSON.treeToValue(tree, Machine.class));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\'',
      textBlock =
          """
          /id | "1 M" | id: 1 to 12 letters
          /name | null | name: 1 to 60 characters
          /spindles | [] | spindles: a machine has one at least
          /storages | null | storages: a machine holds tools in one at least
          /spindles/0/seat | null | spindles[0].seat: state what connection it has
          /spindles/0/seat | "BT40" | spindles[0].seat: 'BT40' is no connection
          /spindles/0/seat | "ST-JD-40:m" | spindles[0].seat: ST-JD-40:m is a shank
          /spindles/0/rpm | 0 | spindles[0].rpm: it must be above 0
          /spindles/0/rpm | 1e99 | spindles[0].rpm: a number from 0 to 1000000
          /storages/0/places | 0 | storages[0].places: 1 to 400
          /storages/0/first | 9990 | storages[0].first: its last place would be above 9999
          /storages/0/prefix | "t1" | storages[0].prefix: up to 3 capital letters
          /storages/0/form | null | storages[0].form: choose what kind
          /storages/0/form | "TURRET" | storages[0].turret: state its radius
          /storages/0/pitch | -5 | storages[0].pitch: a number from 0
          /storages/0/limits/mass | 0 | storages[0].limits.mass: it must be above 0
          /storages/0/limits/diameterFull | 151 | storages[0].limits.diameterFull: beside taken
          /axes/0/from | 2000 | axes[0]: it ends before it begins
          /habits | null | habits: state how the control keeps
          /habits/nameCharacters | "z-a" | habits.nameCharacters: this is no list
          /habits/nameCharacters | "a][b" | habits.nameCharacters: brackets
          /numbering | null | numbering.scheme: choose
          /numbering/from | 5 | numbering: state both ends
          /outputs/hoodFrom | 5 | outputs: state the lowest and the highest
          """)
  void whatCannotBeIsNamedWithItsPlace(String pointer, String value, String fault) {
    List<String> faults = changed(TestMachines.heron(48), pointer, value);
    assertTrue(faults.stream().anyMatch(found -> found.startsWith(fault)), pointer + ": " + faults);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\'',
      textBlock =
          """
          /storages/0/turret/radius | null | storages[0].turret.radius: state it
          /storages/0/turret/swing | 200 | storages[0].turret.swing: it cannot be less
          /storages/0/turret/reaches | ["sub"] | storages[0].turret.reaches: no spindle
          /storages/0/turret/stations/0/number | 13 | storages[0].turret.stations[0].number: station 13
          /storages/0/turret/stations/0/rpm | null | storages[0].turret.stations[0].rpm: state
          """)
  void whatCannotBeOfATurretIsNamedToo(String pointer, String value, String fault) {
    List<String> faults = changed(TestMachines.cormorant(), pointer, value);
    assertTrue(faults.stream().anyMatch(found -> found.startsWith(fault)), pointer + ": " + faults);
  }

  @Test
  void twoRangesOfPlacesDoNotOverlap() {
    Machine heron = TestMachines.heron(48);
    JsonNode tree = JSON.readTree(JSON.writeValueAsString(heron));
    ObjectNode second = (ObjectNode) tree.at("/storages/0").deepCopy();
    second.put("id", "R").put("first", 48);
    ((tools.jackson.databind.node.ArrayNode) tree.get("storages")).add(second);
    assertEquals(
        List.of(
            "storages[1]: place 48 is one of storages[0] too; give it a prefix or another first"
                + " number"),
        MachineFaults.of(JSON.treeToValue(tree, Machine.class)));
  }
}
