package arborline.core.inspect;

import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawTool;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.library.Codes;
import arborline.core.library.VisibleText;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Inspects single lines; what concerns several lines or the shop is added by {@link Clashes}. */
public final class Inspector {

  private static final System.Logger LOG = System.getLogger(Inspector.class.getName());
  private static final Set<String> FAILED = ConcurrentHashMap.newKeySet();
  private static final int LONGEST_CODE = 60;
  private static final int LONGEST_NAME = 200;

  private Inspector() {}

  public static Inspected inspect(RawTool raw) {
    try {
      return raw.blank() && raw.findings().isEmpty()
          ? nothing(raw, Finding.note("line-blank", "the line is blank"), Disposition.SKIPPED)
          : judge(raw);
    } catch (RuntimeException defect) {
      if (FAILED.add(defect.getClass().getName())) {
        LOG.log(System.Logger.Level.ERROR, "line " + raw.line() + " could not be judged", defect);
      }
      return nothing(
          raw,
          Finding.hold(
              "line-failed",
              "this line could not be judged, by a fault of ours that was logged; correct or leave it"),
          Disposition.HOLD);
    }
  }

  private static Inspected nothing(RawTool raw, Finding finding, Disposition disposition) {
    return new Inspected(
        raw,
        Tool.of("", "", "", Map.of()),
        java.util.OptionalInt.empty(),
        List.of(finding),
        disposition);
  }

  /** As {@link #inspect}, for a tool that somebody types: an empty one lacks everything. */
  public static Inspected judge(RawTool raw) {
    Interpreter.Interpreted read = Interpreter.interpret(raw);
    List<Finding> findings = new ArrayList<>(read.findings());
    identity(read.tool(), raw.line(), findings);
    for (Finding finding : RuleBook.judge(read.tool())) {
      if (!explained(finding, read.findings())) {
        findings.add(finding);
      }
    }
    return new Inspected(
        raw, read.tool(), read.number(), List.copyOf(findings), Disposition.of(findings));
  }

  /** A value that could not be read is not missing as well, nor does it follow from others. */
  private static boolean explained(Finding finding, List<Finding> reading) {
    boolean absent = finding.code().startsWith("missing.") || finding.code().startsWith("implied.");
    return absent
        && reading.stream()
            .anyMatch(found -> found.properties().contains(finding.properties().getFirst()));
  }

  private static void identity(Tool tool, long line, List<Finding> findings) {
    String code = tool.code();
    if (code.isEmpty()) {
      findings.add(
          Finding.hold("code-missing", "no code is given", RawTool.CODE)
              .withRepair(
                  Repair.of(
                      "code-from-class",
                      "make a code from class, diameter and line",
                      Map.of(RawTool.CODE, proposedCode(tool, line)))));
    } else {
      Codes.fault(code).ifPresent(fault -> findings.add(unusable(code, fault)));
    }
    VisibleText.fault("the name", tool.name())
        .ifPresent(fault ->
            findings.add(
                Finding.hold("name-characters", fault, RawTool.NAME)
                    .withRepair(
                        Repair.of(
                            "name-characters",
                            "leave out what cannot be seen",
                            Map.of(RawTool.NAME, VisibleText.only(tool.name()))))));
    tooLong(RawTool.CODE, code, LONGEST_CODE, findings);
    tooLong(RawTool.NAME, tool.name(), LONGEST_NAME, findings);
  }

  private static Finding unusable(String code, String fault) {
    boolean spaces = code.chars().anyMatch(Character::isWhitespace);
    String mended = Codes.mended(code);
    Finding finding = Finding.hold(spaces ? "code-spaces" : "code-characters", fault, RawTool.CODE);
    return mended.isEmpty()
        ? finding
        : finding.withRepair(
            spaces
                ? Repair.of(
                    "code-spaces", "put hyphens for the spaces", Map.of(RawTool.CODE, mended))
                : Repair.of(
                    "code-characters",
                    "leave out what a code cannot have",
                    Map.of(RawTool.CODE, mended)));
  }

  private static void tooLong(String column, String text, int limit, List<Finding> findings) {
    if (text.length() > limit) {
      findings.add(
          Finding.hold(
              "text-too-long",
              "%s has %d characters; %d are possible".formatted(column, text.length(), limit),
              column));
    }
  }

  private static String proposedCode(Tool tool, long line) {
    String kind = tool.toolClass().isEmpty() ? "tool" : tool.toolClass();
    String size = tool.has("DC") ? "-" + tool.values().get("DC").text() : "";
    return (kind + size + "-" + line).toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9.-]+", "-");
  }
}
