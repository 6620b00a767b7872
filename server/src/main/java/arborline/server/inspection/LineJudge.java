package arborline.server.inspection;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawBundle;
import arborline.core.finding.Finding;
import arborline.core.inspect.Allowance;
import arborline.core.inspect.BelongingFindings;
import arborline.core.inspect.Clashes;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.inspect.StackCheck;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.core.tool.Tool;
import arborline.core.vendor.ItemSaid;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.DeliveryLine;
import arborline.server.inspection.Surroundings.ShopTool;
import arborline.server.support.Json;
import arborline.server.tool.HeldCodes;
import arborline.server.tool.StoredTools;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Judges stored lines anew, with what other lines and the shop have to say about their codes and
 * about the parts of their stacks.
 */
@Service
public class LineJudge {

  private final LineSurroundings surroundings;
  private final DeliveryNeighbours neighbours;
  private final PartFiles partFiles;
  private final List<Belongings> belongings;
  private final HeldCodes held;
  private final VendorLines vendors;
  private final LineFindings lineFindings;
  private final Json json;

  LineJudge(
      LineSurroundings surroundings,
      DeliveryNeighbours neighbours,
      PartFiles partFiles,
      List<Belongings> belongings,
      HeldCodes held,
      VendorLines vendors,
      LineFindings lineFindings,
      Json json) {
    this.surroundings = surroundings;
    this.neighbours = neighbours;
    this.partFiles = partFiles;
    this.belongings = belongings;
    this.held = held;
    this.vendors = vendors;
    this.lineFindings = lineFindings;
    this.json = json;
  }

  /** The codes of these lines that no tool carries and that are not free all the same. */
  public Set<String> held(List<DeliveryLine> some) {
    return held.why(some.stream().map(line -> line.codeKey).toList()).keySet();
  }

  /** What can be understood of a line, with its tool from the shop where it belongs to one. */
  public Inspected inspected(DeliveryLine line) {
    ShopTool owner =
        line.kind.standsAlone() ? null : surroundings.shop(Set.of(line.codeKey)).get(line.codeKey);
    return inspected(line, owner);
  }

  private Inspected inspected(DeliveryLine line, @Nullable ShopTool owner) {
    RawBundle raw = raw(line);
    return line.kind.standsAlone() || owner == null
        ? Inspector.inspect(raw)
        : Inspector.belonging(raw, owner.tool());
  }

  /** Judges these lines of one delivery; the caller saves them. */
  public void judge(long deliveryId, List<DeliveryLine> lines) {
    List<Inspected> alone = lines.stream().map(line -> Inspector.inspect(raw(line))).toList();
    Surroundings around = surroundings.of(deliveryId, lines, alone);
    Map<Long, List<Finding>> findings = new HashMap<>();
    for (int i = 0; i < lines.size(); i++) {
      DeliveryLine line = lines.get(i);
      Inspected known = withAlike(line, judged(line, alone.get(i), around), around);
      Inspected judged = withAttachments(withInsert(known, around), around);
      Inspected full = allowed(line, judged);
      line.judged(full, json.text(full.findings()));
      findings.put(line.id, full.findings());
    }
    lineFindings.replace(deliveryId, findings);
  }

  private static Inspected allowed(DeliveryLine line, Inspected inspected) {
    return line.allowed == null || inspected.disposition() != Disposition.HOLD
        ? inspected
        : inspected.with(Allowance.of(inspected.findings(), line.allowed));
  }

  /** What a line names and nobody sent. */
  private static Inspected withAttachments(Inspected inspected, Surroundings around) {
    List<String> missing =
        LineSurroundings.attachments(inspected).stream()
            .filter(path -> AttachedFiles.find(around.files(), path).isEmpty())
            .toList();
    return missing.isEmpty() || inspected.disposition() == Disposition.SKIPPED
        ? inspected
        : with(inspected, Clashes.attachmentMissing(missing));
  }

