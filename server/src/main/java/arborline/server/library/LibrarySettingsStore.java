package arborline.server.library;

import arborline.core.library.LibraryProcesses;
import arborline.core.library.NumberPlan;
import arborline.core.library.NumberRange;
import arborline.server.library.LibrarySettings.Label;
import arborline.server.library.LibrarySettings.LabelKind;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Reads and writes what libraries are for; always inside a caller's transaction. */
@Component
class LibrarySettingsStore {

  private final JdbcClient jdbc;
  private final Clock clock;

  LibrarySettingsStore(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  private record OwnedLabel(long libraryId, String kind, String label) {}

  private record OwnedRange(long libraryId, String subject, int firstNumber, int lastNumber) {}

  LibrarySettings of(Library library) {
    return of(List.of(library)).get(library.id);
  }

  /** Of several libraries, by their identities. */
  Map<Long, LibrarySettings> of(Collection<Library> libraries) {
    if (libraries.isEmpty()) {
      return Map.of();
    }
    List<Long> ids = libraries.stream().map(library -> library.id).toList();
    Map<Long, List<Label>> labels =
        jdbc
            .sql(
                """
                select library_id, kind, label from library_label where library_id in (:ids)
                order by kind, label\
                """)
            .param("ids", ids)
            .query(OwnedLabel.class)
            .list()
            .stream()
            .collect(
                Collectors.groupingBy(
                    OwnedLabel::libraryId,
                    Collectors.mapping(
                        owned -> new Label(LabelKind.valueOf(owned.kind()), owned.label()),
                        Collectors.toList())));
    Map<Long, List<NumberRange>> ranges =
        jdbc
            .sql(
                """
                select library_id, subject, first_number, last_number from library_range
                where library_id in (:ids) order by first_number, subject\
                """)
            .param("ids", ids)
            .query(OwnedRange.class)
            .list()
            .stream()
            .collect(
                Collectors.groupingBy(
                    OwnedRange::libraryId,
                    Collectors.mapping(
                        owned ->
                            new NumberRange(
                                owned.subject(), owned.firstNumber(), owned.lastNumber()),
                        Collectors.toList())));
    Map<Long, LibrarySettings> settings = new HashMap<>();
    for (Library library : libraries) {
      settings.put(
          library.id,
          new LibrarySettings(
              library.name,
              library.purpose,
              Stream.of(library.processes.split(" ")).filter(word -> !word.isEmpty()).toList(),
              labels.getOrDefault(library.id, List.of()),
              ranges.getOrDefault(library.id, List.of()),
              library.follows,
              library.archivedAt != null));
    }
    return settings;
  }

  NumberPlan plan(Library library) {
    return new NumberPlan(library.processes(), of(library).ranges());
  }

  void write(Library library, LibrarySettings settings) {
    library.call(settings.name());
    library.purpose = settings.purpose();
    library.processes = LibraryProcesses.parse(String.join(" ", settings.processes())).text();
    library.follows = settings.follows();
    if (settings.archived() != (library.archivedAt != null)) {
      library.archivedAt = settings.archived() ? Instant.now(clock) : null;
    }
    jdbc.sql("delete from library_label where library_id = ?").param(library.id).update();
    for (Label label : settings.labels()) {
      jdbc.sql("insert into library_label (library_id, kind, label) values (?, ?, ?)")
          .params(library.id, label.kind().name(), label.label())
          .update();
    }
    jdbc.sql("delete from library_range where library_id = ?").param(library.id).update();
    for (NumberRange range : settings.ranges()) {
      jdbc.sql(
              """
              insert into library_range (library_id, subject, first_number, last_number)
              values (?, ?, ?, ?)\
              """)
          .params(library.id, range.of(), range.first(), range.last())
          .update();
    }
  }
}
