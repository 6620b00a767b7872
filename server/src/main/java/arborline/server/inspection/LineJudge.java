package arborline.server.inspection;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Allowance;
import arborline.core.inspect.Clashes;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.inspect.Settled;
import arborline.core.inspect.StackCheck;
import arborline.core.library.Codes;
import arborline.core.tool.Completed;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Tool;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.DeliveryLine;
import arborline.server.support.Bulk;
import arborline.server.support.Json;
import arborline.server.tool.HeldCodes;
import arborline.server.tool.StoredTools;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Judges stored lines anew, with what other lines and the shop have to say about their codes and
 * about the parts of their stacks.
 */
@Component
public class LineJudge {

  private static final int LONGEST_KEY = 60;

  private final JdbcClient jdbc;
  private final JdbcTemplate template;
  private final Bulk bulk;
  private final DeliveryNeighbours neighbours;
  private final ShopParts shopParts;
  private final PartFiles partFiles;
  private final AttachedFiles files;
  private final List<Belongings> belongings;
  private final HeldCodes held;
  private final Json json;

  LineJudge(
      JdbcClient jdbc,
      JdbcTemplate template,
      Bulk bulk,
      DeliveryNeighbours neighbours,
      ShopParts shopParts,
      PartFiles partFiles,
      AttachedFiles files,
      List<Belongings> belongings,
      HeldCodes held,
      Json json) {
    this.jdbc = jdbc;
    this.template = template;
    this.bulk = bulk;
    this.neighbours = neighbours;
    this.shopParts = shopParts;
    this.partFiles = partFiles;
    this.files = files;
    this.belongings = belongings;
    this.held = held;
    this.json = json;
  }

  private record Present(long id, String codeKey, Tool tool, String hash, boolean shelved) {}

  /** What the lines of one batch meet. */
  private record Surroundings(
      long deliveryId,
      Map<String, DeliveryNeighbours.FirstLine> firstTools,
      Map<String, DeliveryNeighbours.FirstLine> firstParts,
      Map<String, Present> tools,
      Map<String, ShopParts.KnownPart> shopParts,
      Map<String, arborline.core.stack.Component> deliveryParts,
      Map<String, String> promised,
      List<DeliveryNeighbours.Alike> alike,
      Set<String> inserts,
      List<AttachedFiles.AttachedFile> files) {

    Optional<arborline.core.stack.Component> part(String code) {
      String key = Codes.key(code);
      return Optional.ofNullable(deliveryParts.get(key))
          .or(() -> Optional.ofNullable(shopParts.get(key)).map(ShopParts.KnownPart::component));
    }
  }

  /** The codes of these lines that no tool carries and that are not free all the same. */
  public Set<String> held(List<DeliveryLine> some) {
    return held.why(some.stream().map(line -> line.codeKey).toList()).keySet();
  }

  /** What can be understood of a line, with its tool from the shop where it belongs to one. */
  public Inspected inspected(DeliveryLine line) {
    Present owner = line.kind.standsAlone() ? null : shop(Set.of(line.codeKey)).get(line.codeKey);
    return inspected(line, owner);
  }

  private Inspected inspected(DeliveryLine line, @Nullable Present owner) {
    RawBundle raw = raw(line);
    return line.kind.standsAlone() || owner == null
        ? Inspector.inspect(raw)
        : Inspector.belonging(raw, owner.tool());
  }

  /** Judges these lines of one delivery; the caller saves them. */
  public void judge(long deliveryId, List<DeliveryLine> lines) {
    List<Inspected> alone = lines.stream().map(line -> Inspector.inspect(raw(line))).toList();
    Surroundings around = around(deliveryId, lines, alone);
    Map<Long, List<Finding>> findings = new HashMap<>();
    for (int i = 0; i < lines.size(); i++) {
      DeliveryLine line = lines.get(i);
      Inspected known = withAlike(line, judged(line, alone.get(i), around), around);
      Inspected judged = withAttachments(withInsert(known, around), around);
      Inspected full = allowed(line, judged);
      line.judged(full, json.text(full.findings()));
      findings.put(line.id, full.findings());
    }
    store(deliveryId, findings);
  }

