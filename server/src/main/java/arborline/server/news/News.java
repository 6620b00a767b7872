package arborline.server.news;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import arborline.core.part21.ListedItems;
import arborline.core.vendor.ItemChange;
import arborline.core.vendor.ItemSaid;
import arborline.core.vendor.ReleaseOrder;
import arborline.server.news.VendorDispatch.Announced;
import arborline.server.news.VendorDispatch.ListedItem;
import arborline.server.vendor.VendorItems;
import arborline.server.vendor.VendorItems.TakenItem;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Looks what vendors have that the shop has not, before anything is fetched: new items, changes
 * value by value, what is no longer made.
 */
@Service
class News {

  private static final int SHOWN = 1000;

  private final VendorDispatch dispatch;
  private final VendorItems items;
  private final ShopItems shop;
  private final WhereUsed used;
  private final FetchedPackages fetched;

  News(
      VendorDispatch dispatch,
      VendorItems items,
      ShopItems shop,
      WhereUsed used,
      FetchedPackages fetched) {
    this.dispatch = dispatch;
    this.items = items;
    this.shop = shop;
    this.used = used;
    this.fetched = fetched;
  }

  /**
   * A package that can be fetched.
   *
   * @param size in bytes
   * @param delivery as which it came; null while it did not
   */
  record PackageHead(
      String id, String release, String dated, long size, int items, @Nullable Long delivery) {}

  /** What becomes of an item. */
  enum Change {
    NEW,
    CHANGED,
    DISCONTINUED
  }

  /**
   * An item of which there is news.
   *
   * @param item by what the vendor calls it
   * @param code that the shop has for it; null for a new one
   * @param toolId null for a new item and for a part
   * @param partId null for a new item and for a tool
   * @param fields what changed; empty for a new or discontinued one
   * @param used where one that is no longer made is used
   */
  record ItemNews(
      Change change,
      String item,
      String name,
      String kind,
      String classId,
      @Nullable String code,
      @Nullable Long toolId,
      @Nullable Long partId,
      List<ItemChange.Field> fields,
      List<WhereUsed.Use> used) {}

  /**
   * News of a vendor.
   *
   * @param taken the newest release of which the shop took something; null where it took nothing
   * @param newest the package that the news is about
   * @param newer true where the newest release is newer than the one taken
   * @param earlier other packages of this vendor, the newest first
   * @param changes the first thousand
   */
  record VendorNews(
      String vendor,
      @Nullable String taken,
      PackageHead newest,
      boolean newer,
      List<PackageHead> earlier,
      long fresh,
      long changed,
      long discontinued,
      long same,
      List<ItemNews> changes) {}

  /**
   * Asks the dispatch.
   *
   * @throws IOException where it does not answer; the message says how
   */
  List<VendorNews> look() throws IOException {
    Map<String, List<Announced>> byVendor = new TreeMap<>();
    for (Announced announced : dispatch.packages()) {
      byVendor
          .computeIfAbsent(Codes.key(announced.vendor()), key -> new ArrayList<>())
          .add(announced);
    }
    List<VendorNews> news = new ArrayList<>();
    for (Map.Entry<String, List<Announced>> vendor : byVendor.entrySet()) {
      List<Announced> newestFirst =
          vendor.getValue().stream()
              .sorted(
                  Comparator.comparing(Announced::release, ReleaseOrder.OLDEST_FIRST).reversed())
              .toList();
      List<ListedItem> listed = dispatch.items(newestFirst.getFirst());
      news.add(of(vendor.getKey(), newestFirst, listed));
    }
    return news;
  }

