package arborline.core.asset;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/**
 * What a document says of cutting tools.
 *
 * @param assets tools and archetypes, in order
 * @param faults what is wrong, by line
 * @param doubtful what a person must be asked or shown
 */
public record AssetDocument(List<Asset> assets, List<Fault> faults, List<Doubt> doubtful) {

  /**
   * A tool or an archetype.
   *
   * @param kind {@code CuttingTool} or {@code CuttingToolArchetype}
   * @param sizes of the tool itself
   * @param status as written
   * @param programToolNumber as written, leading zeros and all
   * @param connection code of the machine side
   * @param removed true where it is marked so
   */
  public record Asset(
      long line,
      Optional<String> assetId,
      Optional<String> toolId,
      Optional<String> serial,
      String kind,
      Sizes sizes,
      List<String> status,
      List<Life> life,
      Optional<Location> location,
      Optional<String> programToolNumber,
      Optional<String> connection,
      List<CuttingItem> cuttingItems,
      boolean removed) {}

  /**
   * Measurements by symbol; lengths in mm, angles in degrees, mass in kg.
   *
   * @param values nominal ones
   * @param limits lowest and highest; either may be missing
   */
  public record Sizes(
      SortedMap<String, BigDecimal> values,
      SortedMap<String, BigDecimal> measured,
      SortedMap<String, Limits> limits) {}

  /** Lowest and highest value allowed. */
  public record Limits(Optional<BigDecimal> minimum, Optional<BigDecimal> maximum) {}

  /**
   * One counter of a tool's life.
   *
   * @param type {@code MINUTES}, {@code PART_COUNT} or {@code WEAR}
   * @param direction {@code UP} or {@code DOWN}
   */
  public record Life(
      Optional<String> type,
      Optional<String> direction,
      Optional<BigDecimal> value,
      Optional<BigDecimal> limit,
      Optional<BigDecimal> warning,
      Optional<BigDecimal> initial) {}

  /**
   * Where a tool is.
   *
   * @param value as written
   * @param positiveOverlap blocked places behind it
   * @param negativeOverlap blocked places before it
   */
  public record Location(
      Optional<String> type,
      Optional<String> value,
      Optional<BigDecimal> positiveOverlap,
      Optional<BigDecimal> negativeOverlap) {}

  /** An edge or an insert, or several of them alike. */
  public record CuttingItem(
      Optional<String> indices,
      Optional<String> itemId,
      Optional<String> grade,
      Sizes sizes,
      List<Life> life) {}

  /**
   * Something wrong.
   *
   * @param kind stable name, such as {@code outside-limits}
   * @param asset id of the asset; empty where it has none
   */
  public record Fault(long line, String kind, String asset, String message) {}

  /** Something that a person must be asked or shown. */
  public record Doubt(String asset, String about, Optional<String> symbol) {}
}
