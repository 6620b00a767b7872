package arborline.core.convert;

import arborline.core.convert.ConversionReport.Left;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Contents;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.Losses;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.exchange.WriteOptions;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Clashes;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import arborline.core.quantity.Unit;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Converts one file and proves it; reads it three times rather than holding it. */
public final class FileConversion {

  private static final int LISTED = 1000;

  private final Path source;
  private final String name;
  private final BundleFormat target;
  private final Optional<Unit> unit;
  private final LossReport losses = new LossReport();
  private final List<Left> left = new ArrayList<>();
  private final Map<String, BundlePart> parts = new LinkedHashMap<>();
  private final Map<String, List<RawItem>> loose = new HashMap<>();
  private final Contents.Survey survey = new Contents.Survey();
  private final Set<String> codes = new HashSet<>();
  private String problem = "";
  private final Progress progress;
  private long met;
  private int readings;
  private long read;
  private long written;

  private FileConversion(
      Path source, String name, BundleFormat target, Optional<Unit> unit, Progress progress) {
    this.progress = progress;
    this.source = source;
    this.name = name;
    this.target = target;
    this.unit = unit;
  }

  /**
   * Converts a file.
   *
   * @param name its name, for the report
   * @param output where the new file is written
   * @param outputName its name, for the report
   */
  public static ConversionReport convert(
      Path source,
      String name,
      BundleFormat target,
      Optional<Unit> unit,
      Path output,
      String outputName)
      throws IOException {
    return convert(source, name, target, unit, output, outputName, Progress.NONE);
  }

  /**
   * As {@link #convert(Path, String, BundleFormat, Optional, Path, String)}, telling how far it is.
   *
   * @throws IOException where {@code progress} stops it
   */
  public static ConversionReport convert(
      Path source,
      String name,
      BundleFormat target,
      Optional<Unit> unit,
      Path output,
      String outputName,
      Progress progress)
      throws IOException {
    return new FileConversion(source, name, target, unit, progress).run(output, outputName);
  }

  private ConversionReport run(Path output, String outputName) throws IOException {
    readThrough(this::look);
    if (read == 0) {
      return ConversionReport.refused(
          name, problem.isEmpty() ? "no tool and no part is found in it" : problem);
    }
    write(output);
    return new ConversionReport(
        name,
        outputName,
        problem,
        read,
        written,
        List.copyOf(left),
        losses.count(),
        losses.groups(),
        losses.losses(),
        prove(output));
  }

  private static final int EACH = 1000;

  /** Read for what occurs, read for writing, read back. */
  private static final double READINGS = 3;

  /** Meets what was read. */
  private interface Visitor {
    void visit(RawBundle bundle) throws IOException;
  }

  private void readThrough(Visitor visitor) throws IOException {
    try (ArrivingFile file = ArrivingFile.open(source)) {
      for (Optional<RawBundle> next = file.next(); next.isPresent(); next = file.next()) {
        if (++met % EACH == 0) {
          progress.at(met, (readings + file.share()) / READINGS);
        }
        visitor.visit(next.get());
      }
    } catch (UnreadableFileException unreadable) {
      problem = unreadable.getMessage();
    }
    readings++;
  }

  private static boolean tool(RawBundle bundle) {
    RawItem item = bundle.item();
    return item.kind().standsAlone()
        && item.kind().component().isEmpty()
        && item.kind() != ItemKind.REMARK
        && !item.blank();
  }

  /** The first reading: what occurs, the parts, and what stands far from its tool. */
  private void look(RawBundle bundle) {
    ItemKind kind = bundle.item().kind();
    if (kind == ItemKind.REMARK) {
      return;
    }
    if (!kind.standsAlone()) {
      loose
          .computeIfAbsent(Codes.key(bundle.item().owner()), key -> new ArrayList<>())
          .add(bundle.item());
      return;
    }
    Inspected inspected = Inspector.inspect(bundle);
    if (inspected.raw().item().blank()) {
      return;
    }
    read++;
    if (inspected.component().isEmpty()) {
      survey.add(bundle(inspected));
    } else if (!inspected.tool().code().isBlank()) {
      look(part(inspected));
    }
  }

