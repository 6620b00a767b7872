package arborline.server.delivery;

import arborline.core.exchange.CellsJson;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.library.Codes;
import arborline.server.support.Bulk;
import arborline.server.tool.StoredTools;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.util.List;
import org.hibernate.annotations.DynamicUpdate;

@Entity
@DynamicUpdate
public class DeliveryLine {

  @Id public Long id;
  public long deliveryId;
  public int fileNo;

  /** Where it starts in its file, from 1. */
  public long lineNo;

  /** Its place among all lines of the delivery. */
  public long position;

  public String code;
  public String codeKey;
  public String name;
  public String classId;
  public BigDecimal dc;
  public Integer number;

  @Enumerated(EnumType.STRING)
  public Disposition disposition;

  public String hash;
  public String cells;
  public String findings;

  /** What went wrong while reading the line; settled by editing it. */
  public String readingFindings;

  public boolean lookedAt;
  public Long takenToolId;
  public Integer takeNo;

  public static final Bulk.Target<DeliveryLine> TARGET =
      new Bulk.Target<>(
          "delivery_line",
          List.of(
              "id",
              "delivery_id",
              "file_no",
              "line_no",
              "position",
              "code",
              "code_key",
              "name",
              "class_id",
              "dc",
              "number",
              "disposition",
              "hash",
              "cells",
              "findings",
              "reading_findings",
              "looked_at"),
          line ->
              new Object[] {
                line.id,
                line.deliveryId,
                line.fileNo,
                line.lineNo,
                line.position,
                line.code,
                line.codeKey,
                line.name,
                line.classId,
                line.dc,
                line.number,
                line.disposition.name(),
                line.hash,
                line.cells,
                line.findings,
                line.readingFindings,
                line.lookedAt
              });

  protected DeliveryLine() {}

  public DeliveryLine(
      long id, long deliveryId, int fileNo, long position, Inspected inspected, String findings) {
    this.id = id;
    this.deliveryId = deliveryId;
    this.fileNo = fileNo;
    this.position = position;
    this.lineNo = inspected.raw().line();
    judged(inspected, findings);
  }

  public final void judged(Inspected inspected, String judgement) {
    code = cut(inspected.tool().code(), 60);
    codeKey = Codes.key(code);
    name = cut(inspected.tool().name(), 200);
    classId = cut(inspected.tool().toolClass(), 40);
    dc = StoredTools.diameter(inspected.tool());
    number = inspected.number().isPresent() ? inspected.number().getAsInt() : null;
    hash = ContentHash.of(inspected.tool());
    cells = CellsJson.toText(inspected.raw().cells());
    findings = judgement;
    disposition =
        lookedAt && inspected.disposition() == Disposition.QUERY
            ? Disposition.PASS
            : inspected.disposition();
  }

  /** Somebody took it into a library; a query counts as looked at. */
  public void taken(long toolId, int no) {
    lookedAt |= disposition == Disposition.QUERY;
    disposition = Disposition.PASS;
    takenToolId = toolId;
    takeNo = no;
  }

  public RawItem raw() {
    return new RawItem(lineNo, CellsJson.fromText(cells), List.of());
  }

  /** Columns keep what fits; the cells keep everything. */
  private static String cut(String text, int length) {
    return text.length() > length ? text.substring(0, length) : text;
  }
}
