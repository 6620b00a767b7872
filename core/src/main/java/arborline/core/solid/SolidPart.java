package arborline.core.solid;

import java.util.List;
import java.util.Optional;

/** One of several bodies of a file, seen for itself, where it stands. */
public record SolidPart(String name, Optional<TurnedShape> turned, List<SolidProposal> proposals) {}
