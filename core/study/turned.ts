import { readingsOf, type Adjuster, type TrueScreen } from '../true'
import { stepOf } from '../true/rounding'

/** An adjuster of a screen: how far it goes from where it is planned, and how fine it can be set, mm. */
export interface Knob {
  least: number
  most: number
  step: number
  rows: Int32Array
  effects: Float64Array
  curve: number
}

/** An end of a seam: which screens, where on each, and whether the seam is upright. */
interface Row {
  a: number
  b: number
  upright: boolean
  ax: number
  ay: number
  bx: number
  by: number
}

/** Seams that one set of adjusters closes: the gaps, or the steps between faces. */
export interface System {
  rows: Row[]
  knobs: Knob[]
  gap: Float64Array
}

/** A screen as it is turned: its size, and how far its case is out of square and rolled as it is hung, ± mm. */
export interface Turned {
  width: number
  height: number
  square: number
}

/** Everything that is turned at a wall: the gaps in its plane, and the steps where its faces were surveyed. */
export interface Turning {
  screens: Turned[]
  plane: System
  faces?: System
}

const ENDS = { upright: ['top', 'bottom'], level: ['left', 'right'] } as const
/** Adjusters that are left out: the fourth depth screw follows from the three others. */
const FOLLOWS: Adjuster[] = ['depth-bottom-right']

/** Every end of every seam, the left or upper screen first. */
function endsOf(screens: TrueScreen[]) {
  const at = new Map(screens.map(screen => [`${screen.row} ${screen.column}`, screen]))
  return screens.flatMap(a =>
    (
      [
        ['upright', 0, 1],
        ['level', 1, 0],
      ] as const
    ).flatMap(([way, down, across]) => {
      const b = at.get(`${a.row + down} ${a.column + across}`)
      return b ? ENDS[way].map(end => ({ a, b, end, upright: way === 'upright' })) : []
    }),
  )
}

function systemOf(screens: TrueScreen[], kind: 'gap' | 'step', target: { x: number, y: number }): System {
  const index = new Map(screens.map((screen, n) => [screen.name, n]))
  const ends = endsOf(screens)
  const entries = ends.map(({ a, b, end }) => ({ between: [a.name, b.name], end, mm: 0 }))
  const readings = readingsOf(kind === 'gap' ? { gaps: entries } : { steps: entries }, screens, target)
  const on = new Map<string, { row: number, by: number }[]>()
  readings.forEach(({ effects }, row) =>
    effects.forEach(({ screen, adjuster, by }) => {
      const key = `${screen} ${adjuster}`
      on.set(key, [...(on.get(key) ?? []), { row, by }])
    }),
  )
  const knobs = screens.flatMap(({ name, travels }) =>
    travels.flatMap(({ adjuster, least, most, perTurn }): Knob[] => {
      const found = on.get(`${name} ${adjuster}`)
      if (!found || FOLLOWS.includes(adjuster)) return []
      const effects = Float64Array.from(found, ({ by }) => by)
      return [
        {
          least,
          most,
          step: stepOf({ ...(perTurn !== undefined && { perTurn }) }),
          rows: Int32Array.from(found, ({ row }) => row),
          effects,
          curve: effects.reduce((sum, by) => sum + by * by, 0),
        },
      ]
    }),
  )
  const rows = ends.map(({ a, b, end, upright }): Row => {
    const sign = end === 'top' || end === 'right' ? 1 : -1
    const places = upright
      ? { ax: a.width / 2, ay: (sign * a.height) / 2, bx: -b.width / 2, by: (sign * b.height) / 2 }
      : { ax: (sign * a.width) / 2, ay: -a.height / 2, bx: (sign * b.width) / 2, by: b.height / 2 }
    return { a: index.get(a.name)!, b: index.get(b.name)!, upright, ...places }
  })
  return { rows, knobs, gap: Float64Array.from(rows, ({ upright }) => (upright ? target.x : target.y)) }
}

/**
 * What is turned at an array.
 *
 * @param square of each screen, how far its case may be out of square and rolled, ± mm
 */
