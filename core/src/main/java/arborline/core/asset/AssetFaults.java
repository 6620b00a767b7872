package arborline.core.asset;

import arborline.core.asset.AssetDocument.Doubt;
import arborline.core.asset.AssetDocument.Fault;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Collects what is wrong or doubtful about a document. */
final class AssetFaults {

  private static final Pattern DECIMAL =
      Pattern.compile("[-+]?(?:\\d{1,15}(?:\\.\\d{0,15})?|\\.\\d{1,15})(?:[eE][-+]?\\d{1,2})?");

  private final List<Fault> faults = new ArrayList<>();
  private final List<Doubt> doubts = new ArrayList<>();

  void add(XmlElement element, String kind, String asset, String message) {
    faults.add(new Fault(element.line(), kind, asset, message));
  }

  void doubt(String asset, String about, String symbol) {
    doubts.add(new Doubt(asset, about, Optional.of(symbol)));
  }

  void doubt(String asset, String about) {
    doubts.add(new Doubt(asset, about, Optional.empty()));
  }

  /** A decimal number; what is none is said and left out. */
  Optional<BigDecimal> number(XmlElement element, String asset, String text) {
    if (DECIMAL.matcher(text).matches()) {
      return Optional.of(new BigDecimal(text));
    }
    add(
        element,
        "not-a-number",
        asset,
        "%s: '%s' is no decimal number".formatted(element.name(), text));
    return Optional.empty();
  }

  List<Fault> faults() {
    return faults.stream().sorted(java.util.Comparator.comparingLong(Fault::line)).toList();
  }

  List<Doubt> doubts() {
    return List.copyOf(doubts);
  }
}
