package arborline.server.delivery;

import arborline.core.exchange.ItemKind;
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
      where l.deliveryId = :delivery and l.codeKey in (:keys) and l.takenId is null
      order by l.position\
      """)
  List<DeliveryLine> sharing(long delivery, Collection<String> keys, Limit limit);

  @Query(
      """
      select l from DeliveryLine l
      where l.deliveryId = :delivery and l.id > :after and l.takenId is null
        and l.disposition = arborline.core.inspect.Disposition.PASS and l.kind in (:kinds)
        and l.inspection = arborline.server.delivery.DeliveryLine.Inspection.DONE
      order by l.id\
      """)
  List<DeliveryLine> passing(long delivery, long after, Collection<ItemKind> kinds, Limit limit);

  @Query(
      """
      select l from DeliveryLine l
      where l.deliveryId = :delivery and l.codeKey in (:keys) and l.takenId is null
        and l.disposition in (arborline.core.inspect.Disposition.PASS,
          arborline.core.inspect.Disposition.QUERY)
        and l.kind in (:kinds)
        and l.inspection = arborline.server.delivery.DeliveryLine.Inspection.DONE
      order by l.id\
      """)
  List<DeliveryLine> takeable(long delivery, Collection<String> keys, Collection<ItemKind> kinds);
}
