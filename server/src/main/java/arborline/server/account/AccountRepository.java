package arborline.server.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<Account, Long> {

  Optional<Account> findByNameKey(String nameKey);

  Optional<Account> findById(long id);

  @Query("select a from Account a order by a.nameKey")
  List<Account> all(Limit limit);

  long count();

  /** All leads that may sign in, kept from changing until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select a from Account a where a.role = 'LEAD' order by a.id")
  List<Account> lockedLeads();

  Account save(Account account);
}
