package arborline.server.stack;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

@Entity
@Table(name = "stack")
class StackRow {

  @Id
  @GeneratedValue(generator = "stack_seq")
  @SequenceGenerator(name = "stack_seq", allocationSize = 50)
  Long id;

  long toolId;
  String name;
  String seat;
  BigDecimal overhang;
  int versionNo = 1;

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "stack_part", joinColumns = @JoinColumn(name = "stack_id"))
  @OrderColumn(name = "place")
  List<StackPart> parts = new ArrayList<>();

  protected StackRow() {}

  StackRow(long toolId) {
    this.toolId = toolId;
  }

  /** Puts a part behind the others. */
  void add(StackPart part) {
    part.toolId = toolId;
    parts.add(part);
  }
}
