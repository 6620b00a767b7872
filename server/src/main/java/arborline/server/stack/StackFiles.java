package arborline.server.stack;

import arborline.core.stack.PartOutline;
import arborline.core.stack.StepSolid;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import org.springframework.stereotype.Service;

/** Stacks as files for other programs. */
@Service
class StackFiles {

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
          "a stack with an aggregate is no solid of revolution; save its parts one by one");
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
}
