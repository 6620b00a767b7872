package arborline.server.library;

import arborline.core.exchange.Bundle;
import arborline.core.tool.Tool;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.tool.Holdings;
import arborline.server.tool.Tools;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What libraries hold, tool by tool, and which of them hold a tool. */
@Service
@Transactional(readOnly = true)
public class LibraryContents implements Holdings {

  private static final int CHUNK = 1000;
  private static final int LIBRARIES_SHOWN = 50;

  private final EntityManager entities;
  private final LibraryRepository libraries;
  private final EntryRepository entries;
  private final ObjectProvider<Tools> tools;
  private final LibraryGuard guard;

  LibraryContents(
      EntityManager entities,
      LibraryRepository libraries,
      EntryRepository entries,
      ObjectProvider<Tools> tools,
      LibraryGuard guard) {
    this.guard = guard;
    this.entities = entities;
    this.libraries = libraries;
    this.entries = entries;
    this.tools = tools;
  }

  /** Meets some tools of a library at once, by tool id. */
  public interface Visitor {
    void visit(Map<Long, Bundle> tools) throws IOException;
  }

  public String name(long libraryId) {
    return libraries
        .findById(libraryId)
        .orElseThrow(() -> Refusal.notFound("there is no library " + libraryId))
        .name;
  }

  /** How many tools a library holds. */
  public long size(long libraryId) {
    return entries.countByLibraryId(libraryId);
  }

  /**
   * Visits all tools by code, some at a time, without what belongs to them; one transaction sees
   * one state of the library.
   */
  public void visitAll(long libraryId, Visitor visitor) throws IOException {
    String code = "";
    long id = 0;
    List<Entry> chunk;
    do {
      chunk = entries.after(libraryId, code, id, Limit.of(CHUNK));
      if (!chunk.isEmpty()) {
        visitor.visit(bundles(chunk));
        code = chunk.getLast().code;
        id = chunk.getLast().id;
      }
      entities.clear();
    } while (chunk.size() == CHUNK);
  }

  /** Those of some tools that a library holds, as it holds them, without what belongs to them. */
  public Map<Long, Bundle> of(long libraryId, Collection<Long> toolIds) {
    return bundles(entries.findByLibraryIdAndToolIdIn(libraryId, toolIds));
  }

  private Map<Long, Bundle> bundles(List<Entry> some) {
    Map<Long, Tool> versions =
        some.isEmpty()
            ? Map.of()
            : tools.getObject().versions(some.stream().map(entry -> entry.versionId).toList());
    Map<Long, Bundle> bundles = new LinkedHashMap<>();
    for (Entry entry : some) {
      bundles.put(
          entry.toolId,
          new Bundle(
              versions.get(entry.versionId).named(entry.code, entry.name),
              OptionalInt.of(entry.number),
              entry.section,
              List.of(),
              List.of(),
              List.of()));
    }
    return bundles;
  }

  @Override
  public List<UsedIn> of(long toolId) {
    Set<Long> hidden = guard.hidden();
    return entries.findByToolId(toolId, Limit.of(LIBRARIES_SHOWN)).stream()
        .filter(entry -> !hidden.contains(entry.libraryId))
        .map(entry -> used(entry, name(entry.libraryId)))
        .toList();
  }

  private static UsedIn used(Entry entry, String library) {
    return new UsedIn(
        entry.libraryId, library, entry.number, entry.section, entry.pinned, entry.versionId);
  }

  @Override
  public Map<Long, List<UsedIn>> of(Collection<Long> toolIds) {
    if (toolIds.isEmpty()) {
      return Map.of();
    }
    Map<Long, String> names = new HashMap<>();
    return entries.findByToolIdIn(toolIds).stream()
        .sorted(
            Comparator.comparingInt((Entry entry) -> entry.number)
                .thenComparing(entry -> entry.libraryId))
        .collect(
            Collectors.groupingBy(
                entry -> entry.toolId,
                Collectors.mapping(
                    entry -> used(entry, names.computeIfAbsent(entry.libraryId, this::name)),
                    Collectors.toList())));
  }

  @Override
  public Map<Long, Integer> numbers(Collection<Long> toolIds) {
    return entries.smallestNumbers(toolIds).stream()
        .collect(
            Collectors.toMap(
                EntryRepository.ToolNumber::toolId, EntryRepository.ToolNumber::number));
  }
}
