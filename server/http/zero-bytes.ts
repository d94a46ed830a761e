/**
 * Where a text with a zero byte stands in a value; the database file can't hold one.
 *
 * @returns its path with points between, or null when there is none
 */
export function zeroByteAt(value: unknown, path = ''): string | null {
  if (typeof value === 'string') return value.includes('\0') ? path : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [name, part] of Object.entries(value)) {
    const at = path === '' ? name : `${path}.${name}`;
    if (name.includes('\0')) return path;
    const found = zeroByteAt(part, at);
    if (found !== null) return found;
  }
  return null;
}

/** What is said of one. */
export const zeroByteMessage = 'A text here holds a zero byte, which no text needs; take it out.';
