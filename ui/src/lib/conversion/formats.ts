/** The formats that files are written in, as people choose them. */
export const formats = [
  { value: 'csv', label: 'CSV table' },
  { value: 'xlsx', label: 'XLSX workbook' },
  { value: 'text', label: 'Plain text' },
  { value: 'json', label: 'JSON' },
  { value: 'mtconnect', label: 'MTConnect archetypes' },
  { value: 'p21', label: 'ISO 10303-21 properties' }
];

export const lengths = [
  { value: '', label: 'lengths as authored' },
  { value: 'mm', label: 'lengths in mm' },
  { value: 'in', label: 'lengths in inches' }
];

export function formatLabel(id: string): string {
  return formats.find(({ value }) => value === id)?.label ?? id;
}
