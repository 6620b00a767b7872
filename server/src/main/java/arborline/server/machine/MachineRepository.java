package arborline.server.machine;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface MachineRepository extends Repository<MachineRow, String> {

  Optional<MachineRow> findById(String id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select m from MachineRow m where m.id = :id")
  Optional<MachineRow> lock(String id);

  List<MachineRow> findByOrderById(Limit limit);

  MachineRow save(MachineRow row);
}
