/*
 * Text in a CSV file that a spreadsheet would run begins with a sign that it takes for a formula. Such text is
 * written with an apostrophe before it, which a spreadsheet takes for the mark of plain text, and which is taken off
 * again on the way in. Text that begins with an apostrophe gets another one, so that what comes in is what went out.
 */

/** Text that is written with an apostrophe before it; figures with a sign, feet and inches among them, are none. */
export const RUN_BY_SPREADSHEETS = /^(?:['=@\t\r]|[+-](?!\d[\d.,' "/]*$))/
/** Text that came with one. */
const MADE_SAFE = /^'(?:['=@\t\r]|[+-])/

/** How a table is written as CSV. */
export const CSV_OUT = { newline: '\r\n', escapeFormulae: RUN_BY_SPREADSHEETS } as const

/**
 * A cell of a CSV file as it was before it was made safe for spreadsheets.
 *
 * @example
 * cellFromCsv('\'=1+1') // '=1+1'
 * cellFromCsv('Isla\'s') // 'Isla\'s'
 */
export const cellFromCsv = (text: string): string => MADE_SAFE.test(text) ? text.slice(1) : text
