package arborline.server.stack;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Said;
import arborline.server.trail.Trail;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The parts that stacks are built from. */
@Service
public class Components {

  private static final int MOST = 2000;

  private final ComponentRepository components;
  private final Trail trail;
  private final Live live;
  private final Json json;

  Components(ComponentRepository components, Trail trail, Live live, Json json) {
    this.components = components;
    this.trail = trail;
    this.live = live;
    this.json = json;
  }

  /** A component with its identity. */
  public record KnownComponent(long id, Component component, boolean retired) {}

  @Transactional(readOnly = true)
  public List<KnownComponent> all() {
    return components.findByOrderByCodeKey(Limit.of(MOST)).stream().map(this::known).toList();
  }

  @Transactional(readOnly = true)
  public KnownComponent get(long id) {
    return known(row(id));
  }

  /** Several in the order asked for; refused where one is unknown. */
  @Transactional(readOnly = true)
  public List<KnownComponent> inOrder(List<Long> ids) {
    Map<Long, KnownComponent> found = new HashMap<>();
    components.findByIdIn(ids).forEach(row -> found.put(row.id, known(row)));
    List<KnownComponent> ordered = new ArrayList<>();
    for (long id : ids) {
      if (!found.containsKey(id)) {
        throw Refusal.badRequest("there is no holder or extension " + id);
      }
      ordered.add(found.get(id));
    }
    return ordered;
  }

  private KnownComponent known(ComponentRow row) {
    return new KnownComponent(row.id, json.read(row.definition, Component.class), row.retired);
  }

  private ComponentRow row(long id) {
    return components
        .findById(id)
        .orElseThrow(() -> Refusal.notFound("there is no holder or extension " + id));
  }

  /** Adds a component; its code must be free. */
  @Transactional
  public KnownComponent add(Component component) {
    check(component);
    if (components.findByCodeKey(Codes.key(component.code())).isPresent()) {
      throw Refusal.conflict("code %s is taken already".formatted(component.code()));
    }
    ComponentRow row = components.save(new ComponentRow(component, json.text(component)));
    said(row, "added " + row.code);
    return known(row);
  }

  /** Changes a component; every stack that uses it follows. */
  @Transactional
  public KnownComponent change(long id, Component component) {
    check(component);
    ComponentRow row = row(id);
    components
        .findByCodeKey(Codes.key(component.code()))
        .filter(other -> !other.id.equals(id))
        .ifPresent(other -> {
          throw Refusal.conflict("code %s is taken already".formatted(other.code));
        });
    row.define(component, json.text(component));
    said(row, "changed " + row.code);
    return known(row);
  }

  /** Takes a component out of use, or back into it; stacks that have it say so. */
  @Transactional
  public KnownComponent retire(long id, boolean retired) {
    ComponentRow row = row(id);
    row.retired = retired;
    said(row, (retired ? "retired " : "took back into use ") + row.code);
    return known(row);
  }

  private void said(ComponentRow row, String text) {
    trail.record(Said.of("component", row.id, text));
    live.say("component", row.id, "");
  }

  private static void check(Component component) {
    List<Finding> holds =
        component.findings().stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList();
    if (!holds.isEmpty()) {
      throw Refusal.conflict(holds.getFirst().message(), holds);
    }
  }
}
