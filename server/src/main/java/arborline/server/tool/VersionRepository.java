package arborline.server.tool;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.Repository;

interface VersionRepository extends Repository<ToolVersion, Long> {

  Optional<ToolVersion> findById(long id);

  List<ToolVersion> findByIdIn(Collection<Long> ids);

  List<ToolVersion> findByToolIdInAndVersionNoIn(
      Collection<Long> toolIds, Collection<Integer> numbers);

  Optional<ToolVersion> findByToolIdAndVersionNo(long toolId, int versionNo);

  List<ToolVersion> findByToolIdOrderByVersionNoDesc(long toolId, Limit limit);
}