export function turningOf(
  screens: TrueScreen[],
  square: number[],
  target: { x: number, y: number },
  facesKnown: boolean,
): Turning {
  return {
    screens: screens.map(({ width, height }, n) => ({ width, height, square: square[n]! })),
    plane: systemOf(screens, 'gap', target),
    ...(facesKnown && { faces: systemOf(screens, 'step', target) }),
  }
}

/**
 * Where the screens of a drawn wall hang, mm: aside, up, out, longer and taller than on the sheet, racked and rolled.
 */
export interface Hung {
  x: Float64Array
  y: Float64Array
  out: Float64Array
  long: Float64Array
  tall: Float64Array
  rack: Float64Array
  roll: Float64Array
}

/** How far each end of a seam is off its target before anything is turned, mm. */
export function planeOff({ plane, screens }: Turning, hung: Hung, into: Float64Array): void {
  plane.rows.forEach(({ a, b, upright, ax, ay, bx, by }, n) => {
    const [rollA, rollB] = [hung.roll[a]! / screens[a]!.width, hung.roll[b]! / screens[b]!.width]
    into[n] = upright
      ? hung.x[b]!
      - rollB * by
      + (hung.rack[b]! * by) / screens[b]!.height
      - (hung.x[a]! - rollA * ay + (hung.rack[a]! * ay) / screens[a]!.height)
      - (hung.long[a]! + hung.long[b]!) / 2
      : hung.y[a]! + rollA * ax - (hung.y[b]! + rollB * bx) - (hung.tall[a]! + hung.tall[b]!) / 2
  })
}

/** The same of the steps between faces. */
export function facesOff({ rows }: System, hung: Hung, into: Float64Array): void {
  rows.forEach(({ a, b }, n) => {
    into[n] = hung.out[b]! - hung.out[a]!
  })
}

/** How far a crew leaves a reading off, as a share of the tolerance, so that what slips and is misread has room. */
const SHARE = 1 / 3
const [SWEEPS, PER_LINE, DONE, BEYOND] = [20, 8, 0.004, 1.6]
const FINE_SWEEPS = 3
/** What of the tolerance every seam must read within for nothing to be turned. */
const ALONE = 2 / 3

/** How far a reading is past what is free, mm; what is left of it counts, and not which way. */
const past = (off: number, free: number) => (off > free ? off - free : off < -free ? off + free : 0)

/** A round of turning as it is worked out: what is read, where adjusters stand, and how far each is turned, mm. */
interface Round {
  read: Float64Array
  at: Float64Array
  by: Float64Array
  free: number
}

function turn({ rows, effects }: Knob, k: number, mm: number, { read, by }: Round): void {
  by[k]! += mm
  for (let n = 0; n < rows.length; n++) read[rows[n]!]! += effects[n]! * mm
}

/** Drives each adjuster in turn by what its own seams ask for, within its travel; tells the farthest that one went. */
function drive(knobs: Knob[], back: boolean, round: Round): number {
  const { read, at, by, free } = round
  let moved = 0
  for (let i = 0; i < knobs.length; i++) {
    const k = back ? knobs.length - 1 - i : i
    const { rows, effects, curve, least, most } = knobs[k]!
    let slope = 0
    for (let n = 0; n < rows.length; n++) slope += effects[n]! * past(read[rows[n]!]!, free)
    if (slope === 0) continue
    const stands = at[k]! + by[k]!
    const mm = Math.max(least, Math.min(most, stands - (BEYOND * slope) / curve)) - stands
    if (mm === 0) continue
    turn(knobs[k]!, k, mm, round)
    moved = Math.max(moved, Math.abs(mm))
  }
  return moved
}

/** What a step more or less of an adjuster takes off what is past what is free, squared. */
function gainOf({ rows, effects }: Knob, mm: number, { read, free }: Round): number {
  let sum = 0
  for (let n = 0; n < rows.length; n++) {
    const off = read[rows[n]!]!
    const [now, then] = [past(off, free), past(off + effects[n]! * mm, free)]
    sum += now * now - then * then
  }
  return sum
}