  private VendorNews of(String vendorKey, List<Announced> newestFirst, List<ListedItem> listed) {
    Announced newest = newestFirst.getFirst();
    Map<String, TakenItem> taken = new HashMap<>();
    items.all(vendorKey).forEach(item -> taken.put(item.itemKey(), item));
    String last = items.releases(vendorKey).stream().max(ReleaseOrder.OLDEST_FIRST).orElse(null);
    Map<String, ShopItems.ShopItem> ours = shop.of(taken.values());
    List<ItemNews> changes = new ArrayList<>();
    Set<String> there = new HashSet<>();
    long same = 0;
    for (ListedItem item : listed) {
      RawItem now =
          ListedItems.item(item.id(), item.text(item.what()), item.text(item.name()), item.known());
      if (!there.add(Codes.key(item.id())) || now.kind() == ItemKind.STACK) {
        continue;
      }
      TakenItem before = taken.get(Codes.key(item.id()));
      if (before == null) {
        changes.add(fresh(now));
        continue;
      }
      ItemChange change = change(before, now, ours.get(before.itemKey()));
      if (change.fields().isEmpty()) {
        same++;
      } else {
        changes.add(changed(before, now, change));
      }
    }
    List<TakenItem> gone =
        taken.values().stream()
            .filter(item -> !there.contains(item.itemKey()) && item.discontinued() == null)
            .filter(item -> ReleaseOrder.OLDEST_FIRST.compare(item.release(), newest.release()) < 0)
            .sorted(Comparator.comparing(TakenItem::item))
            .toList();
    gone.stream().limit(SHOWN).forEach(item -> changes.add(discontinued(item)));
    changes.sort(Comparator.comparing(ItemNews::change, Comparator.comparingInt(News::rank)));
    Map<String, Long> deliveries = fetched.deliveries();
    return new VendorNews(
        newest.vendor(),
        last,
        head(newest, deliveries),
        last == null || ReleaseOrder.OLDEST_FIRST.compare(newest.release(), last) > 0,
        newestFirst.stream().skip(1).map(one -> head(one, deliveries)).toList(),
        count(changes, Change.NEW),
        count(changes, Change.CHANGED),
        gone.size(),
        same,
        changes.stream().limit(SHOWN).toList());
  }

  /** What concerns the shop's own tools comes first. */
  private static int rank(Change change) {
    return switch (change) {
      case CHANGED -> 0;
      case DISCONTINUED -> 1;
      case NEW -> 2;
    };
  }

  private static long count(List<ItemNews> changes, Change which) {
    return changes.stream().filter(one -> one.change() == which).count();
  }

  private static PackageHead head(Announced one, Map<String, Long> deliveries) {
    return new PackageHead(
        one.id(),
        one.release(),
        one.dated() == null ? "" : one.dated(),
        one.size(),
        Math.max(0, one.items()),
        deliveries.get(one.id()));
  }

  private static ItemNews fresh(RawItem now) {
    return new ItemNews(
        Change.NEW,
        now.text(RawItem.CODE),
        now.text(RawItem.NAME),
        now.kind().word(),
        now.text(RawItem.CLASS),
        null,
        null,
        null,
        List.of(),
        List.of());
  }

  private static ItemNews changed(TakenItem before, RawItem now, ItemChange change) {
    return new ItemNews(
        Change.CHANGED,
        before.item(),
        now.text(RawItem.NAME),
        now.kind().word(),
        now.text(RawItem.CLASS),
        before.code(),
        before.tool() ? before.targetId() : null,
        before.tool() ? null : before.targetId(),
        change.fields(),
        List.of());
  }

  private ItemNews discontinued(TakenItem item) {
    return new ItemNews(
        Change.DISCONTINUED,
        item.item(),
        item.said().text(RawItem.NAME),
        item.said().kind().word(),
        item.said().text(RawItem.CLASS),
        item.code(),
        item.tool() ? item.targetId() : null,
        item.tool() ? null : item.targetId(),
        List.of(),
        used.of(item));
  }

  /** Models are not listed: a body that was read from one says nothing here. */
  private static ItemChange change(TakenItem before, RawItem now, ShopItems.ShopItem ours) {
    if (ours == null || before.said().kind() != now.kind()) {
      return new ItemChange(List.of());
    }
    RawItem said =
        before.tool() ? before.said() : before.said().with(Map.of(PartReading.BODIES, Cell.of("")));
    ItemSaid own =
        ours.tool().map(ItemSaid::of).orElseGet(() -> ItemSaid.of(ours.part().orElseThrow()));
    return ItemChange.of(ItemSaid.of(said), ItemSaid.of(now), own);
  }
}