  /** A tool under another code that is just like it, in the shop before one in the delivery. */
  private static Inspected withAlike(DeliveryLine line, Inspected inspected, Surroundings around) {
    Long key = around.alike().isEmpty() ? null : LineSurroundings.dimensions(inspected.tool());
    if (key == null
        || LineSurroundings.part(inspected)
        || inspected.disposition() == Disposition.SKIPPED) {
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

  private RawBundle raw(DeliveryLine line) {
    RawBundle raw = line.raw();
    return line.readingFindings == null
        ? raw
        : raw.with(
            raw.item().withFindings(List.of(json.read(line.readingFindings, Finding[].class))));
  }

  private Inspected judged(DeliveryLine line, Inspected alone, Surroundings around) {
    if (alone.findings().stream().anyMatch(found -> found.code().equals(RestatedLines.RESTATED))) {
      return alone.with(alone.findings(), Disposition.SKIPPED);
    }
    String key = Codes.key(alone.tool().code());
    if (!alone.kind().standsAlone()) {
      ShopTool owner = around.tools().get(key);
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
    return LineSurroundings.part(alone)
        ? partWithClash(line, alone, around, key)
        : toolWithClash(line, withStacks(alone, alone.tool(), around), around, key);
  }

  /** What the shop's tool has already is not brought again. */
  private Inspected held(DeliveryLine line, Inspected inspected, ShopTool owner) {
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
    Component arriving = inspected.component().orElseThrow();
    boolean same = Clashes.differences(arriving, present.component()).isEmpty();
    if (!same || unread(inspected)) {
      return settled(line, ContentHash.of(present.component()))
          .map(choice -> SettledLine.of(inspected, present.component(), choice.settled()))
          .or(() -> vendors.part(line, inspected, present, around))
          .orElseGet(() ->
              same
                  ? inspected
                  : with(
                      inspected,
                      Clashes.withShop(arriving, present.component(), free(around, code))));
    }
    return partFiles.unknownOfPart(present.id(), line.deliveryId, inspected) == 0
        ? inspected.with(List.of(Clashes.partAlreadyHere(code)), Disposition.SKIPPED)
        : with(inspected, Clashes.comesWithMore(code));
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
    ShopTool present = around.tools().get(key);
    if (present == null) {
      return around.promised().containsKey(key)
          ? with(inspected, Clashes.held(around.promised().get(key), free(around, code)))
          : inspected;
    }
    boolean same =
        present.hash().equals(ContentHash.of(inspected.tool()))
            || Clashes.differences(inspected.tool(), present.tool()).isEmpty();
    boolean unread = unread(inspected);
    if (same && !unread && present.shelved()) {
      return unknown(line.deliveryId, present.id(), inspected) == 0
          ? withCutting(
              line,
              present,
              inspected,
              inspected.with(List.of(Clashes.alreadyHere(code)), Disposition.SKIPPED))
          : with(inspected, Clashes.comesWithMore(code));
    }
    return same && !unread
        ? inspected
        : withCutting(
            line,
            present,
            inspected,
            settled(line, present.hash())
                .map(choice -> SettledLine.of(inspected, present.tool(), choice.settled()))
                .or(() -> vendors.tool(line, inspected, present, around))
                .orElseGet(() ->
                    same
                        ? inspected
                        : with(
                            inspected,
                            Clashes.withShop(
                                inspected.tool(), present.tool(), free(around, code)))));
  }

  /** Something is said that could not be read: it is neither the shop's nor nothing. */
  private static boolean unread(Inspected inspected) {
    return inspected.disposition() == Disposition.HOLD
        && !ItemSaid.of(inspected.raw().item()).unread().isEmpty();
  }

  /**
   * Of a tool of which nothing is taken its cutting data are, and what is wrong with them is said.
   */
  private Inspected withCutting(
      DeliveryLine line, ShopTool present, Inspected arriving, Inspected judged) {
    if (judged.disposition() != Disposition.SKIPPED) {
      return judged;
    }
    List<Finding> findings = new ArrayList<>(judged.findings());
    arriving.findings().stream().filter(BelongingFindings::cutting).forEach(findings::add);
    boolean fresh =
        belongings.stream()
            .filter(kept -> kept.kind().equals(ItemKind.CUTTING.word()))
            .anyMatch(kept -> kept.unknown(present.id(), line.deliveryId, arriving) > 0);
    if (fresh) {
      findings.add(Clashes.bringsCutting(arriving.tool().code()));
    }
    return findings.size() == judged.findings().size() ? judged : arriving.with(findings);
  }

  /** What was chosen against the shop's tool as it stands; a choice against another one is over. */
  private Optional<LineChoice> settled(DeliveryLine line, String present) {
    Optional<LineChoice> choice =
        Optional.ofNullable(line.choice)
            .map(text -> json.read(text, LineChoice.class).against(present))
            .filter(known -> !Boolean.TRUE.equals(known.proposed()))
            .filter(known -> present.equals(known.against()));
    line.choice = choice.map(json::text).orElse(null);
    return choice;
  }

  static Inspected with(Inspected inspected, Finding finding) {
    List<Finding> findings = new ArrayList<>(inspected.findings());
    findings.add(finding);
    return inspected.with(findings);
  }

  private String free(Surroundings around, String code) {
    return Codes.nextFree(code, key -> neighbours.used(around.deliveryId(), key));
  }
}
