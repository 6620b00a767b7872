package arborline.server.trail;

import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TrailRepository extends Repository<TrailEntry, Long> {

  TrailEntry save(TrailEntry entry);

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
