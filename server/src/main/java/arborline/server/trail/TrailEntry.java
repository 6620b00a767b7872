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
  String said;
  String undoKind;
  int undoVersion;
  String undoData;
  Long undoneBy;

  protected TrailEntry() {}

  TrailEntry(Instant happenedAt, String who, TrailRecord said, String undoData) {
    this.happenedAt = happenedAt;
    this.who = who;
    this.subjectKind = said.subjectKind();
    this.subjectId = said.subjectId();
    this.said = said.text().length() > 500 ? said.text().substring(0, 500) : said.text();
    this.undoKind = said.deed() == null ? null : said.deed().kind().name();
    this.undoVersion = said.deed() == null ? 0 : said.deed().kind().version();
    this.undoData = undoData;
  }
}
