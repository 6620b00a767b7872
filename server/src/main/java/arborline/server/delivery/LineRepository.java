package arborline.server.delivery;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface LineRepository extends Repository<DeliveryLine, Long> {

  Optional<DeliveryLine> findByDeliveryIdAndId(long deliveryId, long id);

  void flush();

  List<DeliveryLine> findByDeliveryIdAndIdIn(long deliveryId, Collection<Long> ids);

  @Query(
      """
      select l from DeliveryLine l
      where l.deliveryId = :delivery and l.codeKey in (:keys) and l.takenToolId is null
      order by l.position\
      """)
  List<DeliveryLine> sharing(long delivery, Collection<String> keys, Limit limit);

  @Query(
      """
      select l from DeliveryLine l
      where l.deliveryId = :delivery and l.id > :after and l.takenToolId is null
        and l.disposition = arborline.core.inspect.Disposition.PASS
      order by l.id\
      """)
  List<DeliveryLine> passing(long delivery, long after, Limit limit);
}
