import { computeCut, FIRST_MATERIAL, startingValues } from './queries';
import { type Computed, type CuttingLine, type Finding } from '$lib/api/client';
import type { components } from '$lib/api/schema';
import { failed } from '$lib/shell/toast';

type Schemas = components['schemas'];
export type CutRequest = Schemas['CutRequest'];
export type CutField = Schemas['CutField'];

/** A cut that somebody thinks about: what is wanted, and what the server says follows from it. */
export class CutDraft {
  readonly toolId: number;
  material = $state(FIRST_MATERIAL);
  machine = $state('');
  /** The post whose defaults count; 0 for none. */
  post = $state(0);
  purpose = $state('rough');
  coolant = $state('');
  /** Deflection of the kept stack per newton, µm; 0 where no stack is kept. */
  compliance = $state(0);
  /** Bending that is allowed, µm. */
  bend = $state(100);
  request = $state<CutRequest>({ speed: 0, feed: 0, depth: 0, width: 0, work: 0, centred: false });
  inputs = $state<CutField[]>([]);
  computed = $state<Computed | null>(null);
  problem = $state('');
  /** What is to be known of this tool in this material before it is used. */
  findings = $state<Finding[]>([]);
  #asked = 0;
  #begun = 0;
  #answered = false;
  /** What somebody wanted since the server was asked where to begin. */
  #wanted: Partial<CutRequest> = {};
  /** Ends when all is answered that was asked so far. */
  #answers: Promise<void> = Promise.resolve();

  constructor(toolId: number) {
    this.toolId = toolId;
  }

  asksFor(id: CutField['id']): boolean {
    return this.inputs.some((input) => input.id === id);
  }

  /** What the feed is called. */
  readonly feedTitle = $derived(
    this.inputs.find((input) => input.id.startsWith('FEED'))?.title ?? 'Pitch'
  );

  /**
   * Asks where to begin in the material; depth, width and work diameter only the first time. The
   * answer for a material that is no longer meant is passed over, and what somebody wanted while
   * the server thought stays.
   */
  begin(first: boolean): Promise<void> {
    return this.#await(this.#begin(first));
  }

  #await(answer: Promise<void>): Promise<void> {
    this.#answers = this.#answers.then(() => answer);
    return answer;
  }

  async #begin(first: boolean) {
    const mine = ++this.#begun;
    this.#wanted = {};
    try {
      const start = await startingValues(this.toolId, this.material);
      if (mine !== this.#begun) return;
      const { speed, feed } = start.request;
      const begun = first || !this.#answered ? start.request : { ...this.request, speed, feed };
      this.#answered = true;
      this.request = { ...begun, ...this.#wanted };
      this.inputs = start.inputs;
      this.findings = start.findings;
      await this.compute();
    } catch (error) {
      if (mine === this.#begun) failed(error);
    }
  }

  /** What the defaults of a post said last of the coolant. */
  #said = '';

  /** Takes the coolant that the defaults of a post say, unless somebody wrote another one. */
  say(coolant: string) {
    if (this.coolant === this.#said) this.coolant = coolant;
    this.#said = coolant;
  }

  /** Takes the numbers of a line. */
  open(line: CuttingLine) {
    this.material = line.material || this.material;
    this.purpose = line.purpose;
    this.coolant = line.coolant;
    const { speed, feed, depth, width } = line;
    this.want({ speed, feed, depth, width });
  }

  /** Changes some of what is wanted. */
  want(change: Partial<CutRequest>) {
    this.#wanted = { ...this.#wanted, ...change };
    this.request = { ...this.request, ...change };
    void this.compute();
  }

  /** Asks what follows; an older answer never replaces a newer one. */
  compute(): Promise<void> {
    return this.#await(this.#compute());
  }

  async #compute() {
    const mine = ++this.#asked;
    try {
      const answer = await computeCut(this.toolId, {
        ...this.request,
        material: this.material,
        machine: this.machine || undefined,
        compliance: this.compliance || undefined,
        bend: this.compliance ? this.bend : undefined
      });
      if (mine === this.#asked) {
        this.computed = answer;
        this.problem = '';
      }
    } catch (error) {
      if (mine === this.#asked) this.problem = (error as Error).message;
    }
  }

  /**
   * What is to be kept: speed and feed as they are really reached by what is wanted now, once the
   * server has answered for it; null where no such cut is possible.
   */
  async line(origin: string) {
    let answers;
    do {
      answers = this.#answers;
      await answers;
    } while (answers !== this.#answers);
    const cut = this.computed?.cut;
    if (!cut || this.problem) return null;
    return {
      material: origin === 'fixed' ? '' : this.material,
      purpose: this.purpose,
      coolant: this.coolant,
      speed: Math.round(cut.speed * 1000) / 1000,
      feed: Math.round(cut.feed * 100000) / 100000,
      depth: this.request.depth,
      width: this.request.width,
      origin
    };
  }
}
