/** Tracks of a field, what is planned, what was agreed last, and what the control has. */
export const FIELD_TRACKS = 'minmax(64px, 92px) repeat(3, minmax(82px, 1fr))';
