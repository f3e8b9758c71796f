import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { d46, m1 } from '../../tests/fixtures/job'
import type { Exposure, Fastener, Mount, Wall, WindBasis } from '../job'
import { zonesOf } from '../mount/holes/zones'
import { bitName } from '../units'
import {
  anchorUse, bentShear, breakout, crowdingOf, groupLoads, lateralStrength, neighbourShare, pilotOf, plateLoads,
  pressureOf, pullOut, reachThroughSteel, screwRange, screwUse, shareLeft, shearOf, sheetShear, thinnestBase,
  threadInWood, withdrawal,
  type FastenerLoad, type PlateLoad, type Surroundings,
} from './index'

/** The published table: what is worked, its figures by name, and the result with as many decimals as it is shown. */
const cases = readFileSync(new URL('../../docs/calculations/fastening.md', import.meta.url), 'utf8').split('\n')
  .filter(line => /^\| \d+ \|/.test(line))
  .map((line) => {
    const [, no, what, figures, result] = line.split('|').map(cell => cell.trim())
    const [shown] = result!.split(' ')
    return {
      no,
      what: what!,
      figures: figures!,
      shown: shown!,
      given: Object.fromEntries(figures!.split(' ').map(figure => figure.split('='))) as Record<string, string>,
    }
  })

type Given = Record<string, number>
const screw = (kind: string, given: Given): Fastener => ({
  id: 'l',
  kind,
  base: 'wood-stud',
  diameter: given.D!,
  root: given.root,
  yield: given.yield,
  length: given.length ?? 120,
  thread: given.thread,
})
const joint = (given: Given) => ({
  gravity: given.G!,
  plate: given.plate ?? 2.5,
  board: given.board === 1,
  covering: given.gap ?? 0,
  duration: given.duration ?? 1,
  wet: given.wet === 1,
  ...(given.bearing && { plateBearing: given.bearing }),
})
const withdrawn = (kind: string) => (given: Given) => withdrawal(screw(kind, given), joint(given), given.thread)
const sheared = (kind: string) => (given: Given) =>
  lateralStrength(screw(kind, given), joint(given), given.angle ?? 0, given.thread)!

const placesOf = (at: string) =>
  at
    .split(';')
    .map(place => place.split(',').map(Number))
    .map(([x, y]) => ({ x: x!, y: y! }))
const held = ({ centre = 0, rise = 0 }: Given) => ({
  centre: { x: centre, y: rise },
  foot: 0,
  top: 520,
  left: -300,
  right: 300,
})
function loadsOn(load: PlateLoad, given: Given, at: string) {
  const loads = groupLoads(load, placesOf(at), held(given))
  if (typeof loads === 'string') throw new Error(loads)
  return loads
}
const loadOf = ({ mass, arm, hand, face, aside = 0 }: Given): PlateLoad => ({
  case: 'stowed',
  out: 0,
  pulls: [
    { what: 'weight', down: mass! * 9.80665, arm: arm!, aside },
    ...(hand ? [{ what: 'hand' as const, down: hand, arm: face!, aside }] : []),
  ],
})
const most = (values: number[]) => Math.max(...values)

const anchor: Fastener = {
  id: 'a',
  kind: 'wedge-anchor',
  base: 'concrete',
  diameter: 8,
  length: 80,
  embedment: 45,
  allowable: { tension: 1000, shear: 1000 },
}
function crowded({ least, critical, atLeast }: Given, around: Surroundings) {
  const known = crowdingOf(
    {
      ...anchor,
      edgeDistance: least,
      criticalEdge: critical,
      edgeFactor: atLeast,
      minSpacing: least,
      criticalSpacing: critical,
    },
    around,
  )
  return known.known ? known.tension.factor : Number.NaN
}
const beside = (distance: number, ...sides: ('left' | 'right' | 'above' | 'below')[]): Surroundings => ({
  edges: [],
  neighbours: sides.map(side => ({ side, distance })),
})

/** What a hand does at the worst point of a case, in every way that it can pull there. */
function byHand(suffix: 'edge' | 'out' | 'side', given: Given, at: string, kind: Mount['kind'] = 'pull-out') {
  const { mass, hand, arm, face, wide, high, swing = 0 } = given
  const stowed = face! - 68
  const centreOfGravity = { x: 0, y: 0, z: arm! - stowed }
  const display = { ...d46, mass: 0, width: wide!, height: high!, depth: 68, centreOfGravity }
  const depth = swing > 0 ? { stowed, service: swing } : { stowed: 10, service: stowed }
  const mount = { ...m1, kind, mass: mass!, depth }
  const named = `${swing > 0 ? 'swung' : 'service'}-hand-${suffix}`
  return plateLoads({ display, mount, wall: { handForce: hand! } })
    .filter(({ case: name }) => name === named).flatMap(load => loadsOn(load, given, at))
}
const tensions = (loads: FastenerLoad[]) => loads.map(({ tension }) => tension)
const shears = (loads: FastenerLoad[]) => loads.map(load => shearOf(load).shear)
const bent = ({ d, fy, fu, standoff, plate, rigid, T = 0 }: Given) => bentShear(
  { ...anchor, diameter: d!, steel: { yield: fy!, ultimate: fu! } },
  { standOff: standoff!, plate: plate!, rigid: rigid === 1 }, T,
)
const pressed = ({ speed, height }: Given, { basis, exposure }: Record<string, string>) => pressureOf({ wind: {
  speed: speed!, basis: basis as WindBasis, ...height && { height }, ...exposure && { exposure: exposure as Exposure },
} })!.value

