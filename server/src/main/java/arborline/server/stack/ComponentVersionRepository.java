package arborline.server.stack;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ComponentVersionRepository extends Repository<ComponentVersion, ComponentVersion.Key> {

  ComponentVersion save(ComponentVersion version);

  Optional<ComponentVersion> findByComponentIdAndVersionNo(long componentId, int versionNo);
}
