package arborline.server.library;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.util.Locale;

@Entity
class Library {

  @Id
  @GeneratedValue(generator = "library_seq")
  @SequenceGenerator(name = "library_seq", allocationSize = 50)
  Long id;

  String name;
  String nameKey;
  String codePattern = "";
  String namePattern = "";

  protected Library() {}

  Library(String name) {
    this.name = name.strip();
    this.nameKey = this.name.toLowerCase(Locale.ROOT);
  }
}