const WORKED: Record<string, (given: Given, text: Record<string, string>) => number> = {
  'lag withdrawal': withdrawn('lag-screw'),
  'wood screw withdrawal': withdrawn('wood-screw'),
  'thread in the wood': given => threadInWood(screw('lag-screw', given), { plate: given.plate!, covering: given.gap! }),
  'lag shear': sheared('lag-screw'),
  'wood screw shear': sheared('wood-screw'),
  'lag combined': ({ T, V, W, Z }) => screwUse(T!, V!, W!, Z!),
  'group tension': (given, { at }) => most(loadsOn(loadOf(given), given, at!).map(({ tension }) => tension)),
  'group shear': (given, { at }) => most(loadsOn(loadOf(given), given, at!).map(load => shearOf(load).shear)),
  'group tension in wind': (given, { at }) => {
    const display = { ...d46, mass: given.mass!, width: given.width!, height: given.height!, depth: 0 }
    const winds = plateLoads({
      display,
      mount: { ...m1, mass: 0, depth: { stowed: given.arm!, service: given.arm! } },
      wall: { windSpeed: given.speed },
    }).filter(one => one.case === 'wind')
    return most(winds.flatMap(wind => loadsOn(wind, given, at!).map(({ tension }) => tension)))
  },
  'hand at an edge, shear': (given, { at }) => most(shears(byHand('edge', given, at!))),
  'hand outwards, tension': (given, { at }) => most(tensions(byHand('out', given, at!))),
  'hand sideways, tension': (given, { at }) => most(tensions(byHand('side', given, at!))),
  'hand sideways, shear': (given, { at }) => most(shears(byHand('side', given, at!))),
  'hand outwards on an arm, tension': (given, { at }) => most(tensions(byHand('out', given, at!, 'arm'))),
  'anchor bent over a stand-off': bent,
  'wind pressure': pressed,
  'sheet pull-out': ({ t, d, Fu }) => pullOut({ diameter: d! }, { gauge: t, steelStrength: Fu }).value,
  'sheet shear': ({ t, d, Fu }) => sheetShear({ diameter: d! }, { gauge: t, steelStrength: Fu }).value,
  'reach through steel': ({ t, d, pitch, tip }) => reachThroughSteel({ diameter: d!, pitch, tip }, t!),
  'breakout': ({ strength, embedment }) => breakout(strength!, embedment!).value,
  'anchor use, concrete': ({ T, V, Ta, Va }) => anchorUse(T!, V!, { tension: Ta!, shear: Va! }, 'concrete'),
  'anchor use, masonry': ({ T, V, Ta, Va }) => anchorUse(T!, V!, { tension: Ta!, shear: Va! }, 'block'),
  'share left': ({ distance, least, critical, atLeast }) => shareLeft(distance!, least!, critical!, atLeast),
  'anchors 2 × 2': given => crowded(given, beside(given.spacing!, 'right', 'above')),
  'anchor between four': given => crowded(given, beside(given.spacing!, 'left', 'right', 'above', 'below')),
  'anchor in a corner': given =>
    crowded(given, {
      edges: [
        { name: 'the left edge', distance: given.edge! },
        { name: 'the top edge', distance: given.edge! },
        { name: 'the right edge', distance: 5000 },
      ],
      neighbours: [],
    }),
  'hollow block, thinnest shell': thinnestBase,
  'screw, shortest': ({ bracket, washers, spacer, recess, thread, insert }) =>
    screwRange({ bracket: bracket!, washers: washers!, spacer: spacer!, recess: recess! }, thread!, insert!).shortest
      .value,
  'screw, longest': ({ bracket, washers, spacer, recess, thread, insert }) =>
    screwRange({ bracket: bracket!, washers: washers!, spacer: spacer!, recess: recess! }, thread!, insert!).longest
      .value,
  'ply, usable': ({ width, plies, D, sd }) =>
    zonesOf([{ centre: 1200, width: width!, sd: sd!, plies: plies! }], 1.5 * D!)[0]!.usable,
  'lead bit': ({ D, G }, { units }) =>
    pilotOf(
      screw('lag-screw', { D: D!, thread: 40 }),
      { structure: { kind: 'wood-stud', specificGravity: G! }, covering: [] } satisfies Pick<
        Wall,
        'structure' | 'covering'
      >,
      2.5,
      units as 'metric',
    )!.bit,
}

it('the table has every kind of case, and enough of them', () => {
  expect(new Set(cases.map(({ what }) => what))).toEqual(new Set(Object.keys(WORKED)))
  expect(cases.length).toBeGreaterThanOrEqual(100)
})

it.each(cases)('case $no: $what, $figures', ({ what, shown, given }) => {
  const decimals = shown.split('.')[1]?.length ?? 0
  const figures = Object.fromEntries(Object.entries(given).map(([key, text]) => [key, Number(text)]))
  expect(WORKED[what]!(figures, given).toFixed(decimals)).toBe(shown)
})

it('one neighbour leaves half of the cone at no distance, and all of it from the critical one on', () => {
  expect([neighbourShare(0, 100), neighbourShare(100, 100)]).toEqual([0.5, 1])
  expect(bitName(6.35, 'imperial')).toBe('1/4"')
  expect(bitName(8, 'imperial')).toBe('8 mm (0.315")')
  expect(bitName(9.525, 'imperial')).toBe('3/8"')
  expect(bitName(6.5, 'metric')).toBe('6.5 mm')
})
