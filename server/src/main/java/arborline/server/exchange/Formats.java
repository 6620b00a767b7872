package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleFormats;
import arborline.core.quantity.Unit;
import arborline.server.support.Refusal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Format and unit as an address names them. */
public final class Formats {

  private Formats() {}

  public static BundleFormat named(String id) {
    return BundleFormats.named(id)
        .orElseThrow(() ->
            Refusal.badRequest(
                "format is one of "
                    + String.join(
                        ", ", BundleFormats.all().stream().map(BundleFormat::id).toList())));
  }

  public static Optional<Unit> unit(@Nullable String text) {
    if (text == null || text.isBlank()) {
      return Optional.empty();
    }
    return switch (text) {
      case "mm" -> Optional.of(Unit.MILLIMETRE);
      case "in" -> Optional.of(Unit.INCH);
      default -> throw Refusal.badRequest("unit is mm or in");
    };
  }
}
