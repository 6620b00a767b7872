package arborline.server.stack;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ComponentRepository extends Repository<ComponentRow, Long> {

  ComponentRow save(ComponentRow component);

  /** Keeps everybody else from changing a component until the transaction ends, on any node. */
  @Modifying
  @Query(value = "update component set lock_no = lock_no + 1 where id = :id", nativeQuery = true)
  int lock(long id);

  Optional<ComponentRow> findById(long id);

  Optional<ComponentRow> findByCodeKey(String codeKey);

  List<ComponentRow> findByCodeKeyIn(Collection<String> codeKeys);

  List<ComponentRow> findByIdIn(Collection<Long> ids);

  List<ComponentRow> findByOrderByCodeKey(Limit limit);
}
