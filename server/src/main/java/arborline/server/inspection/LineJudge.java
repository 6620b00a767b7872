package arborline.server.inspection;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.inspect.Clashes;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import arborline.core.tool.Tool;
import arborline.server.delivery.DeliveryLine;
import arborline.server.support.Json;
import arborline.server.tool.HeldCodes;
import arborline.server.tool.StoredTools;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Judges stored lines anew, with what other lines and the shop have to say about their codes. */
@Component
public class LineJudge {

  private final JdbcClient jdbc;
  private final JdbcTemplate template;
  private final HeldCodes held;
  private final Json json;

  LineJudge(JdbcClient jdbc, JdbcTemplate template, HeldCodes held, Json json) {
    this.held = held;
    this.jdbc = jdbc;
    this.template = template;
    this.json = json;
  }

  private record Present(String codeKey, Tool tool, String hash, boolean shelved) {}

  private record FirstLine(String codeKey, long position, long lineNo, int fileNo, String name) {

    /** Where it is, for somebody who looks at a line of a file. */
    String seenFrom(int file) {
      return fileNo == file ? "line " + lineNo : "line %d of %s".formatted(lineNo, name);
    }
  }

  /** The codes of these lines that no tool carries and that are not free all the same. */
  public Set<String> held(List<DeliveryLine> some) {
    return held.why(some.stream().map(line -> line.codeKey).toList()).keySet();
  }

  /** Judges these lines of one delivery; the caller saves them. */
  public void judge(long deliveryId, List<DeliveryLine> lines) {
    List<Inspected> inspected = lines.stream().map(line -> Inspector.inspect(raw(line))).toList();
    Set<String> keys =
        inspected.stream()
            .map(line -> Codes.key(line.tool().code()))
            .filter(key -> !key.isEmpty() && key.length() <= 60)
            .collect(Collectors.toSet());
    Map<String, FirstLine> first = keys.isEmpty() ? Map.of() : firstLines(deliveryId, keys);
    Map<String, Present> shop = keys.isEmpty() ? Map.of() : shop(keys);
    Map<String, String> promised = held.why(keys);
    Map<Long, List<Finding>> findings = new HashMap<>();
    for (int i = 0; i < lines.size(); i++) {
      DeliveryLine line = lines.get(i);
      Inspected full = withClash(deliveryId, line, inspected.get(i), first, shop, promised);
      line.judged(full, json.text(full.findings()));
      findings.put(line.id, full.findings());
    }
    store(deliveryId, findings);
  }

  private RawItem raw(DeliveryLine line) {
    return line.readingFindings == null
        ? line.raw()
        : new RawItem(
            line.lineNo,
            line.raw().cells(),
            List.of(json.read(line.readingFindings, Finding[].class)));
  }

  private Inspected withClash(
      long deliveryId,
      DeliveryLine line,
      Inspected inspected,
      Map<String, FirstLine> first,
      Map<String, Present> shop,
      Map<String, String> promised) {
    String code = inspected.tool().code();
    String key = Codes.key(code);
    FirstLine earlier = first.get(key);
    Present present = shop.get(key);
    if (key.isEmpty() || inspected.disposition() == Disposition.SKIPPED) {
      return inspected;
    }
    if (earlier != null && earlier.position() < line.position) {
      return with(
          inspected,
          Clashes.insideDelivery(code, earlier.seenFrom(line.fileNo), free(deliveryId, code)));
    }
    if (present == null) {
      return promised.containsKey(key)
          ? with(inspected, Clashes.held(promised.get(key), free(deliveryId, code)))
          : inspected;
    }
    boolean same =
        present.hash().equals(ContentHash.of(inspected.tool()))
            || Clashes.differences(inspected.tool(), present.tool()).isEmpty();
    if (same && present.shelved()) {
      return new Inspected(
          inspected.raw(),
          inspected.tool(),
          inspected.number(),
          List.of(Clashes.alreadyHere(code)),
          Disposition.SKIPPED);
    }
    return same
        ? inspected
        : with(
            inspected, Clashes.withShop(inspected.tool(), present.tool(), free(deliveryId, code)));
  }

