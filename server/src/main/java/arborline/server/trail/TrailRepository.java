package arborline.server.trail;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TrailRepository extends Repository<TrailEntry, Long> {

  TrailEntry save(TrailEntry entry);

  @Query(
      """
      select e from TrailEntry e
      where e.happenedAt < :at or e.happenedAt = :at and e.id < :id
      order by e.happenedAt desc, e.id desc\
      """)
  List<TrailEntry> before(Instant at, long id, Limit limit);

  Optional<TrailEntry> findById(long id);

  /**
   * Marks a line as being taken back; 0 where somebody did already. Nobody else can until the
   * transaction ends.
   */
  @Modifying
  @Query("update TrailEntry e set e.undoneBy = 0 where e.id = :id and e.undoneBy is null")
  int claim(long id);

  @Modifying
  @Query("update TrailEntry e set e.undoneBy = :by where e.id = :id")
  void undone(long id, long by);
}
