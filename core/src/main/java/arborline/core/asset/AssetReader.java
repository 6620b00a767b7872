package arborline.core.asset;

import arborline.core.asset.AssetDocument.Asset;
import arborline.core.asset.AssetDocument.CuttingItem;
import arborline.core.asset.AssetDocument.Life;
import arborline.core.asset.AssetDocument.Location;
import arborline.core.exchange.UnreadableFileException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads cutting-tool documents of any version, with or without the document around the asset.
 * Elements of other namespaces and what stands inside a definition are never taken.
 */
public final class AssetReader {

  private static final String FAMILY = "urn:mtconnect.org:MTConnectAssets";
  private static final String TOOL = "CuttingTool";
  private static final String ARCHETYPE = "CuttingToolArchetype";
  private static final Set<String> STATUS =
      Set.of(
          "NEW",
          "AVAILABLE",
          "UNAVAILABLE",
          "ALLOCATED",
          "UNALLOCATED",
          "MEASURED",
          "NOT_REGISTERED",
          "RECONDITIONED",
          "USED",
          "EXPIRED",
          "BROKEN",
          "UNKNOWN");
  private static final Pattern RANGE =
      Pattern.compile("\\s*(\\d{1,4})\\s*(?:-\\s*(\\d{1,4}))?\\s*");

  private final AssetFaults faults = new AssetFaults();
  private final Set<String> ids = new HashSet<>();
  private final String namespace;

  private AssetReader(String namespace) {
    this.namespace = namespace;
  }

  /**
   * Reads a document.
   *
   * @throws UnreadableFileException where it is no XML
   */
  public static AssetDocument read(InputStream document) throws UnreadableFileException {
    XmlElement root = XmlElement.read(document);
    AssetReader reader = new AssetReader(root.namespace());
    List<Asset> assets = new ArrayList<>();
    reader.find(root, assets);
    return new AssetDocument(List.copyOf(assets), reader.faults.faults(), reader.faults.doubts());
  }

  /** What one element says, apart from its document. */
  static AssetDocument of(XmlElement element) {
    AssetReader reader = new AssetReader(element.namespace());
    Asset asset = reader.asset(element);
    return new AssetDocument(List.of(asset), reader.faults.faults(), reader.faults.doubts());
  }

  /** True for a tool and for an archetype. */
  static boolean holds(String name) {
    return name.equals(TOOL) || name.equals(ARCHETYPE);
  }

  private boolean own(XmlElement element) {
    return element.namespace().equals(namespace) || element.namespace().startsWith(FAMILY);
  }

  private void find(XmlElement element, List<Asset> assets) {
    if (!own(element)) {
      return;
    }
    if (holds(element.name())) {
      assets.add(asset(element));
    } else {
      element.children().forEach(child -> find(child, assets));
    }
  }

  private Asset asset(XmlElement element) {
    Optional<String> id = element.attribute("assetId");
    String asset = id.orElse("");
    identity(element, id);
    boolean removed = element.attribute("removed").filter("true"::equals).isPresent();
    if (removed) {
      faults.doubt(asset, "marked as removed");
    }
    List<XmlElement> cycles = element.children("CuttingToolLifeCycle", this::own).toList();
    XmlElement cycle = cycles.isEmpty() ? element : cycles.getFirst();
    return new Asset(
        element.line(),
        id,
        element.attribute("toolId"),
        element.attribute("serialNumber"),
        element.name(),
        Measurements.of(cycle, asset, this::own, faults),
        status(cycle, asset),
        life(cycle, "ToolLife", asset),
        cycle.children("Location", this::own).findFirst().map(found -> location(found, asset)),
        cycle.children("ProgramToolNumber", this::own).findFirst().flatMap(XmlElement::text),
        cycle
            .children("ConnectionCodeMachineSide", this::own)
            .findFirst()
            .flatMap(XmlElement::text),
        items(cycle, asset),
        removed);
  }

  private void identity(XmlElement element, Optional<String> id) {
    if (id.isEmpty()) {
      faults.add(element, "missing-asset-id", "", "an asset without assetId");
    } else if (!ids.add(id.get())) {
      faults.add(
          element,
          "duplicate-asset-id",
          id.get(),
          "assetId %s was there already".formatted(id.get()));
    }
  }

