package arborline.server.tool;

import arborline.server.live.Live;
import java.util.Collection;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Tells of changes of what belongs to tools; always inside the transaction that changes it. */
@Component
public class ToolBelongings {

  private final Live live;
  private final ApplicationEventPublisher events;

  ToolBelongings(Live live, ApplicationEventPublisher events) {
    this.live = live;
    this.events = events;
  }

  /** The cutting data of a tool changed. */
  public void cuttingChanged(long toolId) {
    changed(toolId, "cutting");
  }

  /** A stack that holds a tool changed. */
  public void stackChanged(long toolId) {
    changed(toolId, "stack");
  }

  private void changed(long toolId, String what) {
    live.say("tool", toolId, what);
    moved(Set.of(toolId));
  }

  /** What belongs to tools went from one to another, or is called otherwise. */
  public void moved(Collection<Long> toolIds) {
    events.publishEvent(new BelongingsChanged(Set.copyOf(toolIds)));
  }
}
