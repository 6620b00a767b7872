package arborline.server.attachment;

import arborline.server.right.ToolGuard;
import arborline.server.stack.Components;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import java.util.List;
import org.springframework.stereotype.Component;

/** Tools and parts, as far as their attachments are concerned. */
@Component
class AttachmentOwners {

  private final Tools tools;
  private final ToolStore store;
  private final Components components;
  private final ToolGuard guard;

  AttachmentOwners(Tools tools, ToolStore store, Components components, ToolGuard guard) {
    this.guard = guard;
    this.tools = tools;
    this.store = store;
    this.components = components;
  }

  /** The code of one; refused where there is none. */
  String code(AttachmentOwner owner) {
    return switch (owner.kind()) {
      case TOOL -> tools.get(owner.id()).tool().code();
      case COMPONENT -> components.get(owner.id()).component().code();
    };
  }

  /** Lets nobody else change it until the transaction ends. */
  void lock(AttachmentOwner owner) {
    switch (owner.kind()) {
      case TOOL -> {
        store.lock(owner.id());
        guard.needChange(List.of(owner.id()));
      }
      case COMPONENT -> components.lock(owner.id());
    }
  }
}
