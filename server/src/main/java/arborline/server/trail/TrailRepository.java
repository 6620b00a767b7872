package arborline.server.trail;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TrailRepository extends Repository<TrailEntry, Long> {

  TrailEntry save(TrailEntry entry);

  @Query("select e from TrailEntry e where e.id < :before order by e.id desc")
  List<TrailEntry> newest(long before, Limit limit);

  @org.springframework.data.jpa.repository.Lock(jakarta.persistence.LockModeType.PESSIMISTIC_WRITE)
  Optional<TrailEntry> findById(long id);
}
