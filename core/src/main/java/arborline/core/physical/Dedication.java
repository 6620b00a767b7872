package arborline.core.physical;

import arborline.core.cutting.WorkMaterial;
import java.util.Collection;
import java.util.Optional;

/**
 * A physical tool is dedicated to a family of work materials once it was used: traces and nicks of
 * metal ruin a finish in plastic, and abrasive plies dull what cuts wood.
 */
public final class Dedication {

  private Dedication() {}

  /**
   * Why a piece is not offered for a material.
   *
   * @param piece how people call it: its serial
   * @param cut materials that it has cut
   * @return empty where it may be used for it
   */
  public static Optional<String> refusal(
      String piece, Collection<WorkMaterial> cut, WorkMaterial wanted) {
    WorkMaterialFamily family = WorkMaterialFamily.of(wanted);
    return cut.stream()
        .filter(before -> WorkMaterialFamily.of(before) != family)
        .findFirst()
        .map(before ->
            "%s has cut %s (%s) and stays with %s: for %s take one that has not"
                .formatted(
                    piece,
                    before.name(),
                    WorkMaterialFamily.of(before).words(),
                    WorkMaterialFamily.of(before).words(),
                    wanted.name()));
  }
}
