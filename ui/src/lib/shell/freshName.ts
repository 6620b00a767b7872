/** A name that nobody else has; also where a page comes without encryption, which has no UUIDs. */
export function freshName(): string {
  return Array.from(crypto.getRandomValues(new Uint32Array(4)), (part) =>
    part.toString(16).padStart(8, '0')
  ).join('');
}
