package arborline.server.stack;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.Repository;

interface ComponentVersionRepository extends Repository<ComponentVersion, ComponentVersion.Key> {

  ComponentVersion save(ComponentVersion version);

  List<ComponentVersion> findByComponentIdOrderByVersionNoDesc(long componentId, Limit limit);

  Optional<ComponentVersion> findByComponentIdAndVersionNo(long componentId, int versionNo);
}
