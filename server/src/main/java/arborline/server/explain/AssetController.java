package arborline.server.explain;

import arborline.core.asset.AssetDocument;
import arborline.core.asset.AssetReader;
import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/v1/explain")
class AssetController {

  private static final long LARGEST = 20L * 1024 * 1024;

  /**
   * What a document of cutting tools says.
   *
   * @param valid false where it cannot be read; {@code reason} says why then
   */
  record Explained(
      boolean valid,
      @Nullable String reason,
      List<AssetView> assets,
      List<AssetDocument.Fault> faults,
      List<DoubtView> doubtful) {}

  /** Something that a person must be asked or shown. */
  record DoubtView(String asset, String about, @Nullable String symbol) {}

  /**
   * A tool or an archetype; what is not written is null.
   *
   * @param limits lowest and highest by symbol
   */
  record AssetView(
      long line,
      @Nullable String assetId,
      @Nullable String toolId,
      @Nullable String serial,
      String kind,
      Map<String, BigDecimal> values,
      Map<String, BigDecimal> measured,
      Map<String, List<@Nullable BigDecimal>> limits,
      List<String> status,
      List<LifeView> life,
      @Nullable LocationView location,
      @Nullable String programToolNumber,
      @Nullable String connection,
      List<ItemView> cuttingItems,
      boolean removed) {}

  record LifeView(
      @Nullable String type,
      @Nullable String direction,
      @Nullable BigDecimal value,
      @Nullable BigDecimal limit,
      @Nullable BigDecimal warning,
      @Nullable BigDecimal initial) {}

  record LocationView(
      @Nullable String type,
      @Nullable String value,
      @Nullable BigDecimal positiveOverlap,
      @Nullable BigDecimal negativeOverlap) {}

  record ItemView(
      @Nullable String indices,
      @Nullable String itemId,
      @Nullable String grade,
      Map<String, BigDecimal> values,
      Map<String, BigDecimal> measured,
      Map<String, List<@Nullable BigDecimal>> limits,
      List<LifeView> life) {}

  /** Reads a document of MTConnect cutting-tool assets. */
  @PostMapping(value = "/assets", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Explained assets(@RequestParam("file") MultipartFile file) throws IOException {
    if (file.getSize() > LARGEST) {
      return new Explained(
          false, "line 1: the document is larger than 20 MB", List.of(), List.of(), List.of());
    }
    try (InputStream content = file.getInputStream()) {
      AssetDocument read = AssetReader.read(content);
      return new Explained(
          true,
          null,
          read.assets().stream().map(AssetController::view).toList(),
          read.faults(),
          read.doubtful().stream()
              .map(
                  doubt -> new DoubtView(doubt.asset(), doubt.about(), doubt.symbol().orElse(null)))
              .toList());
    } catch (UnreadableFileException unreadable) {
      return new Explained(false, unreadable.getMessage(), List.of(), List.of(), List.of());
    }
  }

  private static AssetView view(AssetDocument.Asset asset) {
    return new AssetView(
        asset.line(),
        asset.assetId().orElse(null),
        asset.toolId().orElse(null),
        asset.serial().orElse(null),
        asset.kind(),
        asset.sizes().values(),
        asset.sizes().measured(),
        limits(asset.sizes()),
        asset.status(),
        asset.life().stream().map(AssetController::view).toList(),
        asset
            .location()
            .map(place ->
                new LocationView(
                    place.type().orElse(null),
                    place.value().orElse(null),
                    place.positiveOverlap().orElse(null),
                    place.negativeOverlap().orElse(null)))
            .orElse(null),
        asset.programToolNumber().orElse(null),
        asset.connection().orElse(null),
        asset.cuttingItems().stream().map(AssetController::view).toList(),
        asset.removed());
  }

  private static ItemView view(AssetDocument.CuttingItem item) {
    return new ItemView(
        item.indices().orElse(null),
        item.itemId().orElse(null),
        item.grade().orElse(null),
        item.sizes().values(),
        item.sizes().measured(),
        limits(item.sizes()),
        item.life().stream().map(AssetController::view).toList());
  }

  private static LifeView view(AssetDocument.Life life) {
    return new LifeView(
        life.type().orElse(null),
        life.direction().orElse(null),
        life.value().orElse(null),
        life.limit().orElse(null),
        life.warning().orElse(null),
        life.initial().orElse(null));
  }

  private static Map<String, List<@Nullable BigDecimal>> limits(AssetDocument.Sizes sizes) {
    Map<String, List<@Nullable BigDecimal>> limits = new TreeMap<>();
    sizes
        .limits()
        .forEach((symbol, limit) ->
            limits.put(
                symbol, Arrays.asList(limit.minimum().orElse(null), limit.maximum().orElse(null))));
    return limits;
  }
}
