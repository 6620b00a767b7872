package arborline.server.delivery;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RawItemsJson;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.library.Codes;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.server.support.Bulk;
import arborline.server.tool.StoredTools;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SortedMap;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

@Entity
@DynamicUpdate
public class DeliveryLine {

  @Id public Long id;
  public long deliveryId;
  public int fileNo;

  /** Where it starts in its file, from 1. */
  public long lineNo;

  /** What it is. */
  @Enumerated(EnumType.STRING)
  public ItemKind kind;

  /** Its place among all lines of the delivery. */
  public long position;

  public String code;
  public String codeKey;
  public String name;
  public String classId;
  public BigDecimal dc;
  public Integer number;

  /** Fingerprint of its dimensions; null where it says too little. */
  public @Nullable Long dimensionKey;

  /**
   * Place of the first line with the same dimensions, as it was read; null where it is the first.
   */
  public @Nullable Long twinPosition;

  /** True where it names what stands elsewhere: parts of stacks, an insert, files. */
  public boolean looksBeyond;

  /** The insert that it is or takes, for comparing; null where it names none. */
  public @Nullable String insertKey;

  @Enumerated(EnumType.STRING)
  public Disposition disposition;

  public String hash;
  public String cells;
  public String findings;

  /** What went wrong while reading the line; settled by editing it. */
  public String readingFindings;

  public boolean lookedAt;

  /** What somebody chose where the shop has another tool under its code, as JSON; null for none. */
  public @Nullable String choice;

  /** Why somebody let it in although it was held; null where nobody did. */
  public @Nullable String allowed;

  /** Key of the tool that it belongs to, where it does not stand beside it; else null. */
  public @Nullable String owner;

  /** Lines of cutting data that came with it; null without any. */
  public @Nullable String cutting;

  /** Stacks that came with it; null without any. */
  public @Nullable String stacks;

  /** How far it was held against the model that it names. */
  public enum Inspection {
    /** It was, or it names none. */
    DONE,
    /** It will be. */
    ASKED,
    /** Somebody stopped it before. */
    LEFT
  }

  @Enumerated(EnumType.STRING)
  public Inspection inspection = Inspection.DONE;

  /** By what its vendor calls it; null where it comes from none. */
  public @Nullable String vendorItem;

  /** What its vendor said, whatever was corrected since; null where it comes from none. */
  public @Nullable String vendorCells;

  /** The tool or the part that it became; null while it was not taken. */
  public @Nullable Long takenId;

  public Integer takeNo;

  public static final Bulk.Target<DeliveryLine> TARGET =
      new Bulk.Target<>(
          "delivery_line",
          List.of(
              "id",
              "delivery_id",
              "file_no",
              "line_no",
              "kind",
              "position",
              "code",
              "code_key",
              "name",
              "class_id",
              "dc",
              "number",
              "dimension_key",
              "insert_key",
              "looks_beyond",
              "disposition",
              "hash",
              "cells",
              "findings",
              "reading_findings",
              "looked_at",
              "owner",
              "cutting",
              "stacks",
              "vendor_item",
              "vendor_cells",
              "inspection"),
          line ->
              new Object[] {
                line.id,
                line.deliveryId,
                line.fileNo,
                line.lineNo,
                line.kind.name(),
                line.position,
                line.code,
                line.codeKey,
                line.name,
                line.classId,
                line.dc,
                line.number,
                line.dimensionKey,
                line.insertKey,
                line.looksBeyond,
                line.disposition.name(),
                line.hash,
                line.cells,
                line.findings,
                line.readingFindings,
                line.lookedAt,
                line.owner,
                line.cutting,
                line.stacks,
                line.vendorItem,
                line.vendorCells,
                line.inspection.name()
              });

  protected DeliveryLine() {}

  public DeliveryLine(
      long id, long deliveryId, int fileNo, long position, Inspected inspected, String findings) {
    this.id = id;
    this.deliveryId = deliveryId;
    this.fileNo = fileNo;
    this.position = position;
    this.lineNo = inspected.raw().item().line();
    judged(inspected, findings);
    inspection = names(RawItem.ATTACHMENT) ? Inspection.ASKED : Inspection.DONE;
  }

