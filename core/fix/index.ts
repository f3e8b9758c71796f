import type { Finding } from '../finding'
import type { Carrier, Display, Fastener, Mount, PlanContext, ScreenArray, Wall } from '../job'
import { mountModels, type PlateUse, type Position, type Strip } from '../mount'
import type { Point } from '../geometry'
import { isFramed, wallFor, type Member } from '../survey'
import type { Text } from '../units'
import type { LoadCase } from './cases'
import { chooseScrew } from './displayScrew'
import { driveOf } from './drive'
import {
  carriedFindings, handFindings, loadedEdgeFindings, loadFindings, screwFindings, spacerFindings, unheldFindings,
  useFindings, windFindings,
} from './findings'
import { bearerOf, judgePositions, type Judged, type Judging, type Judgement } from './judge'
import type { Fixing, FixingCase } from './fixing'
import { partFindings } from './parts'
import { railUse } from './rail'
import { seatFindings } from './seat'
import { strengthOf, type Bearer } from './strength'
import { surroundingsIn } from './surroundings'
import { wireFindings, wireUse } from './wire'

export * from '../fastening'
export * from './cases'
export * from './curves'
export * from './displayScrew'
export * from './group'
export * from './rail'
export * from './strength'
export * from './surroundings'
export * from './testPull'
export * from './wind'
export { wireForce, type WireUse } from './wire'
export { bearerOf }
export type { Fixing, FixingCase } from './fixing'
export type { Drive } from './drive'

/**
 * What the fix stage decides for one array: its fixings, and the loads of every screen whose plate is held, by its id.
 */
export interface Fixed { fixings: Fixing[], loads: Map<string, PlateUse[]>, findings: Finding[] }

interface Pair { display: Display, mount: Mount, positions: Position[] }

/** Each pair of display and mount of an array, once, with the screens that it holds. */
function pairsOf(array: ScreenArray, positions: Position[], { displays, mounts }: PlanContext['catalogue']): Pair[] {
  const mountOf = mountModels(array, { displays, mounts, fasteners: [] })
  const pairs = new Map<string, Pair>()
  for (const position of positions) {
    const [display, mount] = [displays.find(({ id }) => id === position.model), mountOf(position)]
    if (!display || !mount) continue
    const key = `${display.id} ${mount.id}`
    const pair = pairs.get(key) ?? { display, mount, positions: [] }
    pair.positions.push(position)
    pairs.set(key, pair)
  }
  return [...pairs.values()]
}

/** Each case at the worst fastener of some screens, the one that governs first. */
function casesOf(judgements: Judgement[]): FixingCase[] {
  const worst = new Map<LoadCase, Judged>()
  for (const { cases } of judgements) {
    for (const judged of cases) {
      const before = worst.get(judged.case)
      if (!before || (judged.utilisation ?? Infinity) > (before.utilisation ?? Infinity)) worst.set(judged.case, judged)
    }
  }
  return [...worst.values()]
    .sort((a, b) => (b.utilisation ?? 0) - (a.utilisation ?? 0))
    .map(({ case: name, hole, told, utilisation, figures }): FixingCase => ({
      case: name,
      hole,
      name: told,
      ...figures(),
      ...(utilisation !== undefined && { utilisation }),
    }))
}

function fixPair(
  { display, mount, positions }: Pair, judgements: Judgement[], judging: Judging, { catalogue, site }: PlanContext,
): Fixing {
  const { array, wall, fastener, bearer, carrier, strips } = judging
  const kit = catalogue.screwKits?.find(({ thread }) => thread === display.vesa.thread)
  const mine = judgements.filter(({ position }) => positions.includes(position))
  const wire = wireUse(judging, { display, mount, positions })
  return {
    display: display.id,
    mount: mount.id,
    count: positions.length,
    waiting: positions.length - mine.length,
    bearer: bearer(mount),
    standOff: carrier?.thickness ?? 0,
    cases: casesOf(mine),
    screw: chooseScrew(display, mount.bracket, kit, array.spacer),
    ...(fastener && { drive: driveOf(fastener, wall, bearer(mount), site?.units) }),
    ...carrier?.kind === 'rail' && mine.length > 0
    && { rail: railUse(carrier, strips, mine.flatMap(({ bolts }) => bolts)) },
    ...(wire && { wire }),
  }
}

