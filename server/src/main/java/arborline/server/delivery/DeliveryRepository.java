package arborline.server.delivery;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface DeliveryRepository extends Repository<Delivery, Long> {

  /** Any, be it put away or not. */
  Optional<Delivery> findById(long id);

  Optional<Delivery> findByIdAndPutAwayAtIsNull(long id);

  /** Keeps everybody else from locking a delivery until the transaction ends, on any node. */
  @Modifying
  @Query(value = "update delivery set lock_no = lock_no + 1 where id = :id", nativeQuery = true)
  int touch(long id);

  /** One that is there, with nobody else changing it until the transaction ends. */
  default Optional<Delivery> lock(long id) {
    touch(id);
    return findByIdAndPutAwayAtIsNull(id);
  }

  /** One that was put away and is not cleared yet. */
  @Query("select d from Delivery d where d.id = :id and d.putAwayAt is not null")
  Optional<Delivery> putAway(long id);

  List<Delivery> findByPutAwayAtIsNullOrderByIdDesc(Limit limit);

  /** Whether one is yet to be read, or to be read anew. */
  @Query(
      """
      select count(d) > 0 from Delivery d
      where d.id = :id and d.putAwayAt is null and d.state = WAITING\
      """)
  boolean waiting(long id);

  /** What is not read to its end, or is to be cleared one day. */
  @Query(
      """
      select d from Delivery d
      where d.putAwayAt is not null or d.state in (WAITING, READING)\
      """)
  List<Delivery> unfinished();

  Delivery save(Delivery delivery);

  void delete(Delivery delivery);
}
