/** Signs a spreadsheet takes for the start of a formula, or for a break out of the cell. */
const formulaStart = /^'*[=+\-@\t\r]/;
const guardedStart = /^'+[=+\-@\t\r]/;

/** Whether a spreadsheet would work a text out instead of showing it. */
export function isFormula(text: string): boolean {
  return /^[=+\-@\t\r]/.test(text);
}

/** A text as a cell that no spreadsheet works out: an apostrophe goes before what looks like a formula. */
export function guarded(text: string): string {
  return formulaStart.test(text) ? `'${text}` : text;
}

/** The text that {@link guarded} was given. */
export function unguarded(cell: string): string {
  return guardedStart.test(cell) ? cell.slice(1) : cell;
}
