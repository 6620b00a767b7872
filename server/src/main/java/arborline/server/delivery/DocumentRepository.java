package arborline.server.delivery;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface DocumentRepository extends Repository<Document, Document.Key> {

  Document save(Document document);

  List<Document> findByDeliveryIdOrderByFileNo(long deliveryId);

  Optional<Document> findByDeliveryIdAndFileNo(long deliveryId, int fileNo);

  @Modifying
  @Query("delete from Document d where d.deliveryId = :delivery")
  void forget(long delivery);
}
