import { checkStack, stackOffers } from './queries';
import {
  type ComponentKnown,
  type StackAnswer,
  type StackKept,
  type StackOffer
} from '$lib/api/client';

/** A stack being built: its parts, and what the server answers to it. */
export class StackBuilder {
  readonly toolId: number;
  kept = $state<number | null>(null);
  /** The version that the building started from. */
  version = $state(0);
  name = $state('');
  seat = $state('');
  parts = $state<Omit<ComponentKnown, 'machineSideName' | 'workSideName'>[]>([]);
  /** In mm; null until somebody gives it: the server then takes the usual one. */
  overhang = $state<number | null>(null);
  /** What the stack has to clear. */
  beside = $state<'wall' | 'pocket'>('wall');
  height = $state(0);
  distance = $state(0);
  depth = $state(0);
  /** Null while nobody asks about corners. */
  corner = $state<number | null>(null);
  answer = $state<StackAnswer | null>(null);
  offers = $state<StackOffer[]>([]);
  problem = $state('');
  #asked = 0;
  /** What it was when it was opened, saved or begun. */
  #begun = $state('');

  constructor(toolId: number) {
    this.toolId = toolId;
    this.#begun = this.said;
  }

  /** What of it would be saved, as text. */
  get said(): string {
    const stays = this.parts.map((part) => part.stays ?? 0);
    const ids = this.parts.map((part) => part.id);
    return JSON.stringify([this.name, this.seat, this.overhang, ids, stays]);
  }

  /** True while something of it is not saved. */
  get changed(): boolean {
    return this.said !== this.#begun;
  }

  get wall() {
    return this.beside === 'wall' && this.height > 0 && this.distance > 0
      ? { height: this.height, distance: this.distance }
      : undefined;
  }

  get pocket() {
    return this.beside === 'pocket' && this.depth > 0
      ? { depth: this.depth, corner: this.corner ?? undefined }
      : undefined;
  }

  get body() {
    return {
      name: this.name,
      seat: this.seat,
      components: this.parts.map((part) => part.id),
      overhang: this.overhang ?? undefined,
      stays: Object.fromEntries(
        this.parts.filter((part) => part.stays).map((part) => [part.id, part.stays ?? 0])
      ),
      wall: this.wall,
      pocket: this.pocket
    };
  }

  readonly holds = $derived(
    (this.answer?.findings ?? []).filter((finding) => finding.severity === 'HOLD')
  );

  /** What the last part takes, or the spindle while there is none. */
  readonly socket = $derived(this.parts.at(-1)?.component.workSide ?? this.seat);

  open(stack: StackKept) {
    this.kept = stack.id;
    this.version = stack.version;
    this.name = stack.name;
    this.seat = stack.seat;
    this.parts = stack.parts;
    this.overhang = stack.overhang;
    this.#begun = this.said;
    void this.check();
  }

  /** It is saved as it was said to be then; what was changed since is not. */
  saved(id: number, version: number, said: string) {
    this.kept = id;
    this.version = version;
    this.#begun = said;
  }

  empty() {
    this.kept = null;
    this.name = '';
    this.parts = [];
    this.overhang = null;
    this.#begun = this.said;
    void this.check();
  }

  add(offer: StackOffer) {
    const { id, component } = offer;
    this.parts = [...this.parts, { id, component, retired: false, version: 0 }];
    void this.check();
  }

  remove(index: number) {
    this.parts = this.parts.slice(0, index);
    void this.check();
  }

  /** Lets a part follow its newest version again. */
  follow(index: number) {
    this.parts = this.parts.map((part, at) =>
      at === index ? { ...part, stays: undefined } : part
    );
    void this.check();
  }

  setOverhang(millimetres: number) {
    this.overhang = millimetres;
    void this.check();
  }

  /** Asks what follows from the stack and what could come next; older answers are passed over. */
  async check() {
    const asked = ++this.#asked;
    try {
      const [answer, offers] = await Promise.all([
        checkStack(this.toolId, this.body),
        stackOffers(this.toolId, this.socket || undefined)
      ]);
      if (asked === this.#asked) {
        this.answer = answer;
        this.offers = offers.items;
        this.problem = '';
      }
    } catch (error) {
      if (asked === this.#asked) {
        this.problem = (error as Error).message;
      }
    }
  }
}
