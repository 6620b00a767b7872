package arborline.server.stack;

import arborline.core.stack.PartOutline;
import arborline.core.stack.StepSolid;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.server.exchange.SolidsOfTools;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Stacks as files for other programs. */
@Service
class StackFiles implements SolidsOfTools {

  private final Stacks stacks;
  private final Tools tools;
  private final Components components;
  private final Clock clock;

  StackFiles(Stacks stacks, Tools tools, Components components, Clock clock) {
    this.stacks = stacks;
    this.tools = tools;
    this.components = components;
    this.clock = clock;
  }

  /** A file with its name. */
  record StackFile(String name, String text) {}

  /** A stack as one solid of revolution, ISO 10303-21 with the AP214 schema. */
  StackFile solid(long id) throws IOException {
    Stacks.KeptStack stack = stacks.get(id);
    String code = tools.get(stack.toolId()).tool().code();
    if (stack.answer().shape().turned().isPresent()) {
      throw Refusal.conflict(
          "a stack whose axis is turned is no solid of revolution; save its parts one by one");
    }
    if (stack.answer().shape().spans().stream().anyMatch(span -> !span.plan().isEmpty())) {
      throw Refusal.conflict(
          "a turning tool is no solid of revolution; save its drawing, or its holder by itself");
    }
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, code, StepSolid.profile(stack.answer().shape()), Instant.now(clock));
    return new StackFile(code + ".step", file.toString());
  }

  /** A tool by itself. */
  StackFile toolSolid(long toolId) throws IOException {
    Tool tool = tools.get(toolId).tool();
    Outline outline =
        Silhouettes.of(tool)
            .orElseThrow(() ->
                Refusal.conflict("%s has no sizes to make a solid of".formatted(tool.code())));
    return turned(tool.code(), outline);
  }

  /** A holder or another part by itself. */
  StackFile partSolid(long componentId) throws IOException {
    arborline.core.stack.Component part = components.get(componentId).component();
    Outline outline =
        PartOutline.of(part)
            .orElseThrow(() ->
                Refusal.conflict("%s has no outline to make a solid of".formatted(part.code())));
    return turned(part.code(), outline);
  }

  private StackFile turned(String code, Outline outline) throws IOException {
    if (outline.parts().stream().anyMatch(Part::flat)) {
      throw Refusal.conflict(
          "%s is not turned: only what turns about its axis is written as a solid".formatted(code));
    }
    StringBuilder file = new StringBuilder();
    StepSolid.write(
        file,
        code,
        outline.parts().stream().flatMap(part -> part.profile().stream()).toList(),
        Instant.now(clock));
    return new StackFile(code + ".step", file.toString());
  }

  @Override
  public ToolSolids of(long toolId) throws IOException {
    String code = tools.get(toolId).tool().code();
    SortedMap<String, String> own = new TreeMap<>();
    SortedMap<String, Solid> parts = new TreeMap<>();
    made(() -> toolSolid(toolId)).ifPresent(file -> own.put(fileName(code), file.text()));
    for (Stacks.KeptStack stack : stacks.of(toolId)) {
      String named = stack.name().isBlank() ? Long.toString(stack.id()) : stack.name();
      made(() -> solid(stack.id()))
          .ifPresent(file -> own.put(fileName(code + "-in-" + named), file.text()));
      for (Components.KnownComponent part : stack.parts()) {
        String partCode = part.component().code();
        made(() -> partSolid(part.id()))
            .ifPresent(file -> parts.put(partCode, new Solid(fileName(partCode), file.text())));
      }
    }
    return new ToolSolids(own, parts);
  }

  private interface Making {
    StackFile make() throws IOException;
  }

  /** A solid; nothing of what is not turned or has too few sizes. */
  private static Optional<StackFile> made(Making making) throws IOException {
    try {
      return Optional.of(making.make());
    } catch (Refusal none) {
      return Optional.empty();
    }
  }

  private static String fileName(String name) {
    return name.replaceAll("[^A-Za-z0-9._-]+", "-") + ".step";
  }
}
