package arborline.server.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface SectionRepository extends Repository<Section, Long> {

  Optional<Section> findByIdAndLibraryId(long id, long libraryId);

  List<Section> findByLibraryIdOrderByParentIdAscPlaceAscIdAsc(long libraryId);

  List<Section> findByLibraryIdAndParentIdOrderByPlaceAscIdAsc(long libraryId, long parentId);

  Optional<Section> findByLibraryIdAndParentIdAndNameKey(
      long libraryId, long parentId, String nameKey);

  Section save(Section section);

  void delete(Section section);

  @Modifying
  @Query("delete from Section s where s.libraryId = :libraryId")
  void deleteAll(long libraryId);
}