/** In steps that can be set: the nearest, and then whichever step more or less leaves less past what is free. */
function inSteps(knobs: Knob[], round: Round): void {
  const { at, by } = round
  for (let k = 0; k < knobs.length; k++) {
    const { step, least, most } = knobs[k]!
    const [low, high] = [Math.ceil((least - at[k]!) / step - 1e-9), Math.floor((most - at[k]!) / step + 1e-9)]
    const mm = Math.max(low, Math.min(high, Math.round(by[k]! / step))) * step - by[k]!
    if (mm !== 0) turn(knobs[k]!, k, mm, round)
  }
  for (let sweep = 0, better = true; better && sweep < FINE_SWEEPS; sweep++) {
    better = false
    for (let k = 0; k < knobs.length; k++) {
      const knob = knobs[k]!
      for (const mm of [knob.step, -knob.step]) {
        const stands = at[k]! + by[k]! + mm
        if (stands < knob.least - 1e-9 || stands > knob.most + 1e-9 || gainOf(knob, mm, round) <= 1e-9) continue
        turn(knob, k, mm, round)
        better = true
      }
    }
  }
}

/** What is drawn of the rounds of turning: how each adjuster slips, and how each gauge reads, one σ. */
export interface Slips {
  slip: Float64Array[]
  gauge: Float64Array[]
}

/** How far an adjuster slips back and a reading is out, one σ, and what a seam may be off, mm. */
export interface Crew {
  slip: number
  gauge: number
  tolerance: number
}

/**
 * How far the ends of seams are off once a crew has read and turned in two rounds.
 *
 * @param off how far they are off before; receives how far they are off then
 */
export function turnedTwice(system: System, off: Float64Array, drawn: Slips, { slip, gauge, tolerance }: Crew): void {
  const { knobs } = system
  if (knobs.length === 0) return
  const round: Round = {
    at: new Float64Array(knobs.length),
    by: new Float64Array(knobs.length),
    read: new Float64Array(off.length),
    free: tolerance * SHARE,
  }
  // As many as it takes for what one screen is moved by to reach the others.
  const sweeps = SWEEPS + PER_LINE * Math.ceil(Math.sqrt(knobs.length / 3))
  // What the first round tells of a seam counts in the second, the less the more adjusters slip.
  const kept = gauge > 0 ? gauge ** 2 / (2 * gauge ** 2 + 2 * slip ** 2) : 0
  for (let n = 0; n < 2; n++) {
    let worst = 0
    for (let row = 0; row < off.length; row++) {
      const reading = off[row]! + gauge * drawn.gauge[n]![row]!
      round.read[row] = n === 0 ? reading : kept * round.read[row]! + (1 - kept) * reading
      worst = Math.max(worst, Math.abs(round.read[row]!))
    }
    // A wall that reads well within its tolerance is left alone.
    if (worst <= tolerance * ALONE) return
    round.by.fill(0)
    for (let sweep = 0, moved = 1; sweep < sweeps && moved > DONE; sweep++) moved = drive(knobs, sweep % 2 === 1, round)
    inSteps(knobs, round)
    for (let k = 0; k < knobs.length; k++) {
      if (Math.abs(round.by[k]!) < 1e-9) continue
      const moved = round.by[k]! + slip * drawn.slip[n]![k]!
      round.at[k]! += moved
      const { rows, effects } = knobs[k]!
      for (let row = 0; row < rows.length; row++) off[rows[row]!]! += effects[row]! * moved
    }
  }
}

/** The worst of some seam ends, and whether cases would lie over one another, mm. */
export function worstOf({ gap }: System, off: Float64Array, isGap: boolean): { worst: number, overlaps: boolean } {
  let [worst, overlaps] = [0, false]
  for (let n = 0; n < off.length; n++) {
    worst = Math.max(worst, Math.abs(off[n]!))
    if (isGap && gap[n]! + off[n]! < -1e-12) overlaps = true
  }
  return { worst, overlaps }
}
