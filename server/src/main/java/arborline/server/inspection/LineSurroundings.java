package arborline.server.inspection;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Inspected;
import arborline.core.library.Codes;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.VendorPackages;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.inspection.Surroundings.ShopTool;
import arborline.server.tool.HeldCodes;
import arborline.server.tool.StoredTools;
import arborline.server.vendor.VendorItems;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Looks up what the lines of one batch meet. */
@Component
class LineSurroundings {

  private static final int LONGEST_KEY = 60;

  private final JdbcClient jdbc;
  private final DeliveryNeighbours neighbours;
  private final ShopParts shopParts;
  private final AttachedFiles files;
  private final HeldCodes held;
  private final VendorPackages packages;
  private final VendorItems items;

  LineSurroundings(
      JdbcClient jdbc,
      DeliveryNeighbours neighbours,
      ShopParts shopParts,
      AttachedFiles files,
      HeldCodes held,
      VendorPackages packages,
      VendorItems items) {
    this.jdbc = jdbc;
    this.neighbours = neighbours;
    this.shopParts = shopParts;
    this.files = files;
    this.held = held;
    this.packages = packages;
    this.items = items;
  }

  /**
   * What these lines meet.
   *
   * @param lines what was understood of each of them, in the same order
   */
  Surroundings of(long deliveryId, List<DeliveryLine> rows, List<Inspected> lines) {
    Set<String> tools = keys(lines, line -> !part(line));
    Set<String> parts = keys(lines, LineSurroundings::part);
    Set<String> ofStacks =
        lines.stream()
            .flatMap(line -> stackParts(line).stream())
            .map(Codes::key)
            .collect(Collectors.toSet());
    Optional<VendorPackage> vendor =
        vendorItems(rows).isEmpty() ? Optional.empty() : packages.of(deliveryId);
    Set<String> allParts = new HashSet<>(parts);
    allParts.addAll(ofStacks);
    return new Surroundings(
        deliveryId,
        neighbours.firstLines(deliveryId, tools, false),
        neighbours.firstLines(deliveryId, parts, true),
        tools.isEmpty() ? Map.of() : shop(tools),
        allParts.isEmpty() ? Map.of() : shopParts.byKeys(allParts),
        neighbours.parts(deliveryId, ofStacks),
        held.why(tools),
        alike(deliveryId, rows, lines),
        neighbours.inserts(deliveryId, kept(lines, line -> StoredTools.insertKey(line.tool()))),
        lines.stream().anyMatch(line -> !attachments(line).isEmpty())
            ? files.of(deliveryId)
            : List.of(),
        vendor,
        vendor
            .map(known -> items.known(known.vendorKey(), vendorItems(rows), deliveryId))
            .orElse(Map.of()));
  }

  private static Set<String> vendorItems(List<DeliveryLine> rows) {
    return rows.stream()
        .map(row -> row.vendorItem)
        .filter(Objects::nonNull)
        .map(Codes::key)
        .collect(Collectors.toSet());
  }

  private List<DeliveryNeighbours.Alike> alike(
      long deliveryId, List<DeliveryLine> rows, List<Inspected> lines) {
    List<DeliveryNeighbours.Alike> found =
        new ArrayList<>(neighbours.alike(kept(lines, line -> dimensions(line.tool()))));
    found.addAll(
        neighbours.linesAt(
            deliveryId,
            rows.stream().map(row -> row.twinPosition).filter(Objects::nonNull).toList()));
    return found;
  }

  /** Fingerprint of the dimensions of a tool; null where it says too little. */
  static @Nullable Long dimensions(Tool tool) {
    return StoredTools.dimensionKey(Completed.of(tool).tool());
  }

  private static <T> Set<T> kept(List<Inspected> lines, Function<Inspected, @Nullable T> what) {
    return lines.stream()
        .filter(line -> line.kind().standsAlone() && !part(line))
        .map(what)
        .filter(Objects::nonNull)
        .collect(Collectors.toSet());
  }

  /** Codes of the parts that the stacks of a line name, and a stack by itself. */
  private static List<String> stackParts(Inspected line) {
    return Stream.concat(
            line.raw().stacks().stream(),
            line.kind() == ItemKind.STACK ? Stream.of(line.raw().item()) : Stream.empty())
        .flatMap(stack -> stack.parts().stream())
        .toList();
  }

  private static Set<String> keys(List<Inspected> lines, Predicate<Inspected> which) {
    return lines.stream()
        .filter(which)
        .map(line -> Codes.key(line.tool().code()))
        .filter(key -> !key.isEmpty() && key.length() <= LONGEST_KEY)
        .collect(Collectors.toSet());
  }

  /**
   * Tools of the shop by code key; unknown ones are left out. A code whose tool was merged into
   * another one stands for that.
   */
  Map<String, ShopTool> shop(Collection<String> keys) {
    Map<String, ShopTool> present = new HashMap<>();
    jdbc
        .sql(
            """
            select o.id, t.code_key, o.code, v.name, v.class_id, v.vals, v.hash,
              exists(select 1 from entry e where e.tool_id = o.id) as shelved
            from tool t join tool o on o.id = coalesce(t.merged_into, t.id)
            join tool_version v on v.id = o.version_id
            where t.code_key in (:keys)\
            """)
        .param("keys", keys)
        .query((row, index) ->
            new ShopTool(
                row.getLong("id"),
                row.getString("code_key"),
                StoredTools.tool(
                    row.getString("code"),
                    row.getString("name"),
                    row.getString("class_id"),
                    row.getString("vals")),
                row.getString("hash"),
                row.getBoolean("shelved")))
        .list()
        .stream()
        .forEach(tool -> present.put(tool.codeKey(), tool));
    return present;
  }

  /** Paths that a line names. */
  static List<String> attachments(Inspected line) {
    return PathList.read(line.raw().item().text(RawItem.ATTACHMENT));
  }

  /** True for a holder, an extension or another part. */
  static boolean part(Inspected line) {
    return line.kind().component().isPresent();
  }
}
