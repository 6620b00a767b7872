package arborline.server.library;

import arborline.core.library.Codes;
import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts tools, versions and entries into the database; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class ToolStore {

  private final EntityManager entities;
  private final LibraryRepository libraries;
  private final ToolRepository tools;
  private final EntryRepository entries;
  private final HeldCodes held;
  private final Ids ids;
  private final Live live;
  private final Clock clock;

  ToolStore(
      EntityManager entities,
      LibraryRepository libraries,
      ToolRepository tools,
      EntryRepository entries,
      HeldCodes held,
      Ids ids,
      Live live,
      Clock clock) {
    this.entities = entities;
    this.libraries = libraries;
    this.tools = tools;
    this.entries = entries;
    this.held = held;
    this.ids = ids;
    this.live = live;
    this.clock = clock;
  }

  Library library(long id) {
    return libraries.findById(id).orElseThrow(() -> Refusal.notFound("there is no library " + id));
  }

  ShopTool tool(long id) {
    return tools.findById(id).orElseThrow(() -> Refusal.notFound("there is no tool " + id));
  }

  Entry entry(long libraryId, long toolId) {
    return entries
        .findByLibraryIdAndToolId(libraryId, toolId)
        .orElseThrow(() ->
            Refusal.notFound("library %d does not hold tool %d".formatted(libraryId, toolId)));
  }

  /** A new tool with its first version; refused where its code was ever used. */
  ShopTool add(Tool tool, String origin) {
    if (tools.existsByCodeKey(Codes.key(tool.code()))) {
      throw Refusal.conflict("code %s is used; a code is never given twice".formatted(tool.code()));
    }
    held.take(tool.code());
    long toolId = ids.next("tool");
    ToolVersion version = version(toolId, 1, tool, origin);
    ShopTool added = new ShopTool(toolId, tool.code(), version);
    entities.persist(version);
    entities.persist(added);
    entities.flush();
    return added;
  }

  /** Another version of a tool; every library that holds it follows. */
  ToolVersion change(ShopTool owner, Tool tool, String origin) {
    ToolVersion version = version(owner.id, owner.versionNo + 1, tool, origin);
    entities.persist(version);
    owner.stand(version);
    follow(owner, tool);
    return version;
  }

  private void follow(ShopTool owner, Tool tool) {
    entries
        .findByToolId(owner.id, org.springframework.data.domain.Limit.of(1000))
        .forEach(entry -> {
          entry.follow(owner, tool);
          live.say("library", entry.libraryId, "");
        });
    live.say("tool", owner.id, "");
  }

  /** Gives a tool another code, another name, or both; the former code stays its own for ever. */
  void rename(ShopTool owner, Tool tool, String code, String name, String origin) {
    if (!Codes.key(code).equals(owner.codeKey)) {
      held.again(code, owner.id);
      held.take(code);
      held.former(owner.code, owner.id);
    }
    owner.call(code);
    if (name.equals(tool.name())) {
      follow(owner, tool);
    } else {
      change(owner, tool.named(code, name), origin);
    }
  }

  private ToolVersion version(long toolId, int number, Tool tool, String origin) {
    return new ToolVersion(
        ids.next("tool_version"), toolId, number, tool, origin, Instant.now(clock), Actor.name());
  }

  /** Puts a tool into a library under the next free number. */
  Entry shelve(long libraryId, ShopTool owner, Tool tool) {
    NumberSeries series = series(libraryId, Numbering.NEXT);
    Entry entry =
        new Entry(
            ids.next("entry"),
            libraryId,
            owner,
            series.next(OptionalInt.empty(), process(tool), 1),
            "",
            tool);
    entities.persist(entry);
    live.say("library", libraryId, "");
    return entry;
  }

  /** Gives out numbers of a library; nobody else does until the transaction ends. */
  NumberSeries series(long libraryId, Numbering numbering) {
    libraries.lockNumbers(libraryId);
    return new NumberSeries(
        numbering, entries.numbers(libraryId).stream().mapToInt(Integer::intValue));
  }

  static Process process(Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .map(each -> each.sheet().process())
        .orElse(Process.MILLING);
  }
}