  private List<String> status(XmlElement cycle, String asset) {
    List<String> all = new ArrayList<>();
    for (XmlElement holder : cycle.children("CutterStatus", this::own).toList()) {
      List<String> said = new ArrayList<>();
      for (XmlElement one : holder.children("Status", this::own).toList()) {
        one.text().or(() -> unavailable(one)).ifPresent(status -> said.add(status));
        said.stream()
            .skip(Math.max(0, said.size() - 1))
            .filter(status -> !STATUS.contains(status))
            .forEach(status ->
                faults.add(
                    one,
                    "unknown-status",
                    asset,
                    "'%s' is a status of no version".formatted(status)));
      }
      contradiction(holder, said, asset);
      all.addAll(said);
    }
    return all;
  }

  /** Here the word is a status and not a missing value. */
  private static Optional<String> unavailable(XmlElement status) {
    return status.unavailable() ? Optional.of("UNAVAILABLE") : Optional.empty();
  }

  private void contradiction(XmlElement holder, List<String> said, String asset) {
    boolean age = said.contains("NEW") && said.contains("USED");
    boolean there = said.contains("AVAILABLE") && said.contains("UNAVAILABLE");
    if (age || there) {
      faults.add(
          holder,
          "status-contradiction",
          asset,
          age ? "NEW and USED at once" : "AVAILABLE and UNAVAILABLE at once");
    }
  }

  private List<Life> life(XmlElement holder, String name, String asset) {
    return holder
        .children(name, this::own)
        .map(element ->
            new Life(
                element.attribute("type"),
                element.attribute("countDirection"),
                element.text().flatMap(text -> faults.number(element, asset, text)),
                number(element, "limit", asset),
                number(element, "warning", asset),
                number(element, "initial", asset)))
        .toList();
  }

  private Optional<java.math.BigDecimal> number(
      XmlElement element, String attribute, String asset) {
    return element.attribute(attribute).flatMap(text -> faults.number(element, asset, text));
  }

  private Location location(XmlElement element, String asset) {
    return new Location(
        element.attribute("type"),
        element.text(),
        number(element, "positiveOverlap", asset),
        number(element, "negativeOverlap", asset));
  }

  private List<CuttingItem> items(XmlElement cycle, String asset) {
    List<CuttingItem> items = new ArrayList<>();
    for (XmlElement holder : cycle.children("CuttingItems", this::own).toList()) {
      List<CuttingItem> some =
          holder.children("CuttingItem", this::own).map(item -> item(item, asset)).toList();
      count(holder, some, asset);
      items.addAll(some);
    }
    return items;
  }

  private CuttingItem item(XmlElement element, String asset) {
    return new CuttingItem(
        element.attribute("indices"),
        element.attribute("itemId"),
        element.attribute("grade"),
        Measurements.of(element, asset, this::own, faults),
        life(element, "ItemLife", asset));
  }

  private void count(XmlElement holder, List<CuttingItem> items, String asset) {
    Optional<java.math.BigDecimal> stated = number(holder, "count", asset);
    int covered = items.stream().mapToInt(item -> covered(item.indices())).sum();
    boolean right =
        stated.isEmpty()
            || stated.get().compareTo(java.math.BigDecimal.valueOf(items.size())) == 0
            || stated.get().compareTo(java.math.BigDecimal.valueOf(covered)) == 0;
    if (!right) {
      faults.add(
          holder,
          "count-mismatch",
          asset,
          "count says %s cutting items, %d stand there and cover %d edges"
              .formatted(stated.get().toPlainString(), items.size(), covered));
    }
  }

  /** How many edges a text such as {@code 1-4} or {@code 1,3} covers; one where it is none. */
  private static int covered(Optional<String> indices) {
    int covered = 0;
    for (String part : indices.orElse("1").split(",")) {
      Matcher range = RANGE.matcher(part);
      if (range.matches()) {
        int first = Integer.parseInt(range.group(1));
        int last = range.group(2) == null ? first : Integer.parseInt(range.group(2));
        covered += Math.max(0, last - first + 1);
      }
    }
    return Math.max(1, covered);
  }
}
