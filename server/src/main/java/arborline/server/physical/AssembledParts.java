package arborline.server.physical;

import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.core.stack.Stack;
import arborline.core.tool.Tool;
import arborline.server.machine.Machines;
import arborline.server.stack.Assemblies;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What a piece of a tool is put together of. */
@Service
class AssembledParts {

  private static final String TORQUE = "TQ";

  private final Tools tools;
  private final Machines machines;
  private final Assemblies assemblies;

  AssembledParts(Tools tools, Machines machines, Assemblies assemblies) {
    this.tools = tools;
    this.machines = machines;
    this.assemblies = assemblies;
  }

  /**
   * A part to take.
   *
   * @param torque with which it is tightened, with its unit; null where nothing says it
   */
  record AssemblyPart(String code, String name, @Nullable String torque) {}

  /**
   * What is to be put together.
   *
   * @param parts from the gauge line on, the cutter last; the cutter alone where no stack is kept
   * @param questions what is odd about it, in sentences
   */
  record PartsToAssemble(String tool, List<AssemblyPart> parts, List<String> questions) {

    /**
     * What was scanned, as it is kept.
     *
     * @throws Refusal where it is not what the stack says, naming the first part that is not
     */
    List<String> checked(@Nullable List<@Nullable String> scanned) {
      List<String> codes = parts.stream().map(AssemblyPart::code).toList();
      if (scanned == null || scanned.isEmpty()) {
        return codes;
      }
      List<String> taken = scanned.stream().filter(Objects::nonNull).toList();
      for (int at = 0; at < Math.max(codes.size(), taken.size()); at++) {
        refuseOther(codes, taken, at);
      }
      return codes;
    }

    private void refuseOther(List<String> codes, List<String> taken, int at) {
      String wanted = at < codes.size() ? codes.get(at) : null;
      String found = at < taken.size() ? taken.get(at) : null;
      if (wanted == null) {
        throw Refusal.conflict("%s is no part of %s: put it back".formatted(found, tool));
      }
      if (found == null) {
        throw Refusal.conflict("%s is missing: %s is held by it".formatted(wanted, tool));
      }
      if (!Codes.key(wanted).equals(Codes.key(found))) {
        throw Refusal.conflict(
            "part %d of %s is %s, not %s: take the right one, or change its stack first"
                .formatted(at + 1, tool, wanted, found));
      }
    }
  }

  /**
   * The parts of a tool.
   *
   * @param machine for which it is; null for none: then it is the cutter alone
   */
  PartsToAssemble of(long toolId, @Nullable String machine) {
    Tool tool = tools.get(toolId).tool();
    Optional<Assemblies.AssembledTool> assembled =
        Optional.ofNullable(machine)
            .map(id -> machines.get(id).machine().seat())
            .map(seat -> assemblies.of(Map.of(toolId, tool), seat).get(toolId));
    List<AssemblyPart> parts = new ArrayList<>();
    assembled.ifPresent(known -> known.stack().components().forEach(part -> parts.add(part(part))));
    parts.add(new AssemblyPart(tool.code(), tool.name(), null));
    return new PartsToAssemble(tool.code(), parts, questions(machine, assembled));
  }

  private static AssemblyPart part(Component part) {
    return new AssemblyPart(part.code(), part.name(), part.properties().get(TORQUE));
  }

  private static List<String> questions(
      @Nullable String machine, Optional<Assemblies.AssembledTool> assembled) {
    List<String> questions = new ArrayList<>();
    if (machine != null && assembled.isEmpty()) {
      questions.add("no stack is kept for it: what it is held by is not checked");
    }
    assembled
        .map(Assemblies.AssembledTool::stack)
        .map(Stack::findings)
        .ifPresent(findings -> findings.forEach(finding -> questions.add(finding.message())));
    assembled.ifPresent(
        known -> known.retired().forEach(code -> questions.add(code + " was taken out of use")));
    return questions;
  }
}