  private static Inspected with(Inspected inspected, Finding finding) {
    List<Finding> findings = new ArrayList<>(inspected.findings());
    findings.add(finding);
    return new Inspected(
        inspected.raw(), inspected.tool(), inspected.number(), findings, Disposition.of(findings));
  }

  private Map<String, FirstLine> firstLines(long deliveryId, Collection<String> keys) {
    return jdbc
        .sql(
            """
            select l.code_key, l.position, l.line_no, l.file_no, d.name from delivery_line l
            join (select code_key, min(position) as position from delivery_line
              where delivery_id = :delivery and code_key in (:keys) and disposition <> 'SKIPPED'
              group by code_key) f on f.position = l.position
            join delivery_document d on d.delivery_id = l.delivery_id and d.file_no = l.file_no
            where l.delivery_id = :delivery\
            """)
        .param("delivery", deliveryId)
        .param("keys", keys)
        .query(FirstLine.class)
        .stream()
        .collect(Collectors.toMap(FirstLine::codeKey, Function.identity()));
  }

  private Map<String, Present> shop(Collection<String> keys) {
    Map<String, Present> present = new HashMap<>();
    jdbc
        .sql(
            """
            select t.code_key, t.code, v.name, v.class_id, v.vals, v.hash,
              exists(select 1 from entry e where e.tool_id = t.id) as shelved
            from tool t join tool_version v on v.id = t.version_id
            where t.code_key in (:keys)\
            """)
        .param("keys", keys)
        .query((row, index) ->
            new Present(
                row.getString("code_key"),
                StoredTools.tool(
                    row.getString("code"),
                    row.getString("name"),
                    row.getString("class_id"),
                    row.getString("vals")),
                row.getString("hash"),
                row.getBoolean("shelved")))
        .stream()
        .forEach(tool -> present.put(tool.codeKey(), tool));
    return present;
  }

  private String free(long deliveryId, String code) {
    return Codes.nextFree(code, key -> used(deliveryId, key));
  }

  private boolean used(long deliveryId, String key) {
    return jdbc.sql(
            """
            select exists(select 1 from tool where code_key = :key)
              or exists(select 1 from held_code where code_key = :key)
              or exists(select 1 from delivery_line
                where delivery_id = :delivery and code_key = :key)\
            """)
        .param("key", key)
        .param("delivery", deliveryId)
        .query(Boolean.class)
        .single();
  }

  private void store(long deliveryId, Map<Long, List<Finding>> findings) {
    if (!findings.isEmpty()) {
      jdbc.sql("delete from line_finding where line_id in (:lines)")
          .param("lines", findings.keySet())
          .update();
      insert(deliveryId, findings);
    }
  }

  /** Stores the findings of new lines, so that lines can be grouped by them. */
  public void insert(long deliveryId, Map<Long, List<Finding>> findings) {
    List<Object[]> rows = new ArrayList<>();
    findings.forEach((lineId, found) ->
        found.stream()
            .collect(Collectors.toMap(Finding::code, finding -> finding, (one, other) -> one))
            .values()
            .forEach(finding -> rows.add(row(deliveryId, lineId, finding))));
    if (!rows.isEmpty()) {
      template.batchUpdate(
          "insert into line_finding"
              + " (line_id, code, kind, delivery_id, severity, repair_id, repair_title)"
              + " values (?, ?, ?, ?, ?, ?, ?)",
          rows);
    }
  }

  private static Object[] row(long deliveryId, long lineId, Finding finding) {
    return new Object[] {
      lineId,
      finding.code(),
      finding.kind(),
      deliveryId,
      finding.severity().name(),
      finding.repair().map(repair -> repair.id()).orElse(null),
      finding.repair().map(repair -> repair.title()).orElse(null)
    };
  }
}
