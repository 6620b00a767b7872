import type { LinkKind } from '$lib/api/client';

const WORDS: Record<LinkKind, [string, string]> = {
  MACHINE: ['machine', 'machines'],
  CONTROL: ['control', 'controls'],
  POST: ['post', 'posts'],
  DEFAULTS: ['set of defaults', 'sets of defaults'],
  LIBRARY: ['library', 'libraries'],
  EDITION: ['edition', 'editions'],
  OUTLET: ['outlet', 'outlets'],
  STACK: ['stack', 'stacks'],
  HOLDER: ['holder', 'holders'],
  TOOL: ['tool', 'tools'],
  JOB: ['job', 'jobs']
};

export const kindWords = (kind: LinkKind, number: number): string =>
  WORDS[kind][number === 1 ? 0 : 1];
