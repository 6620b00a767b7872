package arborline.server.exchange;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundlePart;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Tool;
import arborline.server.exchange.AttachmentsOfTools.Attached;
import arborline.server.library.LibraryContents;
import arborline.server.tool.StoredTools;
import arborline.server.tool.Tools;
import java.io.IOException;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/**
 * Tools with all that belongs to them: cutting data, stacks, attachments, and the inserts that they
 * take.
 */
@Component
public class WholeTools {

  private final LibraryContents contents;
  private final Tools tools;
  private final CuttingOfTools cutting;
  private final StacksOfTools stacks;
  private final InsertsOfTools inserts;
  private final AttachmentsOfTools attachments;

  WholeTools(
      LibraryContents contents,
      Tools tools,
      CuttingOfTools cutting,
      StacksOfTools stacks,
      InsertsOfTools inserts,
      AttachmentsOfTools attachments) {
    this.contents = contents;
    this.tools = tools;
    this.cutting = cutting;
    this.stacks = stacks;
    this.inserts = inserts;
    this.attachments = attachments;
  }

  /** Meets a tool with what belongs to it. */
  public interface Visitor {
    void visit(long toolId, Bundle bundle, List<Attached> attached) throws IOException;
  }

  /**
   * Visits the tools of a library by code, some at a time, and behind them the inserts that they
   * take and the library does not hold.
   *
   * @param beside is told some tools at once before they are visited
   */
  public void ofLibrary(long libraryId, Consumer<Map<Long, Bundle>> beside, Visitor visitor)
      throws IOException {
    Set<Long> brought = new HashSet<>();
    contents.visitAll(
        libraryId,
        chunk -> {
          beside.accept(chunk);
          visit(chunk, visitor);
          Map<Long, Bundle> taken = insertsOf(chunk.values());
          taken.keySet().removeAll(inserts.heldBy(libraryId, taken.keySet()));
          taken.keySet().removeIf(id -> !brought.add(id));
          visit(taken, visitor);
        });
  }

  /** Visits those of some tools that a library holds, as it holds them. */
  public void ofLibrary(long libraryId, Collection<Long> toolIds, Visitor visitor)
      throws IOException {
    visit(contents.of(libraryId, toolIds), visitor);
  }

  /** Visits one tool, and behind it the inserts that it takes. */
  void ofTool(long toolId, Consumer<Map<Long, Bundle>> beside, Visitor visitor) throws IOException {
    Tools.Known known = tools.get(toolId);
    Map<Long, Bundle> all = new LinkedHashMap<>();
    all.put(
        toolId,
        new Bundle(known.tool(), known.number().map(OptionalInt::of).orElse(OptionalInt.empty())));
    all.putAll(insertsOf(all.values()));
    beside.accept(all);
    visit(all, visitor);
  }

  private void visit(Map<Long, Bundle> some, Visitor visitor) throws IOException {
    if (some.isEmpty()) {
      return;
    }
    Map<Long, List<CuttingEntry>> entries = cutting.of(some.keySet());
    Map<Long, List<PlannedStack>> planned = stacks.of(some.keySet());
    Map<Long, List<Attached>> attached = attachments.of(some.keySet());
    for (Map.Entry<Long, Bundle> tool : some.entrySet()) {
      long id = tool.getKey();
      List<Attached> own = attached.getOrDefault(id, List.of());
      visitor.visit(
          id,
          tool.getValue()
              .with(entries.getOrDefault(id, List.of()), planned.getOrDefault(id, List.of()))
              .withAttachments(paths(own)),
          own);
    }
  }

  /** A part of stacks with the files that it names. */
  public record WholePart(BundlePart part, List<Attached> attached) {}

  /** The parts of the stacks of some tools, by code. */
  public Map<String, WholePart> parts(Collection<Long> toolIds) {
    Map<String, StacksOfTools.KnownPart> known = stacks.parts(toolIds);
    Map<Long, List<Attached>> attached =
        attachments.ofParts(known.values().stream().map(StacksOfTools.KnownPart::id).toList());
    Map<String, WholePart> parts = new TreeMap<>();
    known.forEach((code, part) -> {
      List<Attached> own = attached.getOrDefault(part.id(), List.of());
      parts.put(code, new WholePart(new BundlePart(part.component(), paths(own)), own));
    });
    return parts;
  }

  private static List<String> paths(List<Attached> attached) {
    return attached.stream().map(Attached::path).toList();
  }

  private Map<Long, Bundle> insertsOf(Collection<Bundle> some) {
    Map<Long, Bundle> bundles = new LinkedHashMap<>();
    inserts
        .byKeys(insertKeys(some).keySet())
        .forEach((id, insert) -> bundles.put(id, new Bundle(insert.tool(), OptionalInt.empty())));
    return bundles;
  }

  /** The inserts that tools take, with one of the tools. */
  private static Map<String, Tool> insertKeys(Collection<Bundle> some) {
    Map<String, Tool> keys = new TreeMap<>();
    some.stream()
        .map(Bundle::tool)
        .filter(tool -> !tool.toolClass().equals("insert"))
        .forEach(tool -> {
          String key = StoredTools.insertKey(tool);
          if (key != null) {
            keys.put(key, tool);
          }
        });
    return keys;
  }

  /** Inserts that the shop does not have, by the code of a tool that takes them. */
  Map<String, String> absentInserts(Collection<Bundle> some) {
    Map<String, Tool> wanted = insertKeys(some);
    inserts.byKeys(wanted.keySet()).values().forEach(insert -> wanted.remove(insert.key()));
    Map<String, String> absent = new TreeMap<>();
    wanted.values().forEach(tool -> absent.put(tool.code(), tool.word("MIID").orElseThrow()));
    return absent;
  }
}
