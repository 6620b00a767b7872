package arborline.server.library;

import arborline.core.library.LibraryProcesses;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

@Entity
class Library {

  @Id
  @GeneratedValue(generator = "library_seq")
  @SequenceGenerator(name = "library_seq", allocationSize = 50)
  Long id;

  String name;
  String nameKey;
  String codePattern = "";
  String namePattern = "";
  String purpose = "";

  /** Words of the processes that it may hold; empty for all. */
  String processes = "";

  /** True where tools that enter follow their newest versions. */
  boolean follows = true;

  @Nullable Instant archivedAt;
  @Nullable Instant putAwayAt;

  protected Library() {}

  Library(String name) {
    call(name);
  }

  static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  final void call(String another) {
    this.name = another.strip();
    this.nameKey = key(another);
  }

  /** Gives its name free for another one. */
  void putAway(Instant at) {
    this.putAwayAt = at;
    this.nameKey = "#" + id;
  }

  void bringBack() {
    this.putAwayAt = null;
    this.nameKey = key(name);
  }

  LibraryProcesses processes() {
    return LibraryProcesses.parse(processes);
  }
}
