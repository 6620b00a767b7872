import type { Piece } from '$lib/api/client';

type Stage = Piece['stage'];

interface StationHead {
  stage: Stage;
  title: string;
  /** Said where no piece is in it. */
  none: string;
}

/** The way of a piece through the toolroom, from left to right. */
export const way: StationHead[] = [
  { stage: 'TO_ASSEMBLE', title: 'To assemble', none: 'Nothing waits to be put together.' },
  { stage: 'TO_MEASURE', title: 'To measure', none: 'Nothing waits to be measured.' },
  { stage: 'TO_BRING', title: 'To bring', none: 'No machine waits for a tool.' },
  { stage: 'IN_MACHINE', title: 'In the machine', none: 'No machine has a labelled tool.' },
  { stage: 'TO_FETCH', title: 'To fetch', none: 'Nothing is to be fetched.' }
];

/** Where pieces are that are not on their way. */
export const beside: StationHead[] = [
  { stage: 'READY', title: 'Ready', none: 'Nothing lies ready.' },
  { stage: 'OUT_OF_USE', title: 'Out of use', none: 'Nothing is broken, worn or lost.' }
];

export const stateWords: Record<Piece['state'], string> = {
  NEW: 'new',
  IN_USE: 'in use',
  WORN: 'worn',
  BROKEN: 'broken',
  REGROUND: 'reground',
  LOST: 'lost'
};

export const gauges = [
  { value: 'PRESETTER', label: 'presetter' },
  { value: 'HEIGHT_GAUGE', label: 'height gauge' },
  { value: 'CALIPER', label: 'caliper' },
  { value: 'MACHINE', label: 'at the machine' }
] as const;

/** Pieces of a station, in the order of their serials. */
export const inStage = (pieces: Piece[], stage: Stage): Piece[] =>
  pieces.filter((piece) => piece.stage === stage);

/** The next piece to measure after one, in the order of serials; round the end. */
export function nextToMeasure(pieces: Piece[], after: number): Piece | undefined {
  const waiting = inStage(pieces, 'TO_MEASURE').filter(({ id }) => id !== after);
  const serial = pieces.find(({ id }) => id === after)?.serial ?? '';
  return waiting.find((piece) => piece.serial > serial) ?? waiting[0];
}
