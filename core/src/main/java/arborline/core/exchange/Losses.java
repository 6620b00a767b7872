package arborline.core.exchange;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.LossReport.Kind;
import arborline.core.exchange.LossReport.Loss;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Set;

/** Says what of a bundle a file will drop or change. */
public final class Losses {

  private final BundleFormat format;
  private final Set<Carried> carried;
  private final WriteOptions options;
  private final LossReport report;

  public Losses(BundleFormat format, WriteOptions options, LossReport report) {
    this.format = format;
    this.carried = format.carries();
    this.options = options;
    this.report = report;
  }

  /** What is lost of a part of stacks. */
  public void of(BundlePart part) {
    if (!carried.contains(Carried.PARTS)) {
      report.dropped(part.code(), part.component().kind().name(), Carried.PARTS.loss());
      return;
    }
    if (!carried.contains(Carried.ATTACHMENTS)) {
      part.attachments()
          .forEach(
              path -> report.dropped(part.code(), RawItem.ATTACHMENT, Carried.ATTACHMENTS.loss()));
    }
    part.item()
        .cells()
        .forEach((symbol, cell) -> {
          if (cell.unit().isPresent()
              && EntryParser.parse(cell.text(), cell.unit().get())
                  instanceof Entry.Understood understood) {
            rounded(part.code(), symbol, understood.quantity());
          }
        });
  }

  /** What is lost of a tool and of what belongs to it. */
  public void of(Bundle bundle) {
    Tool tool = bundle.tool();
    tool.values().forEach((symbol, value) -> value(tool.code(), symbol, value));
    tool.notes().forEach((heading, text) -> drop(Carried.NOTES, tool, RawItem.note(heading)));
    if (bundle.number().isPresent()) {
      drop(Carried.NUMBER, tool, RawItem.NUMBER);
    }
    if (!bundle.section().isBlank()) {
      drop(Carried.SECTION, tool, RawItem.SECTION);
    }
    bundle.attachments().forEach(path -> drop(Carried.ATTACHMENTS, tool, RawItem.ATTACHMENT));
    bundle.stacks().forEach(stack -> drop(Carried.STACKS, tool, "STACK"));
    bundle.cutting().forEach(entry -> cutting(tool, entry));
    new WrittenBundle(format, options).whole(bundle).forEach(item -> plainer(tool, item));
  }

  /** What of an item the format holds only in part. */
  private void plainer(Tool tool, RawItem item) {
    RawItem kept = format.kept(item, options);
    item.cells()
        .forEach((symbol, cell) -> {
          Cell back = kept.cells().get(symbol);
          if (back == null) {
            report.dropped(tool.code(), symbol, "is dropped: the format has no place for it");
          } else if (cell.formula().isPresent() && back.formula().isEmpty()) {
            formula(tool.code(), symbol, cell.formula().get());
          } else if (!back.text().equals(cell.text())) {
            report.add(
                new Loss(
                    Kind.CHANGED,
                    tool.code(),
                    symbol,
                    "'%s' becomes '%s'".formatted(cell.text(), back.text())),
                "is written as a plain decimal");
          }
        });
  }

  /** What of a tool was not understood, and so is in no file. */
  public void unread(String code, Finding finding) {
    String symbol = finding.properties().isEmpty() ? "" : finding.properties().getFirst();
    report.add(
        new Loss(Kind.DROPPED, code, symbol, "was not understood: %s".formatted(finding.message())),
        "was not understood");
  }

  private void drop(Carried what, Tool tool, String symbol) {
    if (!carried.contains(what)) {
      report.dropped(tool.code(), symbol, what.loss());
    }
  }

  private void value(String code, String symbol, Value value) {
    if (value instanceof Value.Measure measure) {
      rounded(code, symbol, measure.quantity());
      if (measure.formula().isPresent() && !carried.contains(Carried.FORMULAS)) {
        formula(code, symbol, measure.formula().get());
      }
    }
    if (value.defaulted() && !carried.contains(Carried.DEFAULT_MARK)) {
      report.dropped(code, symbol, Carried.DEFAULT_MARK.loss());
    }
    if (Dictionary.standard().find(symbol).isEmpty()) {
      report.dropped(code, symbol, "is not a property of the dictionary");
    }
  }

  private void cutting(Tool tool, CuttingEntry entry) {
    if (!carried.contains(Carried.CUTTING)) {
      String which =
          "%s %s %s"
              .formatted(
                  entry.origin().word(),
                  entry.grade().isEmpty() ? entry.material() : entry.grade(),
                  entry.purpose());
      report.add(
          new Loss(Kind.DROPPED, tool.code(), "CUTTING", which + ": " + Carried.CUTTING.loss()),
          Carried.CUTTING.loss());
      return;
    }
    CuttingReading.of(entry, tool.code())
        .cells()
        .forEach((symbol, cell) -> {
          cell.unit()
              .ifPresent(unit -> rounded(tool.code(), symbol, Quantity.of(cell.text(), unit)));
          if (cell.formula().isPresent() && !carried.contains(Carried.FORMULAS)) {
            formula(tool.code(), symbol, cell.formula().get());
          }
        });
  }

  private void formula(String code, String symbol, Object formula) {
    report.add(
        new Loss(
            Kind.CHANGED, code, symbol, "= %s: %s".formatted(formula, Carried.FORMULAS.loss())),
        Carried.FORMULAS.loss());
  }

  private void rounded(String code, String symbol, Quantity quantity) {
    if (Restated.rounds(quantity, options.unit())) {
      String what =
          "is rounded to %d decimals in %s"
              .formatted(
                  Conversion.INEXACT_DECIMALS,
                  options.unit().orElseThrow() == Unit.INCH ? "inches" : "mm");
      report.add(new Loss(Kind.ROUNDED, code, symbol, quantity + " " + what), what);
    }
  }
}
