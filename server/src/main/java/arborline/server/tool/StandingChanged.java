package arborline.server.tool;

import java.util.List;

/** Told inside the transaction that changes how far tools are trusted. */
public record StandingChanged(List<Long> toolIds) {

  public StandingChanged {
    toolIds = List.copyOf(toolIds);
  }
}
