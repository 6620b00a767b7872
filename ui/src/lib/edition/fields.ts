/** What a field of a tool is called, as far as names of properties are known. */
export function fieldTitle(field: string, properties: Record<string, string>): string {
  const dot = field.indexOf('.');
  if (dot < 0) return { class: 'Class', name: 'Name', number: 'Number' }[field] ?? 'Section';
  const kind = field.slice(0, dot);
  const name = field.slice(dot + 1);
  switch (kind) {
    case 'values':
      return properties[name] ?? name;
    case 'notes':
      return name === 'NOTE' ? 'Note' : `Note ${name.replace(/^NOTE:/, '')}`;
    case 'cutting':
      return `Cutting data ${name.replace(/\/$/, '').replace('/', ', ')}`;
    default:
      return name ? `Stack ${name}` : 'Stack';
  }
}

/** The symbol of a value; nothing for other fields. */
export const fieldSymbol = (field: string): string =>
  field.startsWith('values.') ? field.slice('values.'.length) : '';
