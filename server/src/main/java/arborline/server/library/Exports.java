package arborline.server.library;

import arborline.core.exchange.LibraryTool;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.ToolFormat;
import arborline.core.exchange.ToolSink;
import arborline.core.exchange.WriteOptions;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.OutputStream;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes libraries as files, a thousand tools at a time. */
@Service
@Transactional(readOnly = true)
class Exports {

  private static final int CHUNK = 1000;

  private final EntityManager entities;
  private final ToolStore shelves;

  private final List<Attachment> attachments;

  Exports(EntityManager entities, ToolStore shelves, List<Attachment> attachments) {
    this.entities = entities;
    this.shelves = shelves;
    this.attachments = attachments;
  }

  private interface ToolVisitor {
    void visit(Entry entry, LibraryTool tool) throws IOException;
  }

  public String name(long libraryId) {
    return shelves.library(libraryId).name;
  }

  public void write(long libraryId, ToolFormat format, Optional<Unit> unit, OutputStream file)
      throws IOException {
    try (ToolSink sink = format.create(file, options(libraryId, unit))) {
      each(libraryId, (entry, tool) -> sink.write(tool));
    }
  }

  public LossReport losses(long libraryId, ToolFormat format, Optional<Unit> unit)
      throws IOException {
    LossReport report = new LossReport();
    WriteOptions options = options(libraryId, unit);
    Map<Long, String> codes = new LinkedHashMap<>();
    each(
        libraryId,
        (entry, tool) -> {
          format.losses(tool, options, report);
          codes.put(entry.toolId, entry.code);
        });
    for (Attachment each : attachments) {
      each.counts(codes.keySet())
          .forEach((tool, count) ->
              report.add(codes.get(tool), each.title(), "%d not carried".formatted(count)));
    }
    return report;
  }

  private WriteOptions options(long libraryId, Optional<Unit> unit) throws IOException {
    Set<String> used = new HashSet<>();
    each(libraryId, (entry, tool) -> used.addAll(tool.tool().values().keySet()));
    List<String> symbols =
        Dictionary.standard().all().stream().map(Property::symbol).filter(used::contains).toList();
    return new WriteOptions(name(libraryId), symbols, unit);
  }

  /** Visits all tools by code; one transaction sees one state of the library. */
  private void each(long libraryId, ToolVisitor visitor) throws IOException {
    String code = "";
    long id = 0;
    List<Object[]> rows;
    do {
      rows =
          entities
              .createQuery(
                  "select e, v.vals from Entry e join ToolVersion v on v.id = e.versionId"
                      + " where e.libraryId = :library and e.code >= :code"
                      + " and (e.code > :code or e.id > :id) order by e.code, e.id",
                  Object[].class)
              .setParameter("library", libraryId)
              .setParameter("code", code)
              .setParameter("id", id)
              .setMaxResults(CHUNK)
              .getResultList();
      for (Object[] row : rows) {
        Entry entry = (Entry) row[0];
        visitor.visit(
            entry,
            new LibraryTool(
                StoredTools.tool(entry.code, entry.name, entry.classId, (String) row[1]),
                OptionalInt.of(entry.number)));
        code = entry.code;
        id = entry.id;
      }
      entities.clear();
    } while (rows.size() == CHUNK);
  }
}
