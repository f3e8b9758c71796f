import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Fastener, Wall } from '../job'
import { breakout, capacityOf, fastenerLoad, lagShear, lagUse, lagWithdrawal, plainSetting, plateLoads, screwRange, shareLeft, type Row } from './index'

/** The published table: what is worked, its figures by name, and the result with as many decimals as it is shown. */
const cases = readFileSync(new URL('../../docs/calculations/fastening.md', import.meta.url), 'utf8').split('\n')
  .filter(line => /^\| \d+ \|/.test(line))
  .map((line) => {
    const [, no, what, figures, result] = line.split('|').map(cell => cell.trim())
    const [shown] = result!.split(' ')
    return { no, what: what!, figures: figures!, shown: shown!, given: Object.fromEntries(figures!.split(' ').map(figure => figure.split('='))) as Record<string, string> }
  })

const wallOf = (structure: Wall['structure']): Wall => ({ ...exampleJob().walls[0]!, structure, covering: [] })
const rowsOf = (text: string): Row[] => text.split(',').map(row => row.split('x').map(Number)).map(([count, above]) => ({ count: count!, above: above! }))
function sheet({ t, d, Fu }: Record<string, number>) {
  const known = capacityOf({ id: 's', kind: 'self-drilling', base: 'steel-stud', diameter: d!, length: 50 }, wallOf({ kind: 'steel-stud', gauge: t!, steelStrength: Fu! }), plainSetting(m1), {}, 'stowed')
  if (!known.known) throw new Error('not known')
  return known.capacity
}
function anchorUse(kind: 'concrete' | 'block', { T, V, Ta, Va }: Record<string, number>) {
  const anchor: Fastener = { id: 'a', kind: 'wedge-anchor', base: kind, diameter: 8, length: 80, allowable: { tension: Ta!, shear: Va! } }
  const known = capacityOf(anchor, wallOf({ kind }), plainSetting(m1), {}, 'stowed')
  return known.known ? known.capacity.use(T!, V!) : Number.NaN
}
const lag = (given: Record<string, number>): Fastener => ({ id: 'l', kind: 'lag-screw', base: 'wood-stud', diameter: given.D ?? given.root!, root: given.root, yield: given.yield, length: 120, thread: given.thread })
const joint = (given: Record<string, number>) => ({ gravity: given.G!, plate: given.plate ?? 2.5, board: given.board === 1, gap: given.gap ?? 0, duration: given.duration! })
const load = (given: Record<string, number>, rows: string) => fastenerLoad({ case: 'stowed', down: given.mass! * 9.80665 + (given.hand ?? 0), out: 0, arm: given.arm ?? 0, aside: given.aside ?? 0 }, rowsOf(rows))

const WORKED: Record<string, (given: Record<string, number>, rows: string) => number> = {
  'lag withdrawal': given => lagWithdrawal(lag(given), joint(given), given.thread!).value,
  'lag shear': given => lagShear(lag(given), joint(given), given.thread!)!.value,
  'lag combined': ({ T, V, W, Z }) => lagUse(T!, V!, W!, Z!),
  'sheet pull-out': given => sheet(given).tension.value,
  'sheet shear': given => sheet(given).shear.value,
  'breakout': ({ strength, embedment }) => breakout(strength!, embedment!).value,
  'anchor use, concrete': given => anchorUse('concrete', given),
  'anchor use, masonry': given => anchorUse('block', given),
  'share left': ({ distance, least, critical, atLeast }) => shareLeft(distance!, least!, critical!, atLeast),
  'plate tension': (given, rows) => load(given, rows).tension,
  'plate shear': (given, rows) => load(given, rows).shear,
  'plate tension in wind': (given, rows) => {
    const display = { ...d46, mass: given.mass!, width: given.width!, height: given.height!, depth: 0 }
    const wind = plateLoads(display, { ...m1, mass: 0, depth: { stowed: given.arm!, service: given.arm! } }, { windSpeed: given.speed })
    return fastenerLoad(wind.find(one => one.case === 'wind')!, rowsOf(rows)).tension
  },
  'arm shear, swung': (given, rows) => load(given, rows).shear,
  'screw, shortest': ({ bracket, washers, spacer, recess, thread, insert }) => screwRange({ bracket: bracket!, washers: washers!, spacer: spacer!, recess: recess! }, thread!, insert!).shortest.value,
  'screw, longest': ({ bracket, washers, spacer, recess, thread, insert }) => screwRange({ bracket: bracket!, washers: washers!, spacer: spacer!, recess: recess! }, thread!, insert!).longest.value,
}

it('the table has every kind of case, and enough of them', () => {
  expect(new Set(cases.map(({ what }) => what))).toEqual(new Set(Object.keys(WORKED)))
  expect(cases.length).toBeGreaterThanOrEqual(24)
})

it.each(cases)('case $no: $what, $figures', ({ what, shown, given }) => {
  const decimals = shown.split('.')[1]?.length ?? 0
  const figures = Object.fromEntries(Object.entries(given).map(([key, text]) => [key, Number(text)]))
  expect(WORKED[what]!(figures, given.rows ?? '').toFixed(decimals)).toBe(shown)
})
