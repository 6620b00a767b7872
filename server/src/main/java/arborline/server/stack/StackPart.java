package arborline.server.stack;

import jakarta.persistence.Embeddable;
import org.jspecify.annotations.Nullable;

/** A component in a stack. */
@Embeddable
class StackPart {

  long componentId;

  /** The tool of the stack; set when it is put into one. */
  long toolId;

  /** The version that the stack stays with; null where it follows the newest. */
  @Nullable Integer versionNo;

  protected StackPart() {}

  StackPart(long componentId, @Nullable Integer versionNo) {
    this.componentId = componentId;
    this.versionNo = versionNo;
  }
}
