package arborline.server.delivery;

import arborline.core.finding.Finding;
import arborline.core.finding.FindingKind;
import arborline.core.finding.Severity;
import arborline.core.inspect.Allowance;
import arborline.core.property.Dictionary;
import arborline.server.support.Json;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was found in the open lines of a delivery, question by question. */
@Service
@Transactional(readOnly = true)
class FindingGroups {

  private final EntityManager entities;
  private final JdbcClient jdbc;
  private final Json json;

  FindingGroups(EntityManager entities, JdbcClient jdbc, Json json) {
    this.entities = entities;
    this.jdbc = jdbc;
    this.json = json;
  }

  /**
   * A repair that lines offer.
   *
   * @param id to apply it by
   * @param count how many lines offer it
   */
  record RepairCount(String id, String title, long count) {}

  /**
   * All lines with one question.
   *
   * @param code of the finding, or its kind where one question has several codes
   * @param example what is said of the first of them
   * @param ofAll true where the example is no example, but said of all
   * @param properties what it is about, what most lines lack first
   * @param allowable true where a reason may outweigh it
   */
  record FindingGroup(
      String code,
      Severity severity,
      long count,
      String example,
      boolean ofAll,
      List<String> properties,
      boolean allowable,
      List<RepairCount> repairs) {}

  private record KindRow(String kind, String severity, long lineCount, long offeredCount) {}

  private record CodeRow(
      String kind,
      String severity,
      String code,
      @Nullable String repairId,
      @Nullable String repairTitle,
      long lineCount,
      long exampleLine) {}

  /** The questions, holds first. */
  List<FindingGroup> of(long deliveryId) {
    Map<String, List<CodeRow>> codes =
        codes(deliveryId).stream()
            .collect(Collectors.groupingBy(row -> row.kind() + ' ' + row.severity()));
    return jdbc
        .sql(
            """
            select f.kind, f.severity, count(distinct f.line_id) as line_count,
              count(distinct if(f.repair_id is null, null, f.line_id)) as offered_count
            from line_finding f join delivery_line l on l.id = f.line_id
            where f.delivery_id = ? and l.taken_id is null
            group by f.kind, f.severity
            order by field(f.severity, 'HOLD', 'QUERY', 'NOTE'), line_count desc, f.kind\
            """)
        .param(deliveryId)
        .query(KindRow.class)
        .list()
        .stream()
        .map(row -> group(row, codes.get(row.kind() + ' ' + row.severity())))
        .toList();
  }

  private List<CodeRow> codes(long deliveryId) {
    return jdbc.sql(
            """
            select f.kind, f.severity, f.code, f.repair_id, min(f.repair_title) as repair_title,
              count(*) as line_count, min(f.line_id) as example_line
            from line_finding f join delivery_line l on l.id = f.line_id
            where f.delivery_id = ? and l.taken_id is null
            group by f.kind, f.severity, f.code, f.repair_id
            order by count(*) desc, f.code, f.repair_id\
            """)
        .param(deliveryId)
        .query(CodeRow.class)
        .list();
  }

  private FindingGroup group(KindRow kind, List<CodeRow> rows) {
    Map<String, CodeRow> firsts = new LinkedHashMap<>();
    rows.forEach(row -> firsts.putIfAbsent(row.code(), row));
    List<Finding> examples = firsts.values().stream().map(this::example).toList();
    List<String> properties =
        examples.stream().flatMap(finding -> finding.properties().stream()).distinct().toList();
    Severity severity = Severity.valueOf(kind.severity());
    return new FindingGroup(
        kind.kind(),
        severity,
        kind.lineCount(),
        examples.size() == 1
            ? examples.getFirst().message()
            : FindingKind.sentence(kind.kind(), severity, named(examples)),
        examples.size() > 1 || kind.lineCount() == 1,
        properties,
        examples.stream().anyMatch(Allowance::possible),
        repairs(kind, rows));
  }

  private Finding example(CodeRow row) {
    DeliveryLine line = entities.find(DeliveryLine.class, row.exampleLine());
    return Arrays.stream(json.read(line.findings, Finding[].class))
        .filter(found -> found.code().equals(row.code()))
        .findFirst()
        .orElse(Finding.note(row.code(), ""));
  }

  private static List<String> named(List<Finding> examples) {
    return examples.stream()
        .map(finding -> finding.properties().getFirst())
        .map(symbol -> "%s (%s)".formatted(Dictionary.standard().get(symbol).name(), symbol))
        .toList();
  }

  private static List<RepairCount> repairs(KindRow kind, List<CodeRow> rows) {
    Map<String, RepairCount> offered = new LinkedHashMap<>();
    rows.stream()
        .filter(row -> row.repairId() != null)
        .map(row -> new RepairCount(row.repairId(), row.repairTitle(), row.lineCount()))
        .forEach(repair ->
            offered.merge(
                repair.id(),
                repair,
                (one, other) ->
                    new RepairCount(one.id(), one.title(), one.count() + other.count())));
    Optional<String> all = FindingKind.orderOfAll(kind.kind());
    List<RepairCount> repairs = new ArrayList<>();
    if (all.isPresent() && offered.size() > 1) {
      repairs.add(new RepairCount(kind.kind(), all.get(), kind.offeredCount()));
    }
    repairs.addAll(offered.values());
    return repairs;
  }
}