/** Why a fastener's strength is not known, in any hole of the array. */
function whyUnknown(fastener: Fastener, judging: Judging, { mount, positions }: Pair): Text | undefined {
  const { wall, rules } = judging
  const holes = positions.flatMap(({ holes = [] }) => holes)
  for (const around of isFramed(wall) || holes.length === 0 ? [undefined] : holes.map(judging.around)) {
    const known = strengthOf(fastener, wall, judging.bearer(mount), { rules, wind: false, around })
    if (!known.known) return known.why
  }
  return undefined
}

/** What is said of one pair of display and mount: of its fasteners, of what carries it, and of its screws. */
function pairFindings(judging: Judging, pair: Pair, fixing: Fixing, judgements: Judgement[]): Finding[] {
  const { array, fastener, carrier } = judging
  const { display, mount, positions } = pair
  const bolts = judgements.filter(({ position }) => positions.includes(position)).flatMap(({ bolts }) => bolts)
  return [
    ...fastener ? useFindings(array, fixing, fastener, mount, whyUnknown(fastener, judging, pair)) : [],
    ...carriedFindings(array, fixing, carrier, bolts),
    ...spacerFindings(array, display),
    ...screwFindings(array, fixing, display.name),
  ]
}

/** All that is said of what holds an array. */
function findingsOf(
  judging: Judging, positions: Position[], pairs: Pair[], fixings: Fixing[],
  { judgements, unheld }: ReturnType<typeof judgePositions>,
): Finding[] {
  const { array, wall, fastener, rules } = judging
  const mounts = pairs.map(({ mount }) => mount)
  return [
    ...unheldFindings(array, unheld),
    ...handFindings(array, positions, wall, rules),
    ...windFindings(array, wall),
    ...loadFindings(array, mounts, wall.structure.kind),
    ...partFindings(judging, pairs),
    ...fastener ? seatFindings(judging, fastener, positions, mounts) : [],
    ...loadedEdgeFindings(array, judgements),
    ...wireFindings(judging, pairs),
    ...fixings.flatMap((fixing, n) => pairFindings(judging, pairs[n]!, fixing, judgements)),
  ]
}

/**
 * Works out what holds an array: screws into the displays, and what each load case does to every fastener in the
 * wall. A screen whose plate Mount does not hold has no loads: it waits.
 *
 * @param around the rails or boards that its plates stand on; the wall's members; and all holes of the wall, of
 *   other arrays too: anchors near one another weaken each other
 */
export function fix(
  array: ScreenArray,
  positions: Position[],
  document: Wall,
  context: PlanContext,
  {
    strips = [],
    members = [],
    everyHole = positions.flatMap(({ holes = [] }) => holes),
  }: { strips?: Strip[], members?: Member[], everyHole?: Point[] } = {},
): Fixed {
  const fastener = context.catalogue.fasteners.find(({ id }) => id === array.fastener)
  const wall = wallFor(document, fastener?.base)
  const pairs = pairsOf(array, positions, context.catalogue)
  const carrier: Carrier | undefined = isFramed(wall) ? array.carrier : undefined
  const judging: Judging = {
    array,
    wall,
    fastener,
    rules: context.rules,
    carrier,
    strips,
    members,
    around: surroundingsIn(wall, everyHole),
    bearer: mount => (carrier ? carrierBearer(carrier) : bearerOf(mount, array)),
  }
  const judged = judgePositions(pairs, judging)
  const { judgements } = judged
  const fixings = pairs.map(pair => fixPair(pair, judgements, judging, context))
  return {
    fixings,
    loads: new Map(
      judgements.map(({ position, cases }) => [
        position.id,
        cases.map(({ case: name, hole, load, shear, utilisation }): PlateUse => ({
          case: name,
          fastener: hole,
          shear,
          tension: load.tension,
          ...(utilisation !== undefined && { utilisation }),
        })),
      ]),
    ),
    findings: findingsOf(judging, positions, pairs, fixings, judged),
  }
}

const carrierBearer = ({ kind, thickness, web }: Carrier): Bearer | undefined => {
  const bears = kind === 'board' ? thickness : web
  return bears === undefined ? undefined : { kind, thickness: bears }
}
