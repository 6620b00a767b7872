/** The cells of a spreadsheet selection as the clipboard carries it: tabs and line breaks. */
export function fromClipboard(text: string): string[][] {
  const rows: string[][] = [];
  let row: string[] = [];
  let cell = '';
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const char = text[i];
    if (quoted) {
      if (char !== '"') cell += char;
      else if (text[i + 1] === '"') cell += text[i++];
      else quoted = false;
    } else if (char === '"' && cell === '') {
      quoted = true;
    } else if (char === '\t' || char === '\n') {
      row.push(cell.trim());
      cell = '';
      if (char === '\n') {
        rows.push(row);
        row = [];
      }
    } else if (char !== '\r') {
      cell += char;
    }
  }
  if (cell !== '' || row.length > 0) {
    rows.push([...row, cell.trim()]);
  }
  return rows;
}

/** Cells as tab-separated text: what breaks a cell becomes a blank, a formula becomes text. */
export function toClipboard(rows: string[][]): string {
  return rows
    .map((row) =>
      row
        .map((cell) => cell.replace(/[\t\r\n]+/g, ' '))
        .map((cell) => (/^[=+@]|^-(?![\d.])/.test(cell) ? `'${cell}` : cell))
        .join('\t')
    )
    .join('\n');
}

/** True where a clipboard text is a table rather than a single value. */
export function isTable(text: string): boolean {
  return /\t|\n./.test(text);
}
