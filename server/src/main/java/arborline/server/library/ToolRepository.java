package arborline.server.library;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ToolRepository extends Repository<ShopTool, Long> {

  Optional<ShopTool> findById(long id);

  Optional<ShopTool> findByCodeKey(String codeKey);

  List<ShopTool> findByCodeKeyIn(Collection<String> codeKeys);

  boolean existsByCodeKey(String codeKey);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select t from ShopTool t where t.id = :id")
  Optional<ShopTool> lock(long id);
}
