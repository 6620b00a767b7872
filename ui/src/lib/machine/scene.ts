import type { MachineView, PlaceView } from '$lib/api/client';

type Mount = NonNullable<MachineView['scene']>['mounts'][number];

/** A planned tool at the work, with those that stand beside it in its turret. */
export interface AtWork {
  place: string;
  tool: PlaceView;
  mount: Mount;
  neighbours: PlaceView[];
}

/**
 * Which tools are drawn at the work: of each storage that reaches it the chosen one, else the first
 * that is planned. Of storages that bring their tools into one spindle, only one can.
 */
export function inScene(view: MachineView, chosen: string | null): AtWork[] {
  const planned = new Map(view.plan.map((place) => [place.place, place]));
  const standing: AtWork[] = [];
  let inSpindle = false;
  const storages = [...view.storages].sort(
    (one, other) =>
      Number(other.places.includes(chosen ?? '')) - Number(one.places.includes(chosen ?? ''))
  );
  for (const storage of storages) {
    const places = chosen && planned.has(chosen) ? [chosen, ...storage.places] : storage.places;
    const place = places.find((name) => storage.places.includes(name) && planned.has(name));
    const tool = place ? planned.get(place) : undefined;
    if (!place || !tool?.use) continue;
    const { spindle, along } = tool.use;
    const mount = view.scene?.mounts.find(
      (one) => one.storage === storage.id && one.spindle === spindle && one.along === along
    );
    const turret = view.machine.storages.find(({ id }) => id === storage.id)?.form === 'TURRET';
    if (!mount || (!turret && inSpindle)) continue;
    inSpindle ||= !turret;
    const next = storage.layout.spots.find((spot) => spot.place === place)?.next ?? {};
    const beside = [...new Set(Object.values(next))].filter((name) => name && name !== place);
    standing.push({
      place,
      tool,
      mount,
      neighbours: beside.flatMap((name) => planned.get(name as string) ?? [])
    });
  }
  return standing;
}
