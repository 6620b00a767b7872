package arborline.core.loadplan;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.ToolBody;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SortedPlacesTest {

  /** A rack of five places 100 mm apart; over 80 mm a tool needs room beside it. */
  private static final Storage RACK =
      Storage.of(
          new StorageDefinition(
              "R",
              StorageForm.RACK,
              5,
              "",
              1,
              new BigDecimal("100"),
              false,
              true,
              null,
              new StorageLimits(
                  new BigDecimal("80"), new BigDecimal("150"), null, null, null, null, null),
              BigDecimal.ZERO,
              null));

  private static LoadTool tool(String diameter) {
    return new LoadTool(
        new ToolBody(
            new BigDecimal(diameter),
            BigDecimal.TEN,
            BigDecimal.ONE,
            BigDecimal.ONE,
            null,
            null,
            false,
            null),
        Optional.empty(),
        Optional.empty());
  }

  private static LoadPlace at(int place) {
    return new LoadPlace(0, place - 1);
  }

  private static Optional<Map<LoadPlace, String>> sorted(
      Map<LoadPlace, String> fixed, Map<String, LoadTool> tools, List<String> order) {
    Map<LoadPlace, String> present = new HashMap<>();
    int place = 1;
    for (String tool : tools.keySet()) {
      present.put(at(place++), tool);
    }
    return SortedPlaces.of(
        new LoadProblem(List.of(RACK), fixed, tools, present, List.of(), Set.of()), 0, order);
  }

  @Test
  void eachGoesIntoTheNextPlaceThatTakesIt() {
    Map<String, LoadTool> tools = Map.of("A", tool("10"), "B", tool("125"), "C", tool("10"));
    assertEquals(
        Optional.of(Map.of(at(1), "A", at(3), "B", at(5), "C")),
        sorted(Map.of(), tools, List.of("A", "B", "C")));
  }

  @Test
  void aToolWithAPlaceOfItsOwnStaysThere() {
    Map<String, LoadTool> tools = Map.of("A", tool("10"), "B", tool("10"), "C", tool("10"));
    assertEquals(
        Optional.of(Map.of(at(1), "C", at(2), "A", at(3), "B")),
        sorted(Map.of(at(2), "A"), tools, List.of("C", "B", "A")));
  }

  @Test
  void whatDoesNotFitInThatOrderIsSaid() {
    Map<String, LoadTool> tools =
        Map.of("A", tool("10"), "B", tool("125"), "C", tool("10"), "D", tool("10"));
    assertEquals(Optional.empty(), sorted(Map.of(), tools, List.of("A", "B", "C", "D")));
  }
}
