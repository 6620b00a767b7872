import type { ListedTrust } from '$lib/api/client';
import { count } from '$lib/shell/text';

/** Why a tool can be trusted, or not, in a line. */
export function trustText(trust: ListedTrust): string {
  return [
    trust.open > 0 ? `${count(trust.open, 'open finding')}` : '',
    trust.later > 0 ? 'changed since' : '',
    trust.by && trust.at ? `${trust.by} ${trust.at.slice(0, 10)}` : '',
    trust.proven > 0
      ? `proven ${count(trust.proven, 'time')}${trust.machines ? ` at ${trust.machines}` : ''}`
      : ''
  ]
    .filter(Boolean)
    .join(', ');
}
