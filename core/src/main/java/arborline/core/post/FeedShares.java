package arborline.core.post;

import arborline.core.post.DefaultLayers.Effective;
import arborline.core.post.DefaultLayers.Source;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;

/** Feeds by purpose: shares of the feed that a tool's cutting data say. */
public final class FeedShares {

  private static final MathContext THREE = new MathContext(3);

  private FeedShares() {}

  /**
   * A feed for a purpose.
   *
   * @param key {@code feed.plunge}
   * @param share of the whole feed
   * @param feed mm/min, rounded to three figures
   */
  public record PurposeFeed(String key, BigDecimal share, BigDecimal feed, Source source) {}

  /**
   * Feeds by purpose.
   *
   * @param feed what the cutting data say, mm/min
   */
  public static List<PurposeFeed> of(List<Effective> defaults, BigDecimal feed) {
    return defaults.stream()
        .filter(one ->
            DefaultKey.named(one.key()).filter(key -> key.unit().equals("share")).isPresent())
        .map(one -> {
          BigDecimal share = new BigDecimal(one.value());
          return new PurposeFeed(one.key(), share, plain(share.multiply(feed)), one.source());
        })
        .toList();
  }

  private static BigDecimal plain(BigDecimal feed) {
    BigDecimal rounded = feed.round(THREE).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }
}
