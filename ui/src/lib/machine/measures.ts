/** What was measured of a tool, by field, as exact decimals in mm; empty takes a measure away. */
export type Measures = Record<string, string>;
