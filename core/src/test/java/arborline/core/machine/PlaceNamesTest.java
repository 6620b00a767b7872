package arborline.core.machine;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.storage.StorageDefinition;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PlaceNamesTest {

  private static Machine chain(int places, String prefix, int first) {
    Machine heron = TestMachines.heron(places);
    StorageDefinition chain = heron.storages().getFirst();
    return new Machine(
        heron.id(),
        heron.name(),
        heron.kind(),
        heron.spindles(),
        List.of(
            new StorageDefinition(
                chain.id(),
                chain.form(),
                places,
                prefix,
                first,
                chain.pitch(),
                chain.closed(),
                chain.random(),
                chain.seat(),
                chain.limits(),
                chain.clearance(),
                null)),
        heron.axes(),
        heron.habits(),
        heron.numbering(),
        heron.outputs());
  }

  @Test
  void aPlaceKeepsItsTurnWhenItsStorageIsCalledOtherwise() {
    assertEquals(
        Map.of("1", "A1", "2", "A2", "3", "A3"),
        PlaceNames.changed(chain(4, "", 1), chain(3, "A", 1)));
    assertEquals(
        Map.of("1", "101", "2", "102"), PlaceNames.changed(chain(2, "", 1), chain(2, "", 101)));
  }

  @Test
  void nothingIsCalledOtherwiseWhereOnlyTheNumberOfPlacesChanges() {
    assertEquals(Map.of(), PlaceNames.changed(chain(4, "", 1), chain(8, "", 1)));
  }
}
