package arborline.server.exchange;

import arborline.core.convert.ConversionReport;
import arborline.core.convert.Progress;
import arborline.core.convert.ProvenFile;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.Contents;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.Losses;
import arborline.core.exchange.WriteOptions;
import arborline.core.quantity.Unit;
import arborline.server.exchange.AttachmentsOfTools.Attached;
import arborline.server.library.LibraryContents;
import arborline.server.tool.Tools;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Writes libraries and single tools as files, a thousand tools at a time. */
@Service
@Transactional(readOnly = true)
class Exports {

  private final LibraryContents contents;
  private final Tools tools;
  private final WholeTools whole;
  private final StacksOfTools stacks;

  Exports(LibraryContents contents, Tools tools, WholeTools whole, StacksOfTools stacks) {
    this.contents = contents;
    this.tools = tools;
    this.whole = whole;
    this.stacks = stacks;
  }

  public String name(long libraryId) {
    return contents.name(libraryId);
  }

  /** Visits all tools that a file is to hold, always the same in the same order. */
  private interface Walk {
    void through(Consumer<Map<Long, Bundle>> beside, WholeTools.Visitor visitor) throws IOException;
  }

  /**
   * Tools as a file, read back and compared.
   *
   * @param title name of the library, or code of the tool
   * @param tools how many it holds
   * @param attached what its tools name and is to stand beside it
   */
  record Written(
      String title,
      long tools,
      LossReport losses,
      ConversionReport.Proof proof,
      Set<Attached> attached) {}

  /**
   * Writes a library into a file on disk and reads it back, both of one state of the library.
   *
   * @param file where it is written
   * @throws IOException where {@code progress} stops it
   */
  @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
  public Written library(
      long libraryId, BundleFormat format, Optional<Unit> unit, Path file, Progress progress)
      throws IOException {
    Walk walk = library(libraryId);
    return write(
        name(libraryId), told(walk, contents.size(libraryId), progress), format, unit, file);
  }

  /** The same for one tool with its parts, stacks, inserts and cutting data. */
  @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
  public Written tool(long toolId, BundleFormat format, Optional<Unit> unit, Path file)
      throws IOException {
    String code = tools.get(toolId).tool().code();
    return write(
        code, (beside, visitor) -> whole.ofTool(toolId, beside, visitor), format, unit, file);
  }

  /**
   * The same with models that stand beside the file.
   *
   * @param models paths of those of the tool
   * @param ofParts paths of those of its parts, by code
   */
  @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
  public Written toolWithModels(
      long toolId,
      BundleFormat format,
      Optional<Unit> unit,
      Path file,
      List<String> models,
      Map<String, List<String>> ofParts)
      throws IOException {
    String code = tools.get(toolId).tool().code();
    Walk walk =
        (beside, visitor) ->
            whole.ofTool(
                toolId,
                beside,
                (id, bundle, attached) ->
                    visitor.visit(
                        id,
                        id == toolId
                            ? bundle.withAttachments(both(models, bundle.attachments()))
                            : bundle,
                        attached));
    return write(code, walk, format, unit, file, ofParts);
  }

  private static List<String> both(List<String> first, List<String> others) {
    return Stream.concat(first.stream(), others.stream()).distinct().toList();
  }

  private static final int EACH = 200;

  /** Walked for what occurs, for writing and for proving. */
  private static final double WALKS = 3;

  /** A walk that says how far it is. */
  private static Walk told(Walk walk, long size, Progress progress) {
    long[] met = {0};
    double all = WALKS * Math.max(1, size);
    return (beside, visitor) ->
        walk.through(
            beside,
            (toolId, bundle, attached) -> {
              if (++met[0] % EACH == 0) {
                progress.at(met[0], Math.min(1, met[0] / all));
              }
              visitor.visit(toolId, bundle, attached);
            });
  }

  private Walk library(long libraryId) {
    return (beside, visitor) -> whole.ofLibrary(libraryId, beside, visitor);
  }

  private Written write(
      String title, Walk walk, BundleFormat format, Optional<Unit> unit, Path file)
      throws IOException {
    return write(title, walk, format, unit, file, Map.of());
  }

  private Written write(
      String title,
      Walk walk,
      BundleFormat format,
      Optional<Unit> unit,
      Path file,
      Map<String, List<String>> modelsOfParts)
      throws IOException {
    Survey survey = survey(title, walk, unit).with(modelsOfParts);
    LossReport report = new LossReport();
    Losses losses = losses(survey, format, report);
    Set<Attached> all = new LinkedHashSet<>();
    survey.parts().values().forEach(part -> all.addAll(part.attached()));
    boolean[] again = {false};
    ProvenFile.Written written =
        ProvenFile.write(
            file,
            format,
            survey.options(),
            survey.plainParts(),
            visitor -> {
              boolean first = !again[0];
              again[0] = true;
              walk.through(
                  chunk -> {},
                  (toolId, bundle, attached) -> {
                    if (first) {
                      losses.of(bundle);
                      all.addAll(attached);
                    }
                    visitor.visit(bundle);
                  });
            });
    return new Written(title, written.tools(), report, written.proof(), all);
  }

  private static Losses losses(Survey survey, BundleFormat format, LossReport report) {
    Losses losses = new Losses(format, survey.options(), report);
    survey.plainParts().values().forEach(losses::of);
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
    Walk walk = library(libraryId);
    Survey survey = survey(name(libraryId), walk, unit);
    Losses losses = losses(survey, format, report);
    walk.through(chunk -> {}, (toolId, bundle, attached) -> losses.of(bundle));
    return report;
  }

  /** What a file is to hold, seen before anything is written. */
  private record Survey(
      WriteOptions options,
      Map<String, WholeTools.WholePart> parts,
      Map<String, List<String>> older,
      Map<String, String> absentInserts) {

    /** The same with models that its parts name. */
    Survey with(Map<String, List<String>> models) {
      Map<String, WholeTools.WholePart> more = new TreeMap<>(parts);
      models.forEach((code, paths) ->
          more.computeIfPresent(
              code,
              (key, part) ->
                  new WholeTools.WholePart(
                      new BundlePart(
                          part.part().component(), both(paths, part.part().attachments())),
                      part.attached())));
      return new Survey(options, more, older, absentInserts);
    }

    Map<String, BundlePart> plainParts() {
      Map<String, BundlePart> plain = new TreeMap<>();
      parts.forEach((code, part) -> plain.put(code, part.part()));
      return plain;
    }
  }

  private Survey survey(String title, Walk walk, Optional<Unit> unit) throws IOException {
    Contents.Survey seen = new Contents.Survey();
    Map<String, WholeTools.WholePart> parts = new TreeMap<>();
    Map<String, List<String>> older = new TreeMap<>();
    Map<String, String> absent = new TreeMap<>();
    walk.through(
        chunk -> {
          absent.putAll(whole.absentInserts(chunk.values()));
          parts.putAll(whole.parts(chunk.keySet()));
          stacks
              .olderParts(chunk.keySet())
              .forEach((tool, kept) -> older.put(chunk.get(tool).tool().code(), kept));
        },
        (toolId, bundle, attached) -> seen.add(bundle));
    parts.values().forEach(part -> seen.add(part.part()));
    return new Survey(new WriteOptions(title, seen.contents(), unit), parts, older, absent);
  }
}
