package arborline.server.tool;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ToolRepository extends Repository<ShopTool, Long> {

  Optional<ShopTool> findById(long id);

  Optional<ShopTool> findByCodeKey(String codeKey);

  List<ShopTool> findByCodeKeyIn(Collection<String> codeKeys);

  boolean existsByCodeKey(String codeKey);

  /** Keeps everybody else from changing a tool until the transaction ends, on any node. */
  @Modifying
  @Query(value = "update tool set lock_no = lock_no + 1 where id = :id", nativeQuery = true)
  int touch(long id);

  @Modifying
  @Query(value = "update tool set lock_no = lock_no + 1 where id in (:ids)", nativeQuery = true)
  void touchAll(Collection<Long> ids);

  List<ShopTool> findByIdIn(Collection<Long> ids);

  List<ShopTool> findByMergedInto(long toolId);

  /** A tool that nobody else changes until the transaction ends. */
  default Optional<ShopTool> lock(long id) {
    touch(id);
    return findById(id);
  }
}
