import type { MachineView, PlaceView } from '$lib/api/client';

/** In which order planned tools are numbered. */
export type Arrangement = 'places' | 'numbers' | 'codes';

const plain = new Intl.Collator('en', { numeric: true });

/** The planned tools of a machine in an order. */
export function arranged(view: MachineView, by: Arrangement): PlaceView[] {
  switch (by) {
    case 'numbers':
      return view.plan.toSorted((a, b) => Number(a.number) - Number(b.number));
    case 'codes':
      return view.plan.toSorted((a, b) => plain.compare(a.code, b.code));
    default:
      return view.plan;
  }
}
