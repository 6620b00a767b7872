import type {
  Delivery,
  LibraryRow,
  Link,
  MachineView,
  ProposalHead,
  Reconciliation
} from '$lib/api/client';
import { count } from '$lib/shell/text';

/** Something that waits for a person. */
export interface Next {
  kind: 'hold' | 'query' | 'pass' | 'differs' | 'note';
  /** How many things it is about. */
  number: number;
  text: string;
  /** What to do about it, on the button. */
  act: string;
  href: string;
}

/** A machine with its last comparison: null where there was none, undefined while it is asked. */
export interface Watched {
  view: MachineView;
  table: Reconciliation | null | undefined;
}

/** What waits in deliveries, the gravest first. */
export function nextInDeliveries(deliveries: Delivery[], may: boolean): Next[] {
  return deliveries.flatMap((delivery) => {
    const href = `/receiving/${delivery.id}`;
    const { name } = delivery;
    if (delivery.state === 'failed') {
      return [{ kind: 'hold', number: 1, text: `${name} could not be read`, act: 'See why', href }];
    }
    if (delivery.state !== 'ready') return [];
    const free = delivery.pass - delivery.taken;
    const waits: Next[] = [
      {
        kind: 'hold',
        number: delivery.hold,
        text: `${plural(delivery.hold, 'line')} of ${name} cannot enter yet`,
        act: may ? 'Correct them' : 'Look',
        href
      },
      {
        kind: 'query',
        number: delivery.query,
        text: `${plural(delivery.query, 'line')} of ${name} to look at`,
        act: 'Look',
        href
      },
      {
        kind: 'pass',
        number: free,
        text: `${plural(free, 'tool')} of ${name} can be taken`,
        act: may ? 'Take them' : 'Look',
        href
      }
    ];
    return waits.filter(({ number }) => number > 0);
  }) as Next[];
}

/** What waits at machines. */
export function nextAtMachines(machines: Watched[], may: boolean): Next[] {
  return machines.flatMap(({ view, table }) => {
    const { id, name } = view.machine;
    const apart = (table?.items ?? []).filter((row) => row.state !== 'in step').length;
    const unmeasured = view.linked
      ? view.plan.filter(({ measures }) => measures.some(({ needed, value }) => needed && !value))
          .length
      : 0;
    const asked = view.plan.filter((place) => place.questions.length > 0).length;
    const waits: Next[] = [
      {
        kind: 'differs',
        number: apart,
        text: `${plural(apart, view.placeWord)} of ${name} out of step with its control`,
        act: may ? 'Settle them' : 'Look',
        href: `/tables/${id}`
      },
      {
        kind: 'note',
        number: view.linked && table === null ? 1 : 0,
        text: `tool table of ${name} was never compared with its control`,
        act: 'Compare',
        href: `/tables/${id}`
      },
      {
        kind: 'query',
        number: asked,
        text: `${plural(asked, 'measure')} of ${name} to look at`,
        act: 'Look',
        href: `/machines/${id}`
      },
      {
        kind: 'note',
        number: unmeasured,
        text: `planned ${plural(unmeasured, 'tool')} of ${name} not measured yet`,
        act: may ? 'Measure them' : 'Look',
        href: `/machines/${id}`
      }
    ];
    return waits.filter(({ number }) => number > 0);
  });
}

/** Links that lead nowhere. */
export function nextInLinks(links: Link[], may: boolean): Next[] {
  const strays = links.filter(({ stray }) => stray).length;
  return strays === 0
    ? []
    : [
        {
          kind: 'query',
          number: strays,
          text: `${plural(strays, 'link')} that ${strays === 1 ? 'leads' : 'lead'} nowhere`,
          act: may ? 'Set anew' : 'Look',
          href: '/links'
        }
      ];
}

/** Proposals that wait for an answer, and answers that wait to be read. */
export function nextInProposals(proposals: ProposalHead[]): Next[] {
  return proposals.flatMap((one): Next[] => {
    const href = `/proposals/${one.id}`;
    if (one.state === 'OPEN' && one.toMe) {
      return [
        {
          kind: 'query',
          number: one.changes,
          text: `${plural(one.changes, 'change')} of ${one.library} proposed by ${one.madeBy}`,
          act: 'Answer',
          href
        }
      ];
    }
    if (one.state === 'COLLECTED') {
      return [
        {
          kind: 'note',
          number: one.changes,
          text: `${plural(one.changes, 'change')} of ${one.library} that you collected and have not proposed`,
          act: 'Propose',
          href
        }
      ];
    }
    if (one.state === 'ANSWERED' && one.mine && !one.seen) {
      return [
        {
          kind: one.taken > 0 ? 'pass' : 'note',
          number: one.taken,
          text: `of your ${count(one.changes, 'change')} of ${one.library} taken by ${one.answeredBy}`,
          act: 'Read the answer',
          href
        }
      ];
    }
    return [];
  });
}

/** Newer editions of bases, and outlets that do not hold what they should. */
export function nextInLibraries(libraries: LibraryRow[]): Next[] {
  return libraries.flatMap((one): Next[] => {
    const may = one.right === 'MAINTAIN' || one.right === 'OWNER';
    if (!may) return [];
    const waits: Next[] = [
      {
        kind: 'query',
        number: one.baseEdition > 0 ? 1 : 0,
        text: `newer edition of ${one.base} for ${one.name}`,
        act: 'Take it in',
        href: `/libraries/${one.id}/base`
      },
      {
        kind: 'query',
        number: one.staleOutlets,
        text: `${plural(one.staleOutlets, 'outlet')} of ${one.name} out of date`,
        act: 'Look',
        href: '/outlets'
      }
    ];
    return waits.filter(({ number }) => number > 0);
  });
}

/** The word alone: the number stands before it. */
function plural(number: number, one: string): string {
  return count(number, one).replace(/^[\d,]+ /, '');
}
