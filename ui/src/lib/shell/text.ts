/** "1 tool", "2 tools". */
export function count(number: number, one: string, many = one + 's'): string {
  return `${number.toLocaleString('en')} ${number === 1 ? one : many}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const MOMENT = new Intl.DateTimeFormat('en-GB', {
  day: '2-digit',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit'
});

/** A moment in the reader's time zone. */
export function moment(iso: string): string {
  return MOMENT.format(new Date(iso));
}

const DAY = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' });

/** A day as its place has it, whatever the reader's time zone: "9 Mar 2023". */
export function day(iso: string): string {
  return DAY.format(new Date(iso));
}

export function bytes(size: number): string {
  return size < 1e6 ? `${Math.ceil(size / 1e3)} kB` : `${(size / 1e6).toFixed(1)} MB`;
}

/**
 * How long something takes that went on from one share to another in so many milliseconds; nothing
 * while that cannot be said.
 */
export function timeLeft(before: number, now: number, milliseconds: number): string {
  if (now - before < 0.02 || milliseconds < 1000) return '';
  const seconds = ((1 - now) / (now - before)) * (milliseconds / 1000);
  return seconds < 90
    ? count(Math.max(1, Math.round(seconds / 5) * 5), 'second')
    : count(Math.round(seconds / 60), 'minute');
}

/** True where the texts have all the words that are sought. */
export function hasWords(texts: (string | null | undefined)[], sought: string): boolean {
  const text = texts.join(' ').toLowerCase();
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
