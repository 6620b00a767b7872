package arborline.server.stack;

import arborline.core.stack.Component;
import arborline.core.stack.Cutter;
import arborline.core.stack.Offer;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What of the shop's components could come next in a stack. */
@Service
class StackOffers {

  private final Components components;

  StackOffers(Components components) {
    this.components = components;
  }

  /**
   * A component that could come next.
   *
   * @param fits false where it does not go into the socket
   * @param takesCutter true where it takes the cutter itself
   * @param why the reason
   */
  record PartOffer(long id, Component component, boolean fits, boolean takesCutter, String why) {}

  private record Known(long id, Offer offer) {

    PartOffer view() {
      return new PartOffer(id, offer.component(), offer.fits(), offer.takesCutter(), offer.why());
    }
  }

  /**
   * All that are in use, the best first.
   *
   * @param socket code of what they would go into; null or blank for a spindle
   */
  List<PartOffer> next(@Nullable String socket, Optional<Cutter> cutter) {
    boolean first = socket == null || socket.isBlank();
    return offers(component ->
        first ? Offer.first(component, cutter) : Offer.behind(socket, component, cutter));
  }

  /** Those that go into a spindle and take a cutter. */
  List<PartOffer> holding(Optional<Cutter> cutter) {
    return offers(component -> Offer.first(component, cutter)).stream()
        .filter(offer -> offer.fits() && offer.takesCutter())
        .toList();
  }

  private List<PartOffer> offers(Function<Component, Offer> offer) {
    return components.all().stream()
        .filter(known -> !known.retired())
        .map(known -> new Known(known.id(), offer.apply(known.component())))
        .sorted(Comparator.comparing(Known::offer, Offer.BEST_FIRST))
        .map(Known::view)
        .toList();
  }
}
