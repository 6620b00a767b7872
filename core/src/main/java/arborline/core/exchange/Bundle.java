package arborline.core.exchange;

import arborline.core.cutting.CuttingEntry;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A tool as files carry it: with its number and section in its library, its attachments, its
 * cutting data and the stacks that hold it. The parts of these stacks are given to a writer before.
 *
 * @param section blank where it stands in none
 * @param attachments paths of files that stand beside the one that is written
 */
public record Bundle(
    Tool tool,
    OptionalInt number,
    String section,
    List<String> attachments,
    List<CuttingEntry> cutting,
    List<PlannedStack> stacks) {

  public Bundle {
    attachments = List.copyOf(attachments);
    cutting = List.copyOf(cutting);
    stacks = List.copyOf(stacks);
  }

  /** A tool alone. */
  public Bundle(Tool tool, OptionalInt number) {
    this(tool, number, "", List.of(), List.of(), List.of());
  }

  /** The same with these attachments. */
  public Bundle withAttachments(List<String> paths) {
    return new Bundle(tool, number, section, paths, cutting, stacks);
  }

  /** The same with what belongs to it. */
  public Bundle with(List<CuttingEntry> entries, List<PlannedStack> planned) {
    return new Bundle(tool, number, section, attachments, entries, planned);
  }

  /** Its items as a file has them: the tool, its cutting data, its stacks. */
  public List<RawItem> items() {
    SortedMap<String, Cell> own = new TreeMap<>();
    number.ifPresent(stated -> own.put(RawItem.NUMBER, Cell.of(Integer.toString(stated))));
    if (!section.isBlank()) {
      own.put(RawItem.SECTION, Cell.of(section));
    }
    if (!attachments.isEmpty()) {
      own.put(RawItem.ATTACHMENT, Cell.of(PathList.text(attachments)));
    }
    RawItem item = RawItem.of(tool).with(own).of(ItemKind.ofClass(tool.toolClass()));
    List<RawItem> items = new ArrayList<>();
    items.add(item);
    cutting.forEach(entry -> items.add(CuttingReading.of(entry, tool.code())));
    stacks.forEach(stack -> items.add(StackReading.of(stack, tool.code())));
    return items;
  }
}
