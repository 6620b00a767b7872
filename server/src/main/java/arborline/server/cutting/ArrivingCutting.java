package arborline.server.cutting;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.ItemKind;
import arborline.core.inspect.Inspected;
import arborline.server.account.Actor;
import arborline.server.exchange.CuttingOfTools;
import arborline.server.inspection.Belongings;
import arborline.server.support.Json;
import arborline.server.tool.OwnedByTool;
import arborline.server.tool.ToolBelongings;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Cutting data that comes with tools of a delivery, and goes out with them. */
@Service
class ArrivingCutting implements Belongings, CuttingOfTools, OwnedByTool {

  private final CuttingLineRepository lines;
  private final Json json;
  private final ToolBelongings belongings;
  private final Clock clock;

  ArrivingCutting(CuttingLineRepository lines, Json json, ToolBelongings belongings, Clock clock) {
    this.lines = lines;
    this.json = json;
    this.belongings = belongings;
    this.clock = clock;
  }

  @Override
  public String kind() {
    return ItemKind.CUTTING.word();
  }

  @Override
  @Transactional(readOnly = true)
  public Map<Long, List<CuttingEntry>> of(Collection<Long> toolIds) {
    return lines.findByToolIdInOrderById(toolIds).stream()
        .collect(
            Collectors.groupingBy(
                line -> line.toolId,
                Collectors.mapping(line -> CuttingEntries.of(line, json), Collectors.toList())));
  }

  @Override
  @Transactional(readOnly = true)
  public int unknown(long toolId, long deliveryId, Inspected arriving) {
    return arriving.cutting().isEmpty() ? 0 : fresh(toolId, arriving).size();
  }

  private List<CuttingEntry> fresh(long toolId, Inspected arriving) {
    List<CuttingEntry> known =
        new ArrayList<>(
            lines.findByToolIdOrderById(toolId).stream()
                .map(line -> CuttingEntries.of(line, json))
                .toList());
    List<CuttingEntry> fresh = new ArrayList<>();
    for (CuttingEntry entry : arriving.cutting()) {
      if (known.stream().noneMatch(entry::sameCut)) {
        known.add(entry);
        fresh.add(entry);
      }
    }
    return fresh;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public List<Long> take(long toolId, long deliveryId, Inspected arriving) {
    if (arriving.cutting().isEmpty()) {
      return List.of();
    }
    Instant now = Instant.now(clock).truncatedTo(ChronoUnit.MICROS);
    List<Long> made = new ArrayList<>();
    for (CuttingEntry entry : fresh(toolId, arriving)) {
      CuttingLine line = new CuttingLine(toolId);
      CuttingEntries.to(line, entry, Actor.name(), now, json);
      made.add(lines.save(line).id);
    }
    belongings.cuttingChanged(toolId);
    return made;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void become(Map<Long, Inspected> wanted) {
    Instant now = Instant.now(clock).truncatedTo(ChronoUnit.MICROS);
    Map<Long, List<CuttingLine>> known =
        lines.findByToolIdInOrderById(wanted.keySet()).stream()
            .collect(Collectors.groupingBy(line -> line.toolId));
    wanted.forEach((toolId, inspected) -> {
      if (become(toolId, known.getOrDefault(toolId, List.of()), inspected.cutting(), now)) {
        belongings.cuttingChanged(toolId);
      }
    });
  }

  /** What is the same stays; the first line for the same material and purpose is written anew. */
  private boolean become(
      long toolId, List<CuttingLine> known, List<CuttingEntry> wanted, Instant now) {
    List<CuttingLine> others = new ArrayList<>(known);
    List<CuttingEntry> fresh = new ArrayList<>();
    for (CuttingEntry entry : wanted) {
      Optional<CuttingLine> same =
          others.stream().filter(line -> CuttingEntries.of(line, json).equals(entry)).findFirst();
      same.ifPresentOrElse(others::remove, () -> fresh.add(entry));
    }
    boolean changed = !fresh.isEmpty() || !others.isEmpty();
    for (CuttingEntry entry : fresh) {
      CuttingLine line =
          others.stream()
              .filter(one ->
                  one.material.equals(entry.material()) && one.purpose.equals(entry.purpose()))
              .findFirst()
              .orElseGet(() -> new CuttingLine(toolId));
      line.versionNo += others.remove(line) ? 1 : 0;
      line.formulas = null;
      CuttingEntries.to(line, entry, Actor.name(), now, json);
      lines.save(line);
    }
    others.forEach(lines::delete);
    return changed;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(List<Long> rows) {
    rows.stream()
        .map(lines::findById)
        .flatMap(Optional::stream)
        .filter(line -> line.versionNo == 1)
        .forEach(line -> {
          lines.delete(line);
          belongings.cuttingChanged(line.toolId);
        });
  }
}