  private static Inspected allowed(DeliveryLine line, Inspected inspected) {
    return line.allowed == null || inspected.disposition() != Disposition.HOLD
        ? inspected
        : inspected.with(Allowance.of(inspected.findings(), line.allowed));
  }

  private Surroundings around(long deliveryId, List<DeliveryLine> rows, List<Inspected> lines) {
    Set<String> tools = keys(lines, line -> !part(line));
    Set<String> parts = keys(lines, LineJudge::part);
    Set<String> ofStacks =
        lines.stream()
            .flatMap(line -> stackParts(line).stream())
            .map(Codes::key)
            .collect(Collectors.toSet());
    Set<String> allParts = new HashSet<>(parts);
    allParts.addAll(ofStacks);
    return new Surroundings(
        deliveryId,
        neighbours.firstLines(deliveryId, tools, false),
        neighbours.firstLines(deliveryId, parts, true),
        tools.isEmpty() ? Map.of() : shop(tools),
        allParts.isEmpty() ? Map.of() : shopParts.byKeys(allParts),
        neighbours.parts(deliveryId, ofStacks),
        held.why(tools),
        alike(deliveryId, rows, lines),
        neighbours.inserts(deliveryId, of(lines, line -> StoredTools.insertKey(line.tool()))),
        lines.stream().anyMatch(line -> !attachments(line).isEmpty())
            ? files.of(deliveryId)
            : List.of());
  }

  private static List<String> attachments(Inspected line) {
    return PathList.read(line.raw().item().text(RawItem.ATTACHMENT));
  }

  /** What a line names and nobody sent. */
  private static Inspected withAttachments(Inspected inspected, Surroundings around) {
    List<String> missing =
        attachments(inspected).stream()
            .filter(path -> AttachedFiles.find(around.files(), path).isEmpty())
            .toList();
    return missing.isEmpty() || inspected.disposition() == Disposition.SKIPPED
        ? inspected
        : with(inspected, Clashes.attachmentMissing(missing));
  }

  private List<DeliveryNeighbours.Alike> alike(
      long deliveryId, List<DeliveryLine> rows, List<Inspected> lines) {
    List<DeliveryNeighbours.Alike> found =
        new ArrayList<>(neighbours.alike(of(lines, line -> dimensions(line.tool()))));
    found.addAll(
        neighbours.linesAt(
            deliveryId,
            rows.stream().map(row -> row.twinPosition).filter(Objects::nonNull).toList()));
    return found;
  }

  private static @Nullable Long dimensions(Tool tool) {
    return StoredTools.dimensionKey(Completed.of(tool).tool());
  }

  private static <T> Set<T> of(List<Inspected> lines, Function<Inspected, @Nullable T> what) {
    return lines.stream()
        .filter(line -> line.kind().standsAlone() && !part(line))
        .map(what)
        .filter(Objects::nonNull)
        .collect(Collectors.toSet());
  }

  /** A tool under another code that is just like it, in the shop before one in the delivery. */
  private static Inspected withAlike(DeliveryLine line, Inspected inspected, Surroundings around) {
    Long key = around.alike().isEmpty() ? null : dimensions(inspected.tool());
    if (key == null || part(inspected) || inspected.disposition() == Disposition.SKIPPED) {
      return inspected;
    }
    String code = Codes.key(inspected.tool().code());
    return around.alike().stream()
        .filter(other -> other.dimensionKey() == key && !other.codeKey().equals(code))
        .filter(other -> other.position() == null || other.position().equals(line.twinPosition))
        .findFirst()
        .map(other -> with(inspected, Clashes.sameDimensions(other.where())))
        .orElse(inspected);
  }

