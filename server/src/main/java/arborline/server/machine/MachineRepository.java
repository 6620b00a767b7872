package arborline.server.machine;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface MachineRepository extends Repository<MachineRow, String> {

  Optional<MachineRow> findById(String id);

  /** Keeps everybody else from locking the machine until the transaction ends, on any node. */
  @Modifying
  @Query(value = "update machine set lock_no = lock_no + 1 where id = :id", nativeQuery = true)
  int lock(String id);

  /** Fails where there is a machine of that id, also one that somebody sets up just now. */
  @Modifying(clearAutomatically = true)
  @Query(
      value = "insert into machine (id, name, definition, link) values (:id, :name, :text, '')",
      nativeQuery = true)
  void insert(String id, String name, String text);

  List<MachineRow> findByRetiredAtIsNullOrderById(Limit limit);

  MachineRow save(MachineRow row);

  void flush();
}
