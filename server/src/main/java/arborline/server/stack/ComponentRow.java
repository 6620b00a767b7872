package arborline.server.stack;

import arborline.core.library.Codes;
import arborline.core.stack.Component;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;

@Entity
@Table(name = "component")
class ComponentRow {

  @Id
  @GeneratedValue(generator = "component_seq")
  @SequenceGenerator(name = "component_seq", allocationSize = 50)
  Long id;

  String code;
  String codeKey;
  String name;
  String definition;
  boolean retired;
  int versionNo = 1;

  protected ComponentRow() {}

  ComponentRow(Component component, String definition) {
    define(component, definition);
  }

  final void define(Component component, String json) {
    this.code = component.code();
    this.codeKey = Codes.key(component.code());
    this.name = component.name();
    this.definition = json;
  }
}
