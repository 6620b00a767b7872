import type { ToolMarks } from '$lib/api/client';
import { fieldSymbol, fieldTitle } from '$lib/edition/fields';

/** What is not as in the base, short: symbols of values, names of the rest. */
export function differing(marks: ToolMarks | undefined): string {
  if (!marks) return '';
  if (marks.own) return 'only here';
  return marks.fields
    .map((field) => fieldSymbol(field) || fieldTitle(field, {}).toLowerCase())
    .join(', ');
}
