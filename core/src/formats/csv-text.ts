/**
 * Text in a CSV that a table program could take for a formula (it begins with `=`, `+`, `-`, `@`, a tab or a line
 * break) is written behind an apostrophe, and read without it: common practice (OWASP, "CSV injection", from memory). A
 * text that has apostrophes before such a sign gets one more, so that every text comes back as it was.
 */
const FORMULA = /^'*[=+\-@\t\r\n]/;

export const plainCell = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

export const cellText = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);
