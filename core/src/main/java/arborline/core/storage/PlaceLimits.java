package arborline.core.storage;

import arborline.core.connection.Connection;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Says what of a storage's limits a tool exceeds, whatever else stands there. */
public final class PlaceLimits {

  private PlaceLimits() {}

  /** What is exceeded. */
  public enum Limit {
    DIAMETER("diameter-beyond-limit", "DC"),
    LENGTH("length-beyond-limit", "LPR"),
    MASS("mass-beyond-limit", "WT"),
    MOMENT("moment-beyond-limit", "WT"),
    SEAT("seat-differs", "CCMS"),
    SWING("swing-beyond-limit", "LPR");

    private final String code;
    private final String symbol;

    Limit(String code, String symbol) {
      this.code = code;
      this.symbol = symbol;
    }

    /** Name of the finding. */
    public String code() {
      return code;
    }

    /** The property it points at. */
    public String symbol() {
      return symbol;
    }
  }

  /**
   * One limit that a tool exceeds.
   *
   * @param message a sentence with both numbers
   */
  public record Exceeded(Limit limit, String message) {}

  /** Everything that keeps a tool out of a storage; empty where nothing does. */
  public static List<Exceeded> exceeded(Storage storage, ToolBody tool) {
    StorageLimits limits = storage.definition().limits();
    String what = "the " + storage.definition().form().word();
    List<Exceeded> exceeded = new ArrayList<>();
    above(
        exceeded,
        Limit.DIAMETER,
        "Ø%s mm is more than %s takes (Ø%s mm)",
        tool.diameter(),
        what,
        limits.diameterEmpty());
    above(
        exceeded,
        Limit.LENGTH,
        "length %s mm is more than %s takes (%s mm)",
        tool.length(),
        what,
        limits.length());
    above(
        exceeded,
        Limit.MASS,
        "mass %s kg is more than %s takes (%s kg)",
        tool.mass(),
        what,
        limits.mass());
    above(
        exceeded,
        Limit.MOMENT,
        "tilting moment %s N·m is more than %s takes (%s N·m)",
        tool.moment(),
        what,
        limits.moment());
    if (storage instanceof Turret turret) {
      above(
          exceeded,
          Limit.SWING,
          "it reaches %s mm from the axis of %s, which swings %s mm",
          turret.swung(tool),
          what,
          turret.body().swing());
    }
    String seat = storage.definition().seat();
    if (seat != null && tool.seat() != null && !seat.equals(tool.seat())) {
      exceeded.add(
          new Exceeded(
              Limit.SEAT,
              "it goes into %s, %s has %s"
                  .formatted(Connection.tradeName(tool.seat()), what, Connection.tradeName(seat))));
    }
    return exceeded;
  }

  private static void above(
      List<Exceeded> exceeded,
      Limit limit,
      String sentence,
      BigDecimal size,
      String storage,
      @Nullable BigDecimal most) {
    if (most != null && size.compareTo(most) > 0) {
      exceeded.add(
          new Exceeded(
              limit, sentence.formatted(size.toPlainString(), storage, most.toPlainString())));
    }
  }
}
