package arborline.server.library;

import arborline.core.library.LibraryProcess;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface EntryRepository extends Repository<Entry, Long> {

  Optional<Entry> findByLibraryIdAndToolId(long libraryId, long toolId);

  List<Entry> findByIdIn(Collection<Long> ids);

  @Query("select e.toolId from Entry e where e.id in :ids")
  List<Long> toolsOf(Collection<Long> ids);

  List<Entry> findByToolIdOrderByLibraryId(long toolId);

  List<Entry> findByLibraryIdAndToolIdIn(long libraryId, Collection<Long> toolIds);

  List<Entry> findByToolIdIn(Collection<Long> toolIds);

  List<Entry> findByToolId(long toolId, Limit limit);

  long countByLibraryId(long libraryId);

  /** A number that a tool of a library has. */
  record TakenNumber(LibraryProcess process, int number) {}

  @Query("select e.process, e.number from Entry e where e.libraryId = :libraryId")
  List<TakenNumber> numbers(long libraryId);

  /** Tools of a library after one of them, by identity. */
  @Query(
      "select e.toolId from Entry e where e.libraryId = :libraryId and e.toolId > :toolId"
          + " order by e.toolId")
  List<Long> toolsAfter(long libraryId, long toolId, Limit limit);

  /** Entries of a library after one of them, by code. */
  @Query(
      "select e from Entry e where e.libraryId = :libraryId and e.code >= :code"
          + " and (e.code > :code or e.id > :id) order by e.code, e.id")
  List<Entry> after(long libraryId, String code, long id, Limit limit);

  /** The smallest number of a tool in any library. */
  record ToolNumber(long toolId, int number) {}

  @Query(
      "select e.toolId, min(e.number) from Entry e where e.toolId in (:toolIds)"
          + " group by e.toolId")
  List<ToolNumber> smallestNumbers(Collection<Long> toolIds);

  Optional<Entry> findByLibraryIdAndProcessAndNumber(
      long libraryId, LibraryProcess process, int number);

  void delete(Entry entry);
}
