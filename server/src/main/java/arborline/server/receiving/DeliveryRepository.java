package arborline.server.receiving;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DeliveryRepository extends Repository<Delivery, Long> {

  Optional<Delivery> findById(long id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select d from Delivery d where d.id = :id")
  Optional<Delivery> lock(long id);

  List<Delivery> findByOrderByIdDesc(Limit limit);

  Delivery save(Delivery delivery);

  void delete(Delivery delivery);
}
