package arborline.server.stack;

import arborline.core.stack.StepSolid;
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
  private final Clock clock;

  StackFiles(Stacks stacks, Tools tools, Clock clock) {
    this.stacks = stacks;
    this.tools = tools;
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
}