  private void look(BundlePart part) {
    BundlePart before = parts.putIfAbsent(Codes.key(part.code()), part);
    if (before != null && !Clashes.differences(part.component(), before.component()).isEmpty()) {
      leave(0, part.code(), "another part stands under this code already");
    } else {
      survey.add(part);
    }
  }

  private Inspected whole(RawBundle bundle) {
    List<RawItem> far = loose.getOrDefault(Codes.key(bundle.item().text(RawItem.CODE)), List.of());
    if (far.isEmpty()) {
      return Inspector.inspect(bundle);
    }
    List<RawItem> cutting = new ArrayList<>(bundle.cutting());
    List<RawItem> stacks = new ArrayList<>(bundle.stacks());
    far.forEach(item -> (item.kind() == ItemKind.STACK ? stacks : cutting).add(item));
    return Inspector.inspect(new RawBundle(bundle.item(), cutting, stacks));
  }

  static Bundle bundle(Inspected inspected) {
    return new Bundle(
        inspected.tool(),
        inspected.number(),
        inspected.raw().item().text(RawItem.SECTION),
        attachments(inspected),
        inspected.cutting(),
        inspected.stacks());
  }

  /** The part that a line is; call only where it is one. */
  static BundlePart part(Inspected inspected) {
    return new BundlePart(inspected.component().orElseThrow(), attachments(inspected));
  }

  private static List<String> attachments(Inspected inspected) {
    return PathList.read(inspected.raw().item().text(RawItem.ATTACHMENT));
  }

  private void write(Path output) throws IOException {
    loose.values().stream().flatMap(List::stream).forEach(item -> survey.add(item.kind()));
    WriteOptions options = options();
    Losses report = new Losses(target, options, losses);
    try (OutputStream file = new BufferedOutputStream(Files.newOutputStream(output));
        BundleSink sink = target.create(file, options)) {
      for (BundlePart part : parts.values()) {
        report.of(part);
        sink.part(part);
        written++;
      }
      readThrough(bundle -> {
        if (tool(bundle)) {
          write(whole(bundle), sink, report);
        }
      });
    }
  }

  private WriteOptions options() {
    return new WriteOptions(name, survey.contents(), unit);
  }

  private void write(Inspected inspected, BundleSink sink, Losses report) throws IOException {
    String code = inspected.tool().code();
    long line = inspected.raw().item().line();
    Optional<String> obstacle = obstacle(inspected);
    if (obstacle.isPresent()) {
      leave(line, code, obstacle.get());
      return;
    }
    Bundle bundle = bundle(inspected);
    report.of(bundle);
    unread(inspected, report);
    sink.write(bundle);
    written++;
  }

  private Optional<String> obstacle(Inspected inspected) {
    String code = inspected.tool().code();
    if (code.isBlank()) {
      return Optional.of("no code is given");
    }
    if (Codes.fault(code).isPresent()) {
      return Codes.fault(code);
    }
    return codes.add(Codes.key(code))
        ? Optional.empty()
        : Optional.of("another tool stands under this code already");
  }

  /** What of a line could not be understood is lost as well. */
  private static void unread(Inspected inspected, Losses report) {
    for (Finding finding : inspected.findings()) {
      boolean unreadable =
          finding.severity() == Severity.HOLD
              && (finding.code().equals("not-a-number")
                  || finding.code().startsWith("cutting-")
                  || finding.code().startsWith("formula-")
                  || finding.code().startsWith("date-for"));
      if (unreadable) {
        report.unread(inspected.tool().code(), finding);
      }
    }
  }

  private void leave(long line, String code, String reason) {
    if (left.size() < LISTED) {
      left.add(new Left(line, code, reason));
    }
  }

  /** The third reading: the source beside what was written. */
  private ConversionReport.Proof prove(Path output) throws IOException {
    try (Readback back = Readback.open(output, target, options())) {
      codes.clear();
      readThrough(bundle -> {
        if (tool(bundle)) {
          Inspected wanted = whole(bundle);
          if (obstacle(wanted).isEmpty()) {
            back.compare(bundle(wanted));
          }
        }
      });
      return back.proof(parts);
    }
  }
}
