// Reads JSON from standard input and writes it with sorted keys, so that changes are easy to see.
import { readFileSync } from 'node:fs';

function sorted(value) {
  if (Array.isArray(value)) {
    return value.map(sorted);
  }
  if (value && typeof value === 'object') {
    return Object.fromEntries(
      Object.keys(value)
        .sort()
        .map((key) => [key, sorted(value[key])])
    );
  }
  return value;
}

process.stdout.write(JSON.stringify(sorted(JSON.parse(readFileSync(0, 'utf8'))), null, 2) + '\n');