  public final void judged(Inspected inspected, String judgement) {
    kind = inspected.kind();
    code = cut(inspected.tool().code(), 60);
    codeKey = Codes.key(code);
    name = cut(inspected.tool().name(), 200);
    classId = cut(inspected.tool().toolClass(), 40);
    Tool completed = Completed.of(inspected.tool()).tool();
    dc = StoredTools.diameter(completed);
    dimensionKey = part() ? null : StoredTools.dimensionKey(completed);
    insertKey = StoredTools.insertKey(completed);
    number = inspected.number().isPresent() ? inspected.number().getAsInt() : null;
    hash = ContentHash.of(inspected.tool(), inspected.cutting(), inspected.stacks());
    keep(inspected.raw());
    looksBeyond =
        stacks != null || insertKey != null && kind == ItemKind.CUTTER || names(RawItem.ATTACHMENT);
    findings = judgement;
    disposition =
        lookedAt && inspected.disposition() == Disposition.QUERY
            ? Disposition.PASS
            : inspected.disposition();
  }

  private void keep(RawBundle raw) {
    RawItem item = raw.item();
    cells = CellsJson.toText(item.cells());
    if (item.kind().standsAlone()) {
      owner = null;
      cutting = raw.cutting().isEmpty() ? null : RawItemsJson.toText(raw.cutting());
      stacks = raw.stacks().isEmpty() ? null : RawItemsJson.toText(raw.stacks());
    } else {
      owner = cut(item.owner(), 70);
      cutting = item.kind() == ItemKind.CUTTING ? RawItemsJson.toText(List.of(item)) : null;
      stacks = item.kind() == ItemKind.STACK ? RawItemsJson.toText(List.of(item)) : null;
    }
  }

  /** Gets what another line says of the same item; its vendor said that as well. */
  public void restated(RawItem fuller, DeliveryLine other) {
    RawBundle own = raw();
    RawBundle others = other.raw();
    List<RawItem> cuts = new ArrayList<>(own.cutting());
    cuts.addAll(others.cutting());
    List<RawItem> held = new ArrayList<>(own.stacks());
    held.addAll(others.stacks());
    keep(new RawBundle(fuller, cuts, held));
    vendorCells = cells;
  }

  /** It has nothing to take. */
  public void skip(String why) {
    disposition = Disposition.SKIPPED;
    findings = why;
    readingFindings = why;
    RawBundle own = raw();
    keep(new RawBundle(own.item(), List.of(), List.of()));
    looksBeyond = false;
  }

  /** Gets other cells before it is judged. */
  public void recode(Map<String, Cell> replacements) {
    RawBundle own = raw();
    keep(new RawBundle(own.item().with(replacements), own.cutting(), own.stacks()));
    code = cut(own.item().with(replacements).text(RawItem.CODE), 60);
    codeKey = Codes.key(code);
  }

  /**
   * Its stacks name their tool and their parts by other codes.
   *
   * @param codes by the keys of those that they name
   */
  public void recodeParts(Map<String, String> codes) {
    RawBundle own = raw();
    if (kind == ItemKind.STACK) {
      keep(RawBundle.of(recoded(own.item(), codes)));
    } else if (!own.stacks().isEmpty()) {
      keep(
          new RawBundle(
              own.item(),
              own.cutting(),
              own.stacks().stream().map(stack -> recoded(stack, codes)).toList()));
    }
  }

  private static RawItem recoded(RawItem stack, Map<String, String> codes) {
    return new RawItem(
        stack.line(),
        stack.kind(),
        codes.getOrDefault(Codes.key(stack.owner()), stack.owner()),
        stack.cells(),
        stack.parts().stream().map(part -> codes.getOrDefault(Codes.key(part), part)).toList(),
        stack.findings());
  }

  /** Its model says what its vendor did not write: that is the vendor's word as well. */
  public void fromModel(Map<String, Cell> read) {
    RawBundle own = raw();
    keep(new RawBundle(own.item().with(read), own.cutting(), own.stacks()));
    if (vendorCells != null) {
      RawItem said = new RawItem(lineNo, kind, CellsJson.fromText(vendorCells), List.of());
      vendorCells = CellsJson.toText(said.with(read).cells());
    }
  }

