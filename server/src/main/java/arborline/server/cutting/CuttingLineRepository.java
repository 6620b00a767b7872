package arborline.server.cutting;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CuttingLineRepository extends Repository<CuttingLine, Long> {

  CuttingLine save(CuttingLine line);

  void delete(CuttingLine line);

  Optional<CuttingLine> findById(long id);

  List<CuttingLine> findByToolIdOrderById(long toolId);

  /** Proven lines of other tools whose geometry is the same. */
  @Query(
      nativeQuery = true,
      value =
          """
          select c.* from cutting_line c
          join tool other on other.id = c.tool_id
          join tool_version theirs on theirs.id = other.version_id
          join tool_version ours on ours.hash = theirs.hash
          join tool mine on mine.version_id = ours.id
          where mine.id = :toolId and other.id <> mine.id and c.origin = 'PROVEN'
          order by c.said_at desc limit 50\
          """)
  List<CuttingLine> provenElsewhere(long toolId);
}
