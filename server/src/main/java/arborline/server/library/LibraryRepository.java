package arborline.server.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.Repository;

interface LibraryRepository extends Repository<Library, Long> {

  Optional<Library> findById(long id);

  Optional<Library> findByNameKey(String nameKey);

  List<Library> findByOrderByNameKey(Limit limit);

  Library save(Library library);

  void delete(Library library);
}
