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

  /** Asks where to begin in the material; depth, width and work diameter only the first time. */
  async begin(first: boolean) {
    try {
      const start = await startingValues(this.toolId, this.material);
      const { speed, feed } = start.request;
      this.request = first ? start.request : { ...this.request, speed, feed };
      this.inputs = start.inputs;
      this.findings = start.findings;
      await this.compute();
    } catch (error) {
      failed(error);
    }
  }

  /** Takes the numbers of a line. */
  open(line: CuttingLine) {
    this.material = line.material || this.material;
    this.purpose = line.purpose;
    this.coolant = line.coolant;
    const { speed, feed, depth, width } = line;
    this.request = { ...this.request, speed, feed, depth, width };
    void this.compute();
  }

  /** Changes some of what is wanted. */
  want(change: Partial<CutRequest>) {
    this.request = { ...this.request, ...change };
    void this.compute();
  }

  /** Asks what follows; an older answer never replaces a newer one. */
  async compute() {
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

  /** What is to be kept: speed and feed as they are really reached. */
  line(origin: string) {
    const cut = this.computed?.cut;
    return {
      material: origin === 'fixed' ? '' : this.material,
      purpose: this.purpose,
      coolant: this.coolant,
      speed: Math.round((cut?.speed ?? 0) * 1000) / 1000,
      feed: Math.round((cut?.feed ?? 0) * 100000) / 100000,
      depth: this.request.depth,
      width: this.request.width,
      origin
    };
  }
}
