package arborline.server.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LibraryRepository extends Repository<Library, Long> {

  /** One that was not deleted. */
  @Query("select b from Library b where b.id = :id and b.putAwayAt is null")
  Optional<Library> findById(long id);

  @Query("select b from Library b where b.id = :id and b.putAwayAt is not null")
  Optional<Library> putAway(long id);

  /**
   * Keeps everybody else from changing what is in a library until the transaction ends; 0 where it
   * was deleted.
   */
  @Modifying
  @Query(
      value =
          "update library set numbering_no = numbering_no + 1"
              + " where id = :id and put_away_at is null",
      nativeQuery = true)
  int lock(long id);

  Optional<Library> findByNameKey(String nameKey);

  @Query("select b from Library b where b.putAwayAt is null order by b.nameKey")
  List<Library> all(Limit limit);

  Library save(Library library);

  void delete(Library library);

  /** Writes what was saved, for statements that go past Hibernate. */
  void flush();
}
