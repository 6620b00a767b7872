package arborline.server.stack;

import arborline.core.stack.Cutter;
import arborline.core.stack.Offer;
import arborline.server.stack.Components.KnownComponent;
import arborline.server.tool.Tools;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps stacks as tools usually stand: with parts by their codes and the usual overhang. */
@Service
public class UsualStacks {

  private final Components components;
  private final Stacks stacks;
  private final Tools tools;

  UsualStacks(Components components, Stacks stacks, Tools tools) {
    this.components = components;
    this.stacks = stacks;
    this.tools = tools;
  }

  /**
   * Keeps a stack for each of some tools.
   *
   * @param seat connection code of the spindle or turret
   * @param parts codes, machine side first; empty for the first holder that takes each tool
   * @return how many have one now: none is kept where no holder takes a tool
   */
  @Transactional
  public int keep(List<Long> held, String seat, List<String> parts) {
    List<KnownComponent> all = components.all().stream().filter(known -> !known.retired()).toList();
    List<Long> named = parts.stream().map(code -> part(all, code)).toList();
    int kept = 0;
    for (long tool : held) {
      List<Long> chosen = named.isEmpty() ? holder(all, tool, seat).stream().toList() : named;
      if (!chosen.isEmpty()) {
        stacks.keep(tool, new Stacks.StackDraft(null, seat, chosen, null, null, null, null));
        kept++;
      }
    }
    return kept;
  }

  private record Offered(long id, Offer offer) {}

  private Optional<Long> holder(List<KnownComponent> all, long tool, String seat) {
    Optional<Cutter> cutter = Cutter.of(tools.get(tool).tool());
    return all.stream()
        .map(known -> new Offered(known.id(), Offer.behind(seat, known.component(), cutter)))
        .filter(offered -> offered.offer().fits() && offered.offer().takesCutter())
        .filter(offered -> offered.offer().component().turn().isEmpty())
        .min(Comparator.comparing(Offered::offer, Offer.BEST_FIRST))
        .map(Offered::id);
  }

  private static long part(List<KnownComponent> all, String code) {
    return all.stream()
        .filter(known -> known.component().code().equals(code))
        .map(KnownComponent::id)
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("there is no part " + code));
  }
}
