/** Tracks of a field, what is planned, what was agreed last, and what the control has. */
export const FIELD_TRACKS = 'minmax(76px, 92px) repeat(3, minmax(78px, 1fr))';
