package arborline.core.cutting;

import arborline.core.finding.Finding;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A work material that a shop adds.
 *
 * @param group letter of ISO 513, or W or O
 * @param force kc1.1 in N/mm2; empty where hardness stands for it
 * @param rise mc; empty for that of the group
 * @param hardness Brinell; empty where the force is given
 */
public record OwnMaterial(
    String name, String group, OptionalDouble force, OptionalDouble rise, OptionalDouble hardness) {

  private static final double LEAST_FORCE = 10;
  private static final double MOST_FORCE = 10_000;
  private static final double MOST_HARDNESS = 750;

  /** What is in the way of it; nothing where all is well. */
  public Optional<Finding> obstacle() {
    if (name.isBlank() || name.length() > 60) {
      return hold("a material needs a name of 1 to 60 characters");
    }
    if (kin().isEmpty()) {
      return hold("group is one of P, M, K, N, S, H, W, O, not '%s'".formatted(group));
    }
    if (force.isPresent()
        && !(force.getAsDouble() >= LEAST_FORCE && force.getAsDouble() <= MOST_FORCE)) {
      return hold("kc1.1 must be 10 to 10 000 N/mm²");
    }
    if (rise.isPresent() && !(rise.getAsDouble() >= 0 && rise.getAsDouble() < 1)) {
      return hold("mc must be 0 to 1");
    }
    if (hardness.isPresent()
        && !(hardness.getAsDouble() >= 20 && hardness.getAsDouble() <= MOST_HARDNESS)) {
      return hold("hardness must be 20 to 750 HB");
    }
    return known().isEmpty()
        ? hold("give kc1.1; or the hardness, which does for metals only")
        : Optional.empty();
  }

  private static Optional<Finding> hold(String message) {
    return Optional.of(Finding.hold("own-material", message));
  }

  private List<WorkMaterial> kin() {
    return WorkMaterials.all().stream().filter(material -> material.group().equals(group)).toList();
  }

  private OptionalDouble known() {
    return force.isPresent() || hardness.isEmpty()
        ? force
        : Hardness.force(group, hardness.getAsDouble());
  }

  /**
   * The material; speeds, feeds and mc are those of the most similar one of its group.
   *
   * @throws IllegalStateException where {@link #obstacle} names one
   */
  public WorkMaterial material(String id) {
    obstacle()
        .ifPresent(finding -> {
          throw new IllegalStateException(finding.message());
        });
    double kc = known().getAsDouble();
    WorkMaterial like =
        kin().stream()
            .min(Comparator.comparingDouble(other -> Math.abs(other.force() - kc)))
            .orElseThrow();
    return new WorkMaterial(
        id,
        group,
        name.strip(),
        kc,
        rise.orElse(like.rise()),
        like.speedLow(),
        like.speedHigh(),
        like.feedLow(),
        like.feedHigh());
  }
}
