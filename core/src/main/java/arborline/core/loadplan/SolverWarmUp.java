package arborline.core.loadplan;

import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.StorageLimits;
import arborline.core.storage.ToolBody;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Plans a small load that nobody asked for: the first load after a start is planned a second slower
 * than those that follow, since the solver and its classes are loaded with it.
 */
public final class SolverWarmUp {

  private static final int PLACES = 24;
  private static final Duration TIME = Duration.ofSeconds(1);

  private SolverWarmUp() {}

  /** Plans it; what comes out of it is of no interest. */
  public static LoadAnswer run() {
    Storage chain =
        Storage.of(
            new StorageDefinition(
                "C",
                StorageForm.CHAIN,
                PLACES,
                "",
                1,
                BigDecimal.valueOf(100),
                true,
                true,
                null,
                new StorageLimits(
                    BigDecimal.valueOf(80), BigDecimal.valueOf(150), null, null, null, null, null),
                null,
                null));
    Map<String, LoadTool> tools = new HashMap<>();
    Map<LoadPlace, String> present = new HashMap<>();
    List<String> wanted = new ArrayList<>();
    for (int number = 0; number < PLACES / 2; number++) {
      String narrow = "narrow " + number;
      tools.put(narrow, tool(20 + number));
      present.put(new LoadPlace(0, 2 * number), narrow);
      wanted.add(narrow);
    }
    for (int number = 0; number < 2; number++) {
      String wide = "wide " + number;
      tools.put(wide, tool(110 + number));
      wanted.add(wide);
    }
    return new LoadPlanner(TIME)
        .plan(new LoadProblem(List.of(chain), Map.of(), tools, present, wanted, Set.of()));
  }

  private static LoadTool tool(int diameter) {
    BigDecimal one = BigDecimal.ONE;
    return new LoadTool(
        new ToolBody(
            BigDecimal.valueOf(diameter), BigDecimal.TEN, one, one, null, null, false, null),
        Optional.empty(),
        Optional.empty());
  }
}
