package arborline.server.trail;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;

@Entity
class TrailEntry {

  @Id
  @GeneratedValue(generator = "trail_seq")
  @SequenceGenerator(name = "trail_seq", allocationSize = 50)
  Long id;

  Instant happenedAt;
  String who;
  String subjectKind;
  String subjectId;
  String text;
  String undoKind;
  int undoVersion;
  String undoData;
  Long undoneBy;

  protected TrailEntry() {}

  TrailEntry(Instant happenedAt, String who, TrailRecord record, String undoData) {
    this.happenedAt = happenedAt;
    this.who = who;
    this.subjectKind = record.subjectKind();
    this.subjectId = record.subjectId();
    this.text = record.text().length() > 500 ? record.text().substring(0, 500) : record.text();
    this.undoKind = record.deed() == null ? null : record.deed().kind().name();
    this.undoVersion = record.deed() == null ? 0 : record.deed().kind().version();
    this.undoData = undoData;
  }
}
