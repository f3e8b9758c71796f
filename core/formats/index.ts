/** Files that the product writes: their extension, what a button says, and what a browser is told that they are. */
export const FORMATS = {
  pdf: { name: 'PDF', type: 'application/pdf' },
  svg: { name: 'SVG', type: 'image/svg+xml; charset=utf-8' },
  dxf: { name: 'DXF', type: 'image/vnd.dxf' },
  csv: { name: 'CSV', type: 'text/csv; charset=utf-8' },
  json: { name: 'JSON', type: 'application/json; charset=utf-8' },
  zip: { name: 'ZIP', type: 'application/zip' },
} as const
export type Format = keyof typeof FORMATS

/**
 * What can be exported, and as what; the first is the default. Screens offer these, routes take these, and who writes
 * one lists a writer for each (`server/sheets/files.ts`), without which it does not compile.
 */
export const EXPORTS = {
  sheet: ['pdf', 'svg', 'dxf', 'csv', 'json'],
  templates: ['pdf', 'svg'],
  difference: ['pdf', 'svg', 'csv', 'json'],
  kit: ['pdf', 'csv'],
  pixels: ['json', 'csv', 'svg'],
  catalogue: ['json', 'csv'],
  handover: ['pdf', 'zip'],
} as const satisfies Record<string, readonly [Format, ...Format[]]>
export type Exported = keyof typeof EXPORTS
/** As what something can be exported. */
export type FormatOf<What extends Exported> = typeof EXPORTS[What][number]
