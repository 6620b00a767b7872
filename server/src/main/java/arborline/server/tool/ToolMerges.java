package arborline.server.tool;

import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Notes into which tool another one was merged; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class ToolMerges {

  private final ToolRepository tools;
  private final EntityManager entities;
  private final ApplicationEventPublisher events;

  ToolMerges(ToolRepository tools, EntityManager entities, ApplicationEventPublisher events) {
    this.tools = tools;
    this.entities = entities;
    this.events = events;
  }

  /** The tool into which another one was merged. */
  public record MergedInto(long toolId, String code) {}

  /** Into which tool one was merged; empty for most. */
  public Optional<MergedInto> into(long toolId) {
    return tools
        .findById(toolId)
        .flatMap(owner -> Optional.ofNullable(owner.mergedInto))
        .flatMap(tools::findById)
        .map(owner -> new MergedInto(owner.id, owner.code));
  }

  /** Refuses a tool that was merged into another one. */
  public void refuseMerged(CurrentTool tool) {
    into(tool.id())
        .ifPresent(into -> {
          throw Refusal.conflict("%s was merged into %s".formatted(tool.code(), into.code()));
        });
  }

  /**
   * Has a tool, and those that were merged into it before, stand for another one.
   *
   * @return those that were merged into it before
   */
  public List<Long> merge(long from, long into) {
    List<ShopTool> before = tools.findByMergedInto(from);
    before.forEach(earlier -> earlier.mergedInto = into);
    tools.findById(from).orElseThrow().mergedInto = into;
    return before.stream().map(earlier -> earlier.id).toList();
  }

  /** Takes that back. */
  public void part(long from, List<Long> before) {
    tools.findById(from).orElseThrow().mergedInto = null;
    tools.findByIdIn(before).forEach(earlier -> earlier.mergedInto = from);
  }

  /** Has all that follows from the values of tools be worked out anew. */
  public void tell(List<CurrentTool> now) {
    entities.flush();
    events.publishEvent(new ToolsChanged(now));
  }
}
