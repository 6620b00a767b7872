package arborline.core.post;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.post.DefaultLayers.Source;
import arborline.core.post.FeedShares.PurposeFeed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FeedSharesTest {

  @Test
  void aShareOfTheFeedIsAFeedForItsPurpose() {
    assertEquals(
        List.of(
            new PurposeFeed(
                "feed.plunge", new BigDecimal("0.35"), new BigDecimal("432"), Source.MACHINE),
            new PurposeFeed(
                "feed.finish", new BigDecimal("0.8"), new BigDecimal("988"), Source.POST)),
        FeedShares.of(
            DefaultLayers.of(
                Map.of("feed.plunge", "0.5", "feed.finish", "0.8", "coolant", "flood"),
                Map.of("feed.plunge", "0.35"),
                Map.of()),
            new BigDecimal("1235")));
  }

  @Test
  void smallFeedsKeepTheirFigures() {
    assertEquals(
        new BigDecimal("0.625"),
        FeedShares.of(
                DefaultLayers.of(Map.of("feed.plunge", "0.5"), Map.of(), Map.of()),
                new BigDecimal("1.25"))
            .getFirst()
            .feed());
  }
}
