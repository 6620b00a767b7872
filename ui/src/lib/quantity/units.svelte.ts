import { api, ask } from '$lib/api/client';
import type { components } from '$lib/api/schema';
import { settings } from '$lib/shell/settings.svelte';

type Pair = components['schemas']['PairedUnit'];

/** How quantities look in millimetres or inches; the factors are the server's. */
class Units {
  #pairs = $state<Record<string, Pair>>({});

  /** Asks for the pairs once. */
  async load() {
    if (Object.keys(this.#pairs).length > 0) return;
    const { items } = await ask(api.GET('/api/v1/units'));
    this.#pairs = Object.fromEntries(items.map((pair) => [pair.metric, pair]));
  }

  #pair(metric: string): Pair | undefined {
    return settings.unit === 'in' ? this.#pairs[metric] : undefined;
  }

  /** The unit in which a metric quantity is looked at now. */
  code(metric: string): string {
    return this.#pair(metric)?.inch ?? metric;
  }

  /** True for a unit of the view, and for one that has no other beside it. */
  viewed(unit: string): boolean {
    const pair = Object.values(this.#pairs).find((one) => one.metric === unit || one.inch === unit);
    return !pair || this.code(pair.metric) === unit;
  }

  /** A unit as people write it. */
  name(unit: string): string {
    return unit.replace('um', 'µm').replace('N.m', 'N·m').replace('m3/', 'm³/');
  }

  /** The unit of the view as people write it. */
  label(metric: string): string {
    return this.name(this.code(metric));
  }

  /** A metric value in the unit of the view. */
  view(value: number, metric: string): number {
    const pair = this.#pair(metric);
    return pair ? value / pair.factor : value;
  }

  /** A metric value as text: so many decimals in the metric view, as many as say the same in the other. */
  show(value: number, metric: string, decimals: number): string {
    const digits = decimals + (this.#pair(metric)?.decimals ?? 0);
    return this.view(value, metric).toLocaleString('en', {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits
    });
  }

  /** A metric value for a field: as short as it can be said. */
  entry(value: number, metric: string): string {
    const digits = metric === 'mm' ? 5 : 4;
    return String(Number(this.view(value, metric).toFixed(digits)));
  }
}

export const units = new Units();
