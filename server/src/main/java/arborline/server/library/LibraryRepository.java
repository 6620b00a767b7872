package arborline.server.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LibraryRepository extends Repository<Library, Long> {

  Optional<Library> findById(long id);

  /** Keeps everybody else from giving out numbers of a library until the transaction ends. */
  @Modifying
  @Query(
      value = "update library set numbering_no = numbering_no + 1 where id = :id",
      nativeQuery = true)
  int lockNumbers(long id);

  Optional<Library> findByNameKey(String nameKey);

  List<Library> findByOrderByNameKey(Limit limit);

  Library save(Library library);

  void delete(Library library);
}
