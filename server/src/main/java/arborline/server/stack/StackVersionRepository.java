package arborline.server.stack;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface StackVersionRepository extends Repository<StackVersion, StackVersion.Key> {

  StackVersion save(StackVersion version);

  Optional<StackVersion> findByStackIdAndVersionNo(long stackId, int versionNo);
}
