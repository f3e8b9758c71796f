import fc from 'fast-check'
import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { cellFromCsv, CSV_OUT } from './csv'
import { cases } from '../tests/fixtures/soak'

const outAndIn = (cells: string[]) =>
  Papa.parse<string[]>(Papa.unparse([cells], CSV_OUT), { delimiter: ',', newline: '\r\n', transform: cellFromCsv })
    .data[0]
const written = (cell: string) => Papa.unparse([[cell]], CSV_OUT)

it('what a spreadsheet would run is made safe; figures and other text stay as they are', () => {
  for (const run of ['=1+1', '+1+cmd', '-2+3*x', '@SUM(A1)', '\tx', '-1x'])
    expect(written(run).replace(/^"/, '')[0], run).toBe('\'')
  for (const plain of ['-12.5', '+152', '-1\' 10 3/4"', 'Isla\'s', 'a=b'])
    expect(
      written(plain)
        .replaceAll('""', '"')
        .replace(/^"(.*)"$/s, '$1'),
      plain,
    ).toBe(plain)
})

it('what came in is what went out, whatever it begins with', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.oneof(
          fc.string(),
          fc
            .tuple(fc.constantFrom('\'', '\'\'', '=', '+', '-', '@', '\t', '\r', '\'='), fc.string())
            .map(parts => parts.join('')),
        ),
        { minLength: 2, maxLength: 5 },
      ),
      (cells) => {
        expect(outAndIn(cells)).toEqual(cells)
      },
    ),
    { numRuns: cases(400) },
  )
})