  private static Inspected withInsert(Inspected inspected, Surroundings around) {
    String key = StoredTools.insertKey(inspected.tool());
    boolean known = key == null || around.inserts().contains(key);
    return known
            || inspected.kind() != ItemKind.CUTTER
            || inspected.disposition() == Disposition.SKIPPED
        ? inspected
        : with(inspected, Clashes.insertMissing(inspected.tool().word("MIID").orElseThrow()));
  }

  private static boolean part(Inspected line) {
    return line.kind().component().isPresent();
  }

  /** Codes of the parts that the stacks of a line name, and a stack by itself. */
  private static List<String> stackParts(Inspected line) {
    return Stream.concat(
            line.raw().stacks().stream(),
            line.kind() == ItemKind.STACK ? Stream.of(line.raw().item()) : Stream.empty())
        .flatMap(stack -> stack.parts().stream())
        .toList();
  }

  private static Set<String> keys(List<Inspected> lines, Predicate<Inspected> which) {
    return lines.stream()
        .filter(which)
        .map(line -> Codes.key(line.tool().code()))
        .filter(key -> !key.isEmpty() && key.length() <= LONGEST_KEY)
        .collect(Collectors.toSet());
  }

  private RawBundle raw(DeliveryLine line) {
    RawBundle raw = line.raw();
    return line.readingFindings == null
        ? raw
        : raw.with(
            raw.item().withFindings(List.of(json.read(line.readingFindings, Finding[].class))));
  }

  private Inspected judged(DeliveryLine line, Inspected alone, Surroundings around) {
    String key = Codes.key(alone.tool().code());
    if (!alone.kind().standsAlone()) {
      Present owner = around.tools().get(key);
      return owner == null
          ? alone
          : held(
              line,
              withStacks(Inspector.belonging(raw(line), owner.tool()), owner.tool(), around),
              owner);
    }
    if (key.isEmpty() || alone.disposition() == Disposition.SKIPPED) {
      return withStacks(alone, alone.tool(), around);
    }
    return part(alone)
        ? partWithClash(line, alone, around, key)
        : toolWithClash(line, withStacks(alone, alone.tool(), around), around, key);
  }

  /** What the shop's tool has already is not brought again. */
  private Inspected held(DeliveryLine line, Inspected inspected, Present owner) {
    boolean known =
        inspected.disposition() != Disposition.HOLD
            && unknown(line.deliveryId, owner.id(), inspected) == 0;
    return known
        ? inspected.with(List.of(Clashes.alreadyHere(owner.tool().code())), Disposition.SKIPPED)
        : inspected;
  }

  private int unknown(long deliveryId, long toolId, Inspected inspected) {
    return belongings.stream().mapToInt(kept -> kept.unknown(toolId, deliveryId, inspected)).sum();
  }

  private static Inspected withStacks(Inspected inspected, Tool tool, Surroundings around) {
    if (inspected.stacks().isEmpty()) {
      return inspected;
    }
    List<Finding> findings = new ArrayList<>(inspected.findings());
    inspected
        .stacks()
        .forEach(stack -> findings.addAll(StackCheck.obstacles(tool, stack, around::part)));
    return inspected.with(findings);
  }

  private Inspected partWithClash(
      DeliveryLine line, Inspected inspected, Surroundings around, String key) {
    String code = inspected.tool().code();
    DeliveryNeighbours.FirstLine earlier = around.firstParts().get(key);
    if (earlier != null && earlier.position() < line.position) {
      return with(
          inspected,
          Clashes.insideDelivery(code, earlier.seenFrom(line.fileNo), free(around, code)));
    }
    ShopParts.KnownPart present = around.shopParts().get(key);
    if (present == null) {
      return inspected;
    }
    arborline.core.stack.Component arriving = inspected.component().orElseThrow();
    if (!Clashes.differences(arriving, present.component()).isEmpty()) {
      return with(inspected, Clashes.withShop(arriving, present.component(), free(around, code)));
    }
    return partFiles.unknownOfPart(present.id(), line.deliveryId, inspected) == 0
        ? inspected.with(List.of(Clashes.partAlreadyHere(code)), Disposition.SKIPPED)
        : inspected;
  }

