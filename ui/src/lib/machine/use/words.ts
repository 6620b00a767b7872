import type { UseView } from '$lib/api/client';

type Use = UseView['use'];

export const setPoints: Record<Use['setPoint'], string> = {
  SHARP_CORNER: 'sharp corner',
  NOSE_CENTRE: 'nose centre',
  GROOVE_LEFT: 'left corner of the groove',
  GROOVE_RIGHT: 'right corner of the groove',
  GROOVE_CENTRE: 'centre of the groove',
  DRILL_TIP: 'drill tip',
  MILL_TIP: 'mill tip',
  BALL_CENTRE: 'ball centre'
};

export const works: { value: Use['work']; label: string }[] = [
  { value: 'EXTERNAL', label: 'outside' },
  { value: 'INTERNAL', label: 'bore' },
  { value: 'FACE', label: 'face' },
  { value: 'CENTER', label: 'on centre' }
];

/** The angle between a tool and the axis of the work, in words. */
export const pointing = (angle: number): string =>
  angle === 0 ? 'along the spindle' : angle === 90 ? 'across it' : `at ${angle}° to it`;

/** How a tool is used, in a line. */
export function useInWords({ use, turnsWork }: Pick<UseView, 'use' | 'turnsWork'>): string {
  const offsets = `offset ${use.offsets.join(' and ')}`;
  if (!turnsWork) return offsets;
  const spindle = use.spindle ? `, ${use.spindle} spindle` : '';
  return `${use.driven ? 'driven' : 'static'} ${pointing(use.angle)}${spindle}, ${offsets}`;
}

/** Offset numbers as somebody writes them; nothing where they are none. */
export function offsetNumbers(text: string): number[] | undefined {
  const parts = text.split(/[\s,;]+/).filter(Boolean);
  return parts.every((part) => /^\d{1,5}$/.test(part)) ? parts.map(Number) : undefined;
}
