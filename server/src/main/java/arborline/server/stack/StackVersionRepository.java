package arborline.server.stack;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.Repository;

interface StackVersionRepository extends Repository<StackVersion, StackVersion.Key> {

  StackVersion save(StackVersion version);

  List<StackVersion> findByStackIdOrderByVersionNoDesc(long stackId, Limit limit);

  Optional<StackVersion> findByStackIdAndVersionNo(long stackId, int versionNo);
}
