package arborline.core.inspect;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.CuttingReading;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.library.Codes;
import arborline.core.library.VisibleText;
import arborline.core.stack.Component;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Inspects single lines; what concerns several lines or the shop is added by {@link Clashes}. */
public final class Inspector {

  private static final System.Logger LOG = System.getLogger(Inspector.class.getName());
  private static final Set<String> FAILED = ConcurrentHashMap.newKeySet();
  private static final int LONGEST_CODE = 60;
  private static final int LONGEST_NAME = 200;

  private Inspector() {}

  /** Inspects an item that nothing belongs to. */
  public static Inspected inspect(RawItem raw) {
    return inspect(RawBundle.of(raw));
  }

  /** Inspects an item with what belongs to it. */
  public static Inspected inspect(RawBundle bundle) {
    RawItem raw = bundle.item();
    try {
      return raw.blank() && raw.findings().isEmpty()
          ? nothing(bundle, Finding.note("line-blank", "the line is blank"), Disposition.SKIPPED)
          : judge(bundle);
    } catch (RuntimeException defect) {
      if (FAILED.add(defect.getClass().getName())) {
        LOG.log(System.Logger.Level.ERROR, "line " + raw.line() + " could not be judged", defect);
      }
      return nothing(
          bundle,
          Finding.hold(
              "line-failed",
              "this line could not be judged, by a fault of ours that was logged; correct or leave it"),
          Disposition.HOLD);
    }
  }

  private static Inspected nothing(RawBundle bundle, Finding finding, Disposition disposition) {
    return new Inspected(
        bundle,
        bundle.item().kind(),
        Tool.of("", "", "", Map.of()),
        Optional.empty(),
        OptionalInt.empty(),
        List.of(),
        List.of(),
        List.of(finding),
        disposition);
  }

  /** As {@link #inspect}, for a tool that somebody types: an empty one lacks everything. */
  public static Inspected judge(RawItem raw) {
    return judge(RawBundle.of(raw));
  }

  private static Inspected judge(RawBundle bundle) {
    RawItem raw = bundle.item();
    if (raw.kind() == ItemKind.REMARK) {
      return nothing(
          bundle,
          Finding.note("line-remark", "no tool: %s".formatted(raw.text(RawItem.NOTE))),
          Disposition.SKIPPED);
    }
    return raw.kind().component().isPresent()
        ? part(bundle, raw.kind().component().get())
        : raw.kind().standsAlone() ? tool(bundle) : ownerless(bundle);
  }

  private static Inspected tool(RawBundle bundle) {
    RawItem raw = bundle.item();
    Interpreter.Interpreted read = Interpreter.interpret(raw);
    List<Finding> findings = new ArrayList<>(read.findings());
    identity(read.tool(), raw.line(), findings);
    for (Finding finding : RuleBook.judge(read.tool())) {
      if (!explained(finding, read.findings())) {
        findings.add(finding);
      }
    }
    findings.addAll(Suspicions.of(read.tool(), findings));
    List<CuttingEntry> cutting = new ArrayList<>(bundle.cutting().size());
    for (RawItem line : bundle.cutting()) {
      CuttingReading.Interpreted understood = CuttingReading.interpret(line, read.tool());
      understood.entry().ifPresent(cutting::add);
      findings.addAll(understood.findings());
    }
    List<PlannedStack> stacks = new ArrayList<>(bundle.stacks().size());
    for (RawItem stack : bundle.stacks()) {
      StackReading.Interpreted understood = StackReading.interpret(stack);
      understood.stack().ifPresent(stacks::add);
      findings.addAll(understood.findings());
    }
    return new Inspected(
        bundle,
        ItemKind.ofClass(read.tool().toolClass()),
        read.tool(),
        Optional.empty(),
        read.number(),
        List.copyOf(cutting),
        List.copyOf(stacks),
        List.copyOf(findings),
        Disposition.of(findings));
  }

