package arborline.server.stack;

import arborline.core.stack.Cutter;
import arborline.server.stack.Components.KnownComponent;
import arborline.server.tool.Tools;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps stacks as tools usually stand: with parts by their codes and the usual overhang. */
@Service
public class UsualStacks {

  private final Components components;
  private final StackOffers offers;
  private final Stacks stacks;
  private final Tools tools;

  UsualStacks(Components components, StackOffers offers, Stacks stacks, Tools tools) {
    this.components = components;
    this.offers = offers;
    this.stacks = stacks;
    this.tools = tools;
  }

  /**
   * Keeps the stack of a tool.
   *
   * @param seat connection code of the spindle or turret
   * @param parts codes, machine side first; empty for the first holder that takes the tool
   * @return false where there is no such holder
   */
  @Transactional
  public boolean keep(long tool, String seat, List<String> parts) {
    List<Long> chosen =
        parts.isEmpty()
            ? holder(tool, seat).stream().toList()
            : parts.stream().map(this::part).toList();
    if (chosen.isEmpty()) {
      return false;
    }
    stacks.keep(tool, new Stacks.StackDraft(null, seat, chosen, null, null, null, null));
    return true;
  }

  private Optional<Long> holder(long tool, String seat) {
    return offers.next(seat, Cutter.of(tools.get(tool).tool())).stream()
        .filter(offer -> offer.fits() && offer.takesCutter())
        .filter(offer -> offer.component().turn().isEmpty())
        .map(StackOffers.PartOffer::id)
        .findFirst();
  }

  private long part(String code) {
    return components.all().stream()
        .filter(known -> known.component().code().equals(code))
        .map(KnownComponent::id)
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("there is no part " + code));
  }
}
