package arborline.server.account;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<Account, Long> {

  Optional<Account> findByNameKey(String nameKey);

  Account save(Account account);
}
