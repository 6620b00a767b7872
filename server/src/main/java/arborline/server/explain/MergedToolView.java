package arborline.server.explain;

import arborline.core.merge.Amount;
import arborline.core.merge.CodeText;
import arborline.core.merge.CuttingLineField;
import arborline.core.merge.MergeContent;
import arborline.core.merge.MergeField;
import arborline.core.merge.MergeTool;
import arborline.core.merge.PartCodes;
import arborline.core.merge.PlainText;
import arborline.server.support.Refusal;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Tools of a merge as they are sent and answered. */
final class MergedToolView {

  private static final String VALUES = "values.";
  private static final String CUTTING = "cutting.";

  private MergedToolView() {}

  /** A size as it is written, or a word. */
  record AmountInMerge(@Nullable String text, @Nullable String unit) {}

  /** A line of cutting data. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record LineInMerge(
      @Nullable String origin,
      @Nullable AmountInMerge vc,
      @Nullable AmountInMerge fz,
      @Nullable String by) {}

  /**
   * A tool, holder or assembly.
   *
   * @param values by symbol
   * @param cutting by work material and purpose: {@code CuSn12/rough}
   * @param parts codes of its parts, in order
   * @param was its code in the base where it was renamed
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record ToolInMerge(
      @Nullable @JsonProperty("class") String toolClass,
      @Nullable Map<String, AmountInMerge> values,
      @Nullable Map<String, LineInMerge> cutting,
      @Nullable List<String> parts,
      @Nullable String was) {}

  /**
   * The tool that was sent.
   *
   * @param place where it stands, for what is wrong with it
   */
  static MergeTool tool(String place, ToolInMerge sent) {
    if (sent.toolClass() == null) {
      throw Refusal.badRequest(place + " has no class; say which it is of");
    }
    SortedMap<String, MergeField> fields = new TreeMap<>();
    fields.put(MergeTool.CLASS, new PlainText(sent.toolClass()));
    Optional.ofNullable(sent.values())
        .orElse(Map.of())
        .forEach((symbol, amount) ->
            fields.put(VALUES + symbol, amount(place + "." + VALUES + symbol, amount)));
    Optional.ofNullable(sent.cutting())
        .orElse(Map.of())
        .forEach(
            (line, data) -> fields.put(CUTTING + line, line(place + "." + CUTTING + line, data)));
    return new MergeTool(fields, parts(sent.parts()), Optional.ofNullable(sent.was()));
  }

  private static Amount amount(String place, AmountInMerge sent) {
    if (sent.text() == null) {
      throw Refusal.badRequest(
          place + " has no text; leave the member out where there is no value");
    }
    return new Amount(sent.text(), Optional.ofNullable(sent.unit()).orElse(""));
  }

  private static CuttingLineField line(String place, LineInMerge sent) {
    if (sent.origin() == null) {
      throw Refusal.badRequest(
          place + " has no origin; it is catalogue, calculated, fixed or proven");
    }
    return new CuttingLineField(
        sent.origin(),
        Optional.ofNullable(sent.vc()).map(vc -> amount(place + ".vc", vc)),
        Optional.ofNullable(sent.fz()).map(fz -> amount(place + ".fz", fz)),
        Optional.ofNullable(sent.by()));
  }

  private static PartCodes parts(@Nullable List<String> parts) {
    return new PartCodes(Optional.ofNullable(parts).orElse(List.of()));
  }

  /** The tool as it is answered. */
  static ToolInMerge of(MergeTool tool) {
    SortedMap<String, AmountInMerge> values = new TreeMap<>();
    SortedMap<String, LineInMerge> cutting = new TreeMap<>();
    tool.fields()
        .forEach((name, field) -> {
          if (field instanceof Amount amount) {
            values.put(name.substring(VALUES.length()), of(amount));
          } else if (field instanceof CuttingLineField line) {
            cutting.put(name.substring(CUTTING.length()), of(line));
          }
        });
    String toolClass =
        tool.fields().get(MergeTool.CLASS) instanceof PlainText text ? text.text() : null;
    return new ToolInMerge(toolClass, values, cutting, tool.parts().codes(), null);
  }

  private static AmountInMerge of(Amount amount) {
    return new AmountInMerge(amount.text(), amount.unit());
  }

  private static LineInMerge of(CuttingLineField line) {
    return new LineInMerge(
        line.origin(),
        line.vc().map(MergedToolView::of).orElse(null),
        line.fz().map(MergedToolView::of).orElse(null),
        line.by().orElse(null));
  }

  /** Whatever stands on one side of a conflict. */
  static Object json(MergeContent content) {
    return switch (content) {
      case MergeTool tool -> of(tool);
      case Amount amount -> of(amount);
      case CuttingLineField line -> of(line);
      case PartCodes parts -> parts.codes();
      case CodeText code -> code.code();
      case PlainText text -> text.text();
      case MergeField other -> other.toString();
    };
  }
}