  private static Inspected part(RawBundle bundle, Component.Kind kind) {
    PartReading.Interpreted read = PartReading.interpret(bundle.item(), kind);
    List<Finding> findings = new ArrayList<>(read.findings());
    findings.addAll(read.component().findings());
    Component part = read.component();
    return new Inspected(
        bundle,
        bundle.item().kind(),
        Tool.of(part.code(), part.name(), bundle.item().kind().word(), Map.of()),
        Optional.of(part),
        OptionalInt.empty(),
        List.of(),
        List.of(),
        List.copyOf(findings),
        Disposition.of(findings));
  }

  /** A stack or cutting data whose tool was not beside it. */
  private static Inspected ownerless(RawBundle bundle) {
    RawItem raw = bundle.item();
    List<Finding> findings = new ArrayList<>(raw.findings());
    findings.add(
        Finding.hold(
            "tool-missing",
            raw.owner().isEmpty()
                ? "%s without a tool: no code is given".formatted(title(raw.kind()))
                : "%s of %s, which is not in this delivery"
                    .formatted(title(raw.kind()), raw.owner()),
            RawItem.CODE));
    return new Inspected(
        bundle,
        raw.kind(),
        Tool.of(raw.owner().startsWith("@") ? "" : raw.owner(), "", raw.kind().word(), Map.of()),
        Optional.empty(),
        OptionalInt.empty(),
        List.of(),
        List.of(),
        List.copyOf(findings),
        Disposition.HOLD);
  }

  /** As {@link #inspect}, for a stack or cutting data whose tool the shop has. */
  public static Inspected belonging(RawBundle bundle, Tool owner) {
    RawItem raw = bundle.item();
    boolean cutting = raw.kind() == ItemKind.CUTTING;
    List<Finding> findings = new ArrayList<>();
    List<CuttingEntry> entries = new ArrayList<>(1);
    List<PlannedStack> stacks = new ArrayList<>(1);
    if (cutting) {
      CuttingReading.Interpreted read = CuttingReading.interpret(raw, owner);
      read.entry().ifPresent(entries::add);
      findings.addAll(read.findings());
    } else {
      StackReading.Interpreted read = StackReading.interpret(raw);
      read.stack().ifPresent(stacks::add);
      findings.addAll(read.findings());
    }
    return new Inspected(
        bundle,
        raw.kind(),
        Tool.of(owner.code(), owner.name(), raw.kind().word(), Map.of()),
        Optional.empty(),
        OptionalInt.empty(),
        List.copyOf(entries),
        List.copyOf(stacks),
        List.copyOf(findings),
        entries.isEmpty() && stacks.isEmpty() ? Disposition.HOLD : Disposition.of(findings));
  }

  private static String title(ItemKind kind) {
    return kind == ItemKind.STACK ? "a stack" : "cutting data";
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
          Finding.hold("code-missing", "no code is given", RawItem.CODE)
              .withRepair(
                  Repair.of(
                      "code-from-class",
                      "make a code from class, diameter and line",
                      Map.of(RawItem.CODE, proposedCode(tool, line)))));
    } else {
      Codes.fault(code).ifPresent(fault -> findings.add(unusable(code, fault)));
    }
    VisibleText.fault("the name", tool.name())
        .ifPresent(fault ->
            findings.add(
                Finding.hold("name-characters", fault, RawItem.NAME)
                    .withRepair(
                        Repair.of(
                            "name-characters",
                            "leave out what cannot be seen",
                            Map.of(RawItem.NAME, VisibleText.only(tool.name()))))));
    tooLong(RawItem.CODE, code, LONGEST_CODE, findings);
    tooLong(RawItem.NAME, tool.name(), LONGEST_NAME, findings);
  }

  private static Finding unusable(String code, String fault) {
    boolean spaces = code.chars().anyMatch(Character::isWhitespace);
    String mended = Codes.mended(code);
    Finding finding = Finding.hold(spaces ? "code-spaces" : "code-characters", fault, RawItem.CODE);
    return mended.isEmpty()
        ? finding
        : finding.withRepair(
            spaces
                ? Repair.of(
                    "code-spaces", "put hyphens for the spaces", Map.of(RawItem.CODE, mended))
                : Repair.of(
                    "code-characters",
                    "leave out what a code cannot have",
                    Map.of(RawItem.CODE, mended)));
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
