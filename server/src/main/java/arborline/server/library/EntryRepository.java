package arborline.server.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface EntryRepository extends Repository<Entry, Long> {

  Optional<Entry> findByLibraryIdAndToolId(long libraryId, long toolId);

  List<Entry> findByToolId(long toolId, Limit limit);

  long countByLibraryId(long libraryId);

  @Query("select e.number from Entry e where e.libraryId = :libraryId")
  List<Integer> numbers(long libraryId);

  Optional<Entry> findByLibraryIdAndNumber(long libraryId, int number);

  void delete(Entry entry);
}
