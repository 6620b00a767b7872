package arborline.server.exchange;

import arborline.core.convert.ConversionReport;
import arborline.core.convert.Readback;
import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Contents;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.Losses;
import arborline.core.exchange.WriteOptions;
import arborline.core.quantity.Unit;
import arborline.core.stack.Component;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Tool;
import arborline.server.library.LibraryContents;
import arborline.server.tool.StoredTools;
import arborline.server.tool.Tools;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Writes libraries as files, a thousand tools at a time. */
@Service
@Transactional(readOnly = true)
class Exports {

  private final LibraryContents contents;
  private final Tools tools;
  private final CuttingOfTools cutting;
  private final StacksOfTools stacks;
  private final InsertsOfTools inserts;

  Exports(
      LibraryContents contents,
      Tools tools,
      CuttingOfTools cutting,
      StacksOfTools stacks,
      InsertsOfTools inserts) {
    this.contents = contents;
    this.tools = tools;
    this.cutting = cutting;
    this.stacks = stacks;
    this.inserts = inserts;
  }

  public String name(long libraryId) {
    return contents.name(libraryId);
  }

  /** Meets a tool with what belongs to it. */
  private interface BundleVisitor {
    void visit(long toolId, Bundle bundle) throws IOException;
  }

  /**
   * A library as a file, read back and compared.
   *
   * @param tools how many it holds
   */
  record Written(
      Path file, String name, long tools, LossReport losses, ConversionReport.Proof proof) {}