  private Inspected toolWithClash(
      DeliveryLine line, Inspected inspected, Surroundings around, String key) {
    String code = inspected.tool().code();
    DeliveryNeighbours.FirstLine earlier = around.firstTools().get(key);
    if (earlier != null && earlier.position() < line.position) {
      return with(
          inspected,
          Clashes.insideDelivery(code, earlier.seenFrom(line.fileNo), free(around, code)));
    }
    Present present = around.tools().get(key);
    if (present == null) {
      return around.promised().containsKey(key)
          ? with(inspected, Clashes.held(around.promised().get(key), free(around, code)))
          : inspected;
    }
    boolean same =
        present.hash().equals(ContentHash.of(inspected.tool()))
            || Clashes.differences(inspected.tool(), present.tool()).isEmpty();
    if (same && present.shelved() && unknown(line.deliveryId, present.id(), inspected) == 0) {
      return inspected.with(List.of(Clashes.alreadyHere(code)), Disposition.SKIPPED);
    }
    return same
        ? inspected
        : settled(line, present)
            .map(choice -> chosen(inspected, present.tool(), choice.settled()))
            .orElseGet(() ->
                with(
                    inspected,
                    Clashes.withShop(inspected.tool(), present.tool(), free(around, code))));
  }

  /** What was chosen against the shop's tool as it stands; a choice against another one is over. */
  private Optional<LineChoice> settled(DeliveryLine line, Present present) {
    Optional<LineChoice> choice =
        Optional.ofNullable(line.choice)
            .map(text -> json.read(text, LineChoice.class).against(present.hash()))
            .filter(known -> present.hash().equals(known.against()));
    line.choice = choice.map(json::text).orElse(null);
    return choice;
  }

  private static Inspected chosen(Inspected inspected, Tool present, Settled settled) {
    Tool after = settled.of(inspected.tool(), present);
    List<String> changes = Clashes.differences(after, present);
    if (settled.answer() == Settled.Answer.KEEP || changes.isEmpty()) {
      return inspected.with(List.of(Clashes.kept(present.code())), Disposition.SKIPPED);
    }
    List<Finding> findings = new ArrayList<>(inspected.findings());
    if (settled.answer() == Settled.Answer.MERGE) {
      findings.removeIf(finding -> finding.severity() == Severity.HOLD);
      RuleBook.judge(after).stream()
          .filter(finding -> finding.severity() == Severity.HOLD)
          .forEach(findings::add);
    }
    findings.add(Clashes.changes(present.code(), changes));
    return inspected.with(findings);
  }

  private static Inspected with(Inspected inspected, Finding finding) {
    List<Finding> findings = new ArrayList<>(inspected.findings());
    findings.add(finding);
    return inspected.with(findings);
  }

  private Map<String, Present> shop(Collection<String> keys) {
    Map<String, Present> present = new HashMap<>();
    jdbc
        .sql(
            """
            select t.id, t.code_key, t.code, v.name, v.class_id, v.vals, v.hash,
              exists(select 1 from entry e where e.tool_id = t.id) as shelved
            from tool t join tool_version v on v.id = t.version_id
            where t.code_key in (:keys)\
            """)
        .param("keys", keys)
        .query((row, index) ->
            new Present(
                row.getLong("id"),
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

  private String free(Surroundings around, String code) {
    return Codes.nextFree(code, key -> neighbours.used(around.deliveryId(), key));
  }

  private void store(long deliveryId, Map<Long, List<Finding>> findings) {
    if (!findings.isEmpty()) {
      bulk.each("delete from line_finding where line_id = ?", findings.keySet());
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
