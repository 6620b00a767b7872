package arborline.server.stack;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface StackRepository extends Repository<StackRow, Long> {

  /** Keeps everybody else from changing a stack until the transaction ends, on any node. */
  @Modifying
  @Query(value = "update stack set lock_no = lock_no + 1 where id = :id", nativeQuery = true)
  int lock(long id);

  StackRow save(StackRow stack);

  void delete(StackRow stack);

  void flush();

  Optional<StackRow> findById(long id);

  List<StackRow> findByToolIdOrderById(long toolId);

  List<StackRow> findByToolIdInOrderById(Collection<Long> toolIds);

  @Query(
      "select distinct s from StackRow s join s.parts p where p.componentId = :component order by s.id")
  List<StackRow> using(long component, Limit limit);
}
