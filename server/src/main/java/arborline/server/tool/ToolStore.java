package arborline.server.tool;

import arborline.core.library.Codes;
import arborline.core.library.Standing;
import arborline.core.tool.Tool;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.right.ToolGuard;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts tools and their versions into the database; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class ToolStore {

  /** Of more tools at once nobody is told one by one. */
  private static final int MOST_TOLD = 100;

  private static final int CHUNK = 1000;

  private final EntityManager entities;
  private final ToolRepository tools;
  private final VersionRepository versions;
  private final HeldCodes held;
  private final Ids ids;
  private final Bulk bulk;
  private final Live live;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final ToolGuard guard;

  ToolStore(
      EntityManager entities,
      ToolRepository tools,
      VersionRepository versions,
      HeldCodes held,
      Ids ids,
      Bulk bulk,
      Live live,
      ApplicationEventPublisher events,
      Clock clock,
      ToolGuard guard) {
    this.guard = guard;
    this.entities = entities;
    this.tools = tools;
    this.versions = versions;
    this.held = held;
    this.ids = ids;
    this.bulk = bulk;
    this.live = live;
    this.events = events;
    this.clock = clock;
  }

  public CurrentTool get(long id) {
    return current(
        tools.findById(id).orElseThrow(() -> Refusal.notFound("there is no tool " + id)));
  }

  /** A tool that nobody else changes until the transaction ends. */
  public CurrentTool lock(long id) {
    return current(tools.lock(id).orElseThrow(() -> Refusal.notFound("there is no tool " + id)));
  }

  /**
   * Several tools as earlier versions had them, under the codes they have now, in their order.
   *
   * @param numbers of the versions, in the order of the tools
   */
  List<Tool> versions(List<CurrentTool> current, List<Integer> numbers) {
    Map<Long, Map<Integer, ToolVersion>> known =
        versions
            .findByToolIdInAndVersionNoIn(
                current.stream().map(CurrentTool::id).toList(),
                numbers.stream().distinct().toList())
            .stream()
            .collect(
                Collectors.groupingBy(
                    version -> version.toolId,
                    Collectors.toMap(version -> version.versionNo, version -> version)));
    List<Tool> former = new ArrayList<>();
    for (int i = 0; i < current.size(); i++) {
      CurrentTool tool = current.get(i);
      former.add(known.get(tool.id()).get(numbers.get(i)).tool(tool.code()));
    }
    return former;
  }

  /** A tool as an earlier version had it, under the code it has now. */
  public Tool version(CurrentTool current, int version) {
    return versions
        .findByToolIdAndVersionNo(current.id(), version)
        .orElseThrow(
            () -> Refusal.notFound("%s has no version %d".formatted(current.code(), version)))
        .tool(current.code());
  }

  /** A tool as one of its versions has it, under the code it has now. */
  public CurrentTool at(long id, long versionId) {
    ShopTool owner =
        tools.findById(id).orElseThrow(() -> Refusal.notFound("there is no tool " + id));
    return CurrentTool.of(
        owner,
        versions
            .findById(versionId)
            .filter(version -> version.toolId == id)
            .orElseThrow(() -> Refusal.notFound("%s has no such version".formatted(owner.code))));
  }

  /** A tool as its version of a number has it, under the code it has now. */
  public CurrentTool numbered(long id, int versionNo) {
    ShopTool owner =
        tools.findById(id).orElseThrow(() -> Refusal.notFound("there is no tool " + id));
    return CurrentTool.of(
        owner,
        versions
            .findByToolIdAndVersionNo(id, versionNo)
            .orElseThrow(
                () -> Refusal.notFound("%s has no version %d".formatted(owner.code, versionNo))));
  }

  private CurrentTool current(ShopTool owner) {
    return CurrentTool.of(owner, versions.findById(owner.versionId).orElseThrow());
  }

  /** A new draft with its first version; refused where its code was ever used. */
  public CurrentTool add(Tool tool, String origin) {
    if (tools.existsByCodeKey(Codes.key(tool.code()))) {
      throw Refusal.conflict("code %s is used; a code is never given twice".formatted(tool.code()));
    }
    held.take(tool.code());
    long toolId = ids.next("tool");
    ToolVersion version = version(toolId, 1, tool, origin);
    ShopTool added = new ShopTool(toolId, tool.code(), version, Standing.DRAFT);
    entities.persist(version);
    entities.persist(added);
    entities.flush();
    return CurrentTool.of(added, version);
  }

  /** Many checked tools at once, in their order; their codes were judged before. */
  public List<CurrentTool> addAll(List<Tool> many, String origin) {
    List<ShopTool> owners = new ArrayList<>(many.size());
    List<ToolVersion> first = new ArrayList<>(many.size());
    List<CurrentTool> added = new ArrayList<>(many.size());
    for (Tool tool : many) {
      long toolId = ids.next("tool");
      ToolVersion version = version(toolId, 1, tool, origin);
      first.add(version);
      owners.add(new ShopTool(toolId, tool.code(), version, Standing.CHECKED));
      added.add(new CurrentTool(toolId, version.id, 1, tool));
    }
    bulk.insert(ToolVersion.TARGET, first);
    bulk.insert(ShopTool.TARGET, owners);
    return added;
  }

  /** Another version of a tool; every library that holds it follows. */
  public CurrentTool change(CurrentTool current, Tool tool, String origin) {
    guard.needChange(List.of(current.id()));
    ShopTool owner = tools.findById(current.id()).orElseThrow();
    ToolVersion version = version(owner.id, owner.versionNo + 1, tool, origin);
    entities.persist(version);
    owner.stand(version);
    return told(CurrentTool.of(owner, version));
  }

  /** A tool as it stands and as it is to be. */
  public record Step(CurrentTool before, Tool after) {}

  /**
   * Keeps everybody else from changing tools until the transaction ends. What is read of them then
   * is what stands only where the transaction reads what others committed.
   */
  public void hold(Collection<Long> ids) {
    List<Long> ordered = ids.stream().distinct().sorted().toList();
    for (int from = 0; from < ordered.size(); from += CHUNK) {
      tools.touchAll(ordered.subList(from, Math.min(ordered.size(), from + CHUNK)));
    }
  }

  /** Tools that nobody else changes until the transaction ends, in the order of their ids. */
  public List<CurrentTool> lockAll(Collection<Long> ids) {
    List<Long> ordered = ids.stream().sorted().toList();
    tools.touchAll(ordered);
    entities.flush();
    entities.clear();
    Map<Long, ShopTool> owners =
        tools.findByIdIn(ordered).stream().collect(Collectors.toMap(tool -> tool.id, tool -> tool));
    Map<Long, ToolVersion> standing =
        versions
            .findByIdIn(owners.values().stream().map(owner -> owner.versionId).toList())
            .stream()
            .collect(Collectors.toMap(version -> version.toolId, version -> version));
    return ordered.stream()
        .map(id -> {
          if (!owners.containsKey(id)) {
            throw Refusal.notFound("there is no tool " + id);
          }
          return CurrentTool.of(owners.get(id), standing.get(id));
        })
        .toList();
  }

  /** Other versions of many locked tools at once; every library that follows them goes along. */
  public List<CurrentTool> changeAll(List<Step> steps, String origin) {
    guard.needChange(steps.stream().map(step -> step.before().id()).toList());
    Map<Long, ShopTool> owners =
        tools.findByIdIn(steps.stream().map(step -> step.before().id()).toList()).stream()
            .collect(Collectors.toMap(tool -> tool.id, tool -> tool));
    List<ToolVersion> fresh = new ArrayList<>();
    List<CurrentTool> now = new ArrayList<>();
    for (Step step : steps) {
      ShopTool owner = owners.get(step.before().id());
      ToolVersion version = version(owner.id, owner.versionNo + 1, step.after(), origin);
      owner.stand(version);
      fresh.add(version);
      now.add(
          new CurrentTool(
              owner.id,
              version.id,
              version.versionNo,
              step.after().named(owner.code, step.after().name())));
    }
    bulk.insert(ToolVersion.TARGET, fresh);
    entities.flush();
    events.publishEvent(new ToolsChanged(now));
    now.stream().limit(MOST_TOLD).forEach(tool -> live.say("tool", tool.id(), ""));
    entities.flush();
    entities.clear();
    return now;
  }

  /** Gives a tool another code, another name, or both; the former code stays its own for ever. */
  public CurrentTool rename(CurrentTool current, String code, String name, String origin) {
    guard.needChange(List.of(current.id()));
    ShopTool owner = tools.findById(current.id()).orElseThrow();
    if (!Codes.key(code).equals(owner.codeKey)) {
      held.again(code, owner.id);
      held.take(code);
      held.former(owner.code, owner.id);
    }
    owner.call(code);
    return name.equals(current.tool().name())
        ? told(current(owner))
        : change(current, current.tool().named(code, name), origin);
  }

  private CurrentTool told(CurrentTool now) {
    events.publishEvent(new ToolsChanged(List.of(now)));
    live.say("tool", now.id(), "");
    return now;
  }

  private ToolVersion version(long toolId, int number, Tool tool, String origin) {
    return new ToolVersion(
        ids.next("tool_version"), toolId, number, tool, origin, Instant.now(clock), Actor.name());
  }
}
