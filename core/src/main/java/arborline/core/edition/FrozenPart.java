package arborline.core.edition;

import arborline.core.exchange.BundlePart;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RawItemsJson;
import java.util.List;
import java.util.Map;

/** A holder or another part of stacks as it was, as text. */
public final class FrozenPart {

  private FrozenPart() {}

  /** As text, the same for the same part; without the files that belong to it. */
  public static String text(BundlePart part) {
    RawItem item = part.item();
    return RawItemsJson.toText(
        List.of(
            item.with(
                Map.of(
                    RawItem.CLASS, Cell.of(item.kind().word()), RawItem.ATTACHMENT, Cell.of("")))));
  }

  /** Reads what {@link #text} wrote. */
  public static RawItem read(String text) {
    return RawItemsJson.fromText(text, ItemKind.HOLDER, "").getFirst();
  }

  /** The part itself; a holder where its text does not say what it is. */
  public static BundlePart part(String text) {
    RawItem item = read(text);
    ItemKind kind = ItemKind.named(item.text(RawItem.CLASS)).orElse(ItemKind.HOLDER);
    return new BundlePart(
        PartReading.interpret(
                item.of(kind).with(Map.of(RawItem.CLASS, Cell.of(""))),
                kind.component().orElseThrow())
            .component(),
        List.of());
  }
}
