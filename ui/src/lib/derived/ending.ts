/** What the codes of a derived library end in until somebody says otherwise: `-H` for Heron. */
export function usualEnding(name: string): string {
  const first = name.trim().match(/[A-Za-z0-9]/)?.[0];
  return first ? `-${first.toUpperCase()}` : '';
}
