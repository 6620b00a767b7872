package arborline.server.cutting;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CuttingLineRepository extends Repository<CuttingLine, Long> {

  CuttingLine save(CuttingLine line);

  void delete(CuttingLine line);

  Optional<CuttingLine> findById(long id);

  /** Takes the next version for whoever changes a line; 0 where it is another version now. */
  @Modifying(clearAutomatically = true)
  @Query(
      "update CuttingLine c set c.versionNo = c.versionNo + 1 where c.id = :id and c.versionNo = :version")
  int advance(long id, int version);

  /** Keeps everybody else from changing the lines of tools until the transaction ends. */
  @Modifying(clearAutomatically = true)
  @Query("update CuttingLine c set c.versionNo = c.versionNo + 1 where c.toolId in (:toolIds)")
  int touchAll(Collection<Long> toolIds);

  /** Keeps everybody else from changing some lines until the transaction ends. */
  @Modifying(clearAutomatically = true)
  @Query("update CuttingLine c set c.versionNo = c.versionNo + 1 where c.id in (:ids)")
  int touch(Collection<Long> ids);

  List<CuttingLine> findByIdIn(Collection<Long> ids);

  List<CuttingLine> findByToolIdOrderById(long toolId);

  List<CuttingLine> findByToolIdInAndFormulasNotNull(Collection<Long> toolIds);

  List<CuttingLine> findByToolIdInOrderById(Collection<Long> toolIds);

  /** Proven lines of other tools of the same class and diameter, newest first. */
  @Query(
      nativeQuery = true,
      value =
          """
          select c.* from cutting_line c
          join tool other on other.id = c.tool_id
          join tool_version theirs on theirs.id = other.version_id
          join tool mine on mine.id = :toolId
          join tool_version ours on ours.id = mine.version_id
            and ours.class_id = theirs.class_id
            and json_value(ours.sizes, '$.DC') <=> json_value(theirs.sizes, '$.DC')
          where other.id <> mine.id and c.origin = 'PROVEN'
          order by c.said_at desc limit 500\
          """)
  List<CuttingLine> provenWithSimilar(long toolId);
}
