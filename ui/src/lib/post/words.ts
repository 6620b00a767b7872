import type { PostView } from '$lib/api/client';

type Post = PostView['post'];
export type Work = keyof NonNullable<Post['needed']>;

export const offsetForms: { value: Post['offsetForm']; label: string }[] = [
  { value: 'SAME_AS_NUMBER', label: 'the tool number' },
  { value: 'OWN_NUMBERS', label: 'numbers of their own' },
  { value: 'EDGES', label: 'edges of the tool in the spindle' },
  { value: 'IN_TOOL_WORD', label: 'part of the tool word' }
];

export const works: { value: Work; label: string }[] = [
  { value: 'MILLING', label: 'milling tools' },
  { value: 'HOLE_MAKING', label: 'hole-making tools' },
  { value: 'THREADING', label: 'threading tools' },
  { value: 'TURNING', label: 'turning tools' },
  { value: 'ROUTING', label: 'routing tools' },
  { value: 'PROBING', label: 'probes' }
];

/** Symbols as somebody lists them. */
export const symbols = (text: string): string[] =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((symbol) => symbol.toUpperCase());

export const sources = { POST: 'from the post', MACHINE: 'of the machine', PERSON: 'yours' };

export const keyWords: Record<string, string> = {
  'cut.direction': 'Cut direction',
  'approach.kind': 'Approach',
  'approach.distance': 'Approach distance',
  'approach.angle': 'Approach angle',
  'feed.approach': 'Feed of the approach',
  'feed.plunge': 'Feed of plunging',
  'feed.rough': 'Feed of roughing',
  'feed.finish': 'Feed of finishing',
  'clearance.height': 'Clearance height',
  'retract.height': 'Retract height',
  coolant: 'Coolant',
  hood: 'Hood height',
  blower: 'Blower'
};

export const unitWords: Record<string, string> = {
  mm: 'mm',
  deg: '°',
  share: 'of the cutting data',
  text: '',
  '': ''
};
