package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Settled;
import arborline.core.part21.VendorProperties;
import arborline.core.stack.Component;
import arborline.core.vendor.ItemChange;
import arborline.core.vendor.ItemSaid;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.inspection.Surroundings.ShopTool;
import arborline.server.support.Json;
import arborline.server.vendor.VendorItems.TakenItem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Judges lines of a vendor's newer release beside what the shop took of it before. */
@Service
class VendorLines {

  private final Json json;

  VendorLines(Json json) {
    this.json = json;
  }

  /** A tool that the shop took of this vendor; nothing where it did not. */
  Optional<Inspected> tool(
      DeliveryLine line, Inspected inspected, ShopTool present, Surroundings around) {
    Optional<TakenItem> before =
        around
            .before(line.vendorItem)
            .filter(item -> item.tool() && item.targetId() == present.id());
    return before.map(item -> {
      VendorVerdict verdict =
          verdict(
              item,
              around.vendor(),
              () -> compared(item.said(), line, inspected, ItemSaid.of(present.tool())));
      line.choice =
          verdict
              .proposal()
              .map(settled -> json.text(LineChoice.proposed(settled, present.hash())))
              .orElse(null);
      return verdict
          .proposal()
          .map(settled -> SettledLine.of(all(inspected, verdict), present.tool(), settled))
          .orElseGet(() -> open(inspected, verdict));
    });
  }

  /** A holder or another part that the shop took of this vendor; nothing where it did not. */
  Optional<Inspected> part(
      DeliveryLine line, Inspected inspected, ShopParts.KnownPart present, Surroundings around) {
    Optional<TakenItem> before =
        around
            .before(line.vendorItem)
            .filter(item -> !item.tool() && item.targetId() == present.id());
    return before.map(item -> {
      Component arriving = inspected.component().orElseThrow();
      Component now = present.component();
      VendorVerdict verdict =
          verdict(
              item,
              around.vendor(),
              () -> compared(comparable(item.said(), arriving), line, inspected, ItemSaid.of(now)));
      line.choice =
          verdict
              .proposal()
              .map(settled -> json.text(LineChoice.proposed(settled, ContentHash.of(now))))
              .orElse(null);
      return verdict
          .proposal()
          .map(settled -> SettledLine.of(all(inspected, verdict), now, settled))
          .orElseGet(() -> open(inspected, verdict));
    });
  }

  /** A body comes from a model, and where that gives none nobody took one back. */
  static RawItem comparable(RawItem before, Component arriving) {
    return arriving.bodies().isEmpty()
        ? before.with(Map.of(PartReading.BODIES, Cell.of("")))
        : before;
  }

  /** What the vendor changed, and what somebody corrected on the line. */
  private record Compared(ItemChange change, Set<String> corrected) {}

  private static Compared compared(
      RawItem before, DeliveryLine line, Inspected inspected, ItemSaid ours) {
    ItemSaid now = ItemSaid.of(inspected.raw().item());
    return new Compared(
        ItemChange.of(ItemSaid.of(before), now, ours),
        corrected(ItemChange.of(ItemSaid.of(said(line)), now, ours)));
  }

  private static VendorVerdict verdict(
      TakenItem item, Optional<VendorPackage> now, Supplier<Compared> compared) {
    String release = now.map(VendorPackage::release).orElse("");
    return VendorVerdict.older(item.item(), item.release(), release)
        .orElseGet(() -> {
          Compared found = compared.get();
          return VendorVerdict.of(item.item(), release, found.change(), found.corrected());
        });
  }

  private static Set<String> corrected(ItemChange sinceRead) {
    Set<String> fields = new TreeSet<>();
    sinceRead.fields().stream()
        .filter(field -> field.outcome() != ItemChange.Outcome.AGREES)
        .map(ItemChange.Field::field)
        .forEach(fields::add);
    return fields;
  }

  /** The line as its vendor wrote it, under the code that the shop has for it. */
  private static RawItem said(DeliveryLine line) {
    RawItem now = line.raw().item();
    return new RawItem(now.line(), now.kind(), CellsJson.fromText(line.vendorCells), List.of());
  }

  private static Inspected all(Inspected inspected, VendorVerdict verdict) {
    List<Finding> findings = new ArrayList<>(inspected.findings());
    findings.addAll(verdict.findings());
    return inspected.with(findings);
  }

  /**
   * Where nothing is taken, what the item's own model contradicts and what could not be told of it
   * is still said.
   */
  private static Inspected open(Inspected inspected, VendorVerdict verdict) {
    if (!verdict.skipped()) {
      return all(inspected, verdict);
    }
    List<Finding> said = new ArrayList<>(verdict.findings());
    inspected.findings().stream()
        .filter(finding ->
            finding.code().startsWith(ModelChecks.PREFIX)
                || finding.code().equals(VendorProperties.DOUBTFUL))
        .forEach(said::add);
    return inspected.with(said, Disposition.SKIPPED);
  }

  /** What the shop's part is after a choice. */
  static Component settled(Component arriving, Component present, Settled settled) {
    return switch (settled.answer()) {
      case KEEP -> present;
      case REPLACE -> arriving;
      case MERGE -> {
        RawItem there = PartReading.of(present);
        RawItem here = PartReading.of(arriving);
        Map<String, Cell> taken = new TreeMap<>();
        settled
            .fields()
            .forEach(field -> taken.put(field, here.cells().getOrDefault(field, Cell.of(""))));
        yield PartReading.interpret(there.with(taken), present.kind()).component();
      }
    };
  }
}
