package arborline.server.stack;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.Repository;

interface ComponentRepository extends Repository<ComponentRow, Long> {

  ComponentRow save(ComponentRow component);

  Optional<ComponentRow> findById(long id);

  Optional<ComponentRow> findByCodeKey(String codeKey);

  List<ComponentRow> findByIdIn(Collection<Long> ids);

  List<ComponentRow> findByOrderByCodeKey(Limit limit);
}
