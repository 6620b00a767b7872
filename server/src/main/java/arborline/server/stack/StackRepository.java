package arborline.server.stack;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface StackRepository extends Repository<StackRow, Long> {

  StackRow save(StackRow stack);

  void delete(StackRow stack);

  Optional<StackRow> findById(long id);

  List<StackRow> findByToolIdOrderById(long toolId);

  @Query("select s from StackRow s where :component member of s.parts order by s.id")
  List<StackRow> using(long component, Limit limit);
}