  /** It gets other cutting data in place of what it had. */
  public void recut(List<SortedMap<String, Cell>> cuts) {
    RawBundle own = raw();
    String key = own.item().key();
    keep(
        new RawBundle(
            own.item(),
            cuts.stream().map(cells -> RawItem.cutting(lineNo, key, cells)).toList(),
            own.stacks()));
    lookedAt = false;
  }

  /** One of its stacks gets other cells. */
  public void restack(int index, Map<String, Cell> replacements) {
    RawBundle own = raw();
    List<RawItem> held = new ArrayList<>(own.stacks());
    held.set(index, held.get(index).with(replacements));
    keep(new RawBundle(own.item(), own.cutting(), held));
    lookedAt = false;
  }

  /** It is an item of a vendor, as it was read. */
  public void ofVendor() {
    if (kind.standsAlone() && !codeKey.isEmpty()) {
      vendorItem = code;
      vendorCells = cells;
    }
  }

  /** Somebody took it into the shop; a query counts as looked at. */
  public void taken(long id, int no) {
    lookedAt |= disposition == Disposition.QUERY;
    disposition = Disposition.PASS;
    takenId = id;
    takeNo = no;
  }

  /** Adds what belongs to it and stood elsewhere in the delivery. */
  public void attach(List<RawItem> others) {
    RawBundle own = raw();
    List<RawItem> cuts = new ArrayList<>(own.cutting());
    List<RawItem> held = new ArrayList<>(own.stacks());
    others.forEach(other -> (other.kind() == ItemKind.STACK ? held : cuts).add(other));
    keep(new RawBundle(own.item(), cuts, held));
  }

  /** Adds files of the delivery, by their paths. */
  public void name(List<String> paths) {
    RawBundle own = raw();
    List<String> all = new ArrayList<>(PathList.read(own.item().text(RawItem.ATTACHMENT)));
    all.addAll(paths);
    RawItem item = own.item().with(Map.of(RawItem.ATTACHMENT, Cell.of(PathList.text(all))));
    keep(new RawBundle(item, own.cutting(), own.stacks()));
    inspection = Inspection.ASKED;
  }

  /** True where it may enter the shop: inspected, not held, and not taken yet. */
  public boolean enters() {
    boolean good = disposition == Disposition.PASS || disposition == Disposition.QUERY;
    return good && inspection == Inspection.DONE && takenId == null;
  }

  /** True where nothing belongs to it. */
  public boolean bare() {
    return cutting == null && stacks == null && !names(RawItem.ATTACHMENT);
  }

  /** True where it has such a cell. */
  private boolean names(String symbol) {
    return cells.contains("\"" + symbol + "\"");
  }

  /** The tool that it became; null for a part and for what was not taken. */
  public @Nullable Long takenToolId() {
    return part() ? null : takenId;
  }

  /** True for a holder, an extension, a collet, an arbor or an aggregate. */
  public boolean part() {
    return kind.component().isPresent();
  }

  public RawBundle raw() {
    if (!kind.standsAlone()) {
      String text = kind == ItemKind.CUTTING ? cutting : stacks;
      return RawBundle.of(
          RawItemsJson.fromText(
                  Objects.requireNonNull(text), kind, Objects.requireNonNullElse(owner, ""))
              .getFirst());
    }
    RawItem item = new RawItem(lineNo, kind, CellsJson.fromText(cells), List.of());
    return new RawBundle(
        item, belonging(cutting, ItemKind.CUTTING, item), belonging(stacks, ItemKind.STACK, item));
  }

  private static List<RawItem> belonging(@Nullable String text, ItemKind kind, RawItem item) {
    return text == null ? List.of() : RawItemsJson.fromText(text, kind, item.key());
  }

  /** Columns keep what fits; the cells keep everything. */
  private static String cut(String text, int length) {
    return text.length() > length ? text.substring(0, length) : text;
  }
}