  /**
   * Writes a library into a file on disk and reads it back, both of one state of the library.
   *
   * @param file where it is written
   */
  @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
  public Written write(long libraryId, BundleFormat format, Optional<Unit> unit, Path file)
      throws IOException {
    Survey survey = survey(libraryId, unit);
    LossReport report = new LossReport();
    Losses losses = losses(survey, format, report);
    long[] tools = {0};
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file));
        BundleSink sink = format.create(out, survey.options())) {
      for (Component part : survey.parts().values()) {
        sink.part(part);
      }
      visit(
          libraryId,
          (toolId, bundle) -> {
            losses.of(bundle);
            sink.write(bundle);
            tools[0]++;
          });
    }
    return new Written(
        file, name(libraryId), tools[0], report, prove(libraryId, format, survey, file));
  }

  private ConversionReport.Proof prove(
      long libraryId, BundleFormat format, Survey survey, Path file) throws IOException {
    try (Readback back = Readback.open(file, format, survey.options())) {
      visit(libraryId, (toolId, bundle) -> back.compare(bundle));
      return back.proof(survey.parts());
    }
  }

  /** One tool with its parts, stacks, inserts and cutting data as a file. */
  public byte[] tool(long toolId, BundleFormat format, Optional<Unit> unit) throws IOException {
    Tools.Known known = tools.get(toolId);
    Map<Long, Bundle> all = new LinkedHashMap<>();
    all.put(
        toolId,
        new Bundle(known.tool(), known.number().map(OptionalInt::of).orElse(OptionalInt.empty())));
    inserts
        .byKeys(insertKeys(all.values()).keySet())
        .values()
        .forEach(insert -> all.put(insert.id(), new Bundle(insert.tool(), OptionalInt.empty())));
    Contents.Survey seen = new Contents.Survey();
    Map<String, Component> parts = stacks.parts(all.keySet());
    parts.values().forEach(seen::add);
    List<Bundle> bundles = new ArrayList<>();
    whole(all, (id, bundle) -> bundles.add(bundle));
    bundles.forEach(seen::add);
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (BundleSink sink =
        format.create(file, new WriteOptions(known.tool().code(), seen.contents(), unit))) {
      for (Component part : parts.values()) {
        sink.part(part);
      }
      for (Bundle bundle : bundles) {
        sink.write(bundle);
      }
    }
    return file.toByteArray();
  }

  private static Losses losses(Survey survey, BundleFormat format, LossReport report) {
    Losses losses = new Losses(format, survey.options(), report);
    survey.parts().values().forEach(losses::of);
    survey
        .older()
        .forEach((code, parts) ->
            parts.forEach(part ->
                report.dropped(
                    code, "STACK", "%s: the newest version is written".formatted(part))));
    survey.absentInserts().forEach((code, insert) -> report.absent(code, "insert " + insert));
    return losses;
  }

  public LossReport losses(long libraryId, BundleFormat format, Optional<Unit> unit)
      throws IOException {
    LossReport report = new LossReport();
    Survey survey = survey(libraryId, unit);
    Losses losses = losses(survey, format, report);
    visit(libraryId, (toolId, bundle) -> losses.of(bundle));
    return report;
  }

  /** What a library holds, seen before anything is written. */
  private record Survey(
      WriteOptions options,
      Map<String, Component> parts,
      Map<String, List<String>> older,
      Map<String, String> absentInserts) {}

  private Survey survey(long libraryId, Optional<Unit> unit) throws IOException {
    Contents.Survey seen = new Contents.Survey();
    Map<String, Component> parts = new TreeMap<>();
    Map<String, List<String>> older = new TreeMap<>();
    Map<String, String> absent = new TreeMap<>();
    visit(
        libraryId,
        chunk -> {
          absent.putAll(absentInserts(chunk.values()));
          parts.putAll(stacks.parts(chunk.keySet()));
          stacks
              .olderParts(chunk.keySet())
              .forEach((tool, kept) -> older.put(chunk.get(tool).tool().code(), kept));
        },
        (toolId, bundle) -> seen.add(bundle));
    parts.values().forEach(seen::add);
    return new Survey(
        new WriteOptions(name(libraryId), seen.contents(), unit), parts, older, absent);
  }

  private void visit(long libraryId, BundleVisitor visitor) throws IOException {
    visit(libraryId, chunk -> {}, visitor);
  }

  /** The tools of a library by code, some at a time, and behind them inserts that they take. */
  private void visit(long libraryId, Consumer<Map<Long, Bundle>> beside, BundleVisitor visitor)
      throws IOException {
    Set<Long> brought = new HashSet<>();
    contents.visitAll(
        libraryId,
        chunk -> {
          beside.accept(chunk);
          whole(chunk, visitor);
          Map<Long, InsertsOfTools.Insert> taken =
              inserts.byKeys(insertKeys(chunk.values()).keySet());
          taken.keySet().removeAll(inserts.heldBy(libraryId, taken.keySet()));
          Map<Long, Bundle> more = new LinkedHashMap<>();
          taken.forEach((id, insert) -> {
            if (brought.add(id)) {
              more.put(id, new Bundle(insert.tool(), OptionalInt.empty()));
            }
          });
          whole(more, visitor);
        });
  }

  /** Visits tools with their cutting data and stacks. */
  private void whole(Map<Long, Bundle> some, BundleVisitor visitor) throws IOException {
    if (some.isEmpty()) {
      return;
    }
    Map<Long, List<CuttingEntry>> entries = cutting.of(some.keySet());
    Map<Long, List<PlannedStack>> planned = stacks.of(some.keySet());
    for (Map.Entry<Long, Bundle> tool : some.entrySet()) {
      visitor.visit(
          tool.getKey(),
          tool.getValue()
              .with(
                  entries.getOrDefault(tool.getKey(), List.of()),
                  planned.getOrDefault(tool.getKey(), List.of())));
    }
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
  private Map<String, String> absentInserts(Collection<Bundle> some) {
    Map<String, Tool> wanted = insertKeys(some);
    inserts.byKeys(wanted.keySet()).values().forEach(insert -> wanted.remove(insert.key()));
    Map<String, String> absent = new TreeMap<>();
    wanted.values().forEach(tool -> absent.put(tool.code(), tool.word("MIID").orElseThrow()));
    return absent;
  }
}
