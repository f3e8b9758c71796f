import { variablesOf, type Solved } from './program'
import type { Adjuster, TrueScreen } from './screen'
import { deviation, type Reading } from './seam'

/** Screws are turned by eighths; a slide has no screw and is set by a rule, to a tenth, mm. */
const EIGHTH = 1 / 8
const SLIDE = 0.1

/** How fine an adjuster can be set, mm. */
export const stepOf = ({ perTurn }: { perTurn?: number }): number => perTurn === undefined ? SLIDE : perTurn * EIGHTH

/** Adjusters that move a screen in the plane of the wall, and those that move its face: no reading hangs on both. */
const GROUPS: Adjuster[][] = [
  ['height', 'height-left', 'height-right', 'lateral'],
  ['depth-top-left', 'depth-top-right', 'depth-bottom-left'],
]
const MOST_SWEEPS = 40
/**
 * What of the tolerance rounding may use; the rest is for what the gauge is out, and for what adjusters slip back. Of
 * 100 walls of 3 × 3 hung 3 mm out, 95 close in two rounds so, 88 where rounding may use half.
 */
const SHARE = 1 / 3
/** Sums that differ by less are alike: a millionth of a micrometre. */
const ALIKE = 1e-9

/** An adjuster in its steps: where the exact answer has it, where it is, and how far it moves each row. */
interface Knob {
  screen: string
  adjuster: Adjuster
  step: number
  least: number
  most: number
  exact: number
  at: number
  rows: Int32Array
  effects: Float64Array
}

/**
 * What has to hold of a reading or of a gap that nobody read: where it is, and what it may be without counting, mm.
 */
interface Row {
  value: number
  least: number
  most: number
  effects: { screen: string, adjuster: Adjuster, by: number }[]
}

/** Screens that share a seam, and each by itself. */
function neighbours(screens: TrueScreen[]): string[][] {
  const at = new Map(screens.map(screen => [`${screen.row} ${screen.column}`, screen.name]))
  return screens.flatMap(({ name, row, column }) => {
    const beside = [at.get(`${row} ${column + 1}`), at.get(`${row + 1} ${column}`)]
    return [[name], ...beside.flatMap(other => other ? [[name, other]] : [])]
  })
}

/** Whether what follows from a screen's adjusters is within its own limits: its fourth depth screw, and its roll. */
function limitsOf({ travels, span, roll }: TrueScreen): (mm: (adjuster: Adjuster) => number) => boolean {
  const fourth = travels.find(({ adjuster }) => adjuster === 'depth-bottom-right')
  const [least, most] = [Math.min(fourth?.least ?? 0, 0), Math.max(fourth?.most ?? 0, 0)]
  return (mm) => {
    const follows = fourth ? mm('depth-top-right') + mm('depth-bottom-left') - mm('depth-top-left') : 0
    const rolled = span === undefined ? 0 : Math.abs(mm('height-right') - mm('height-left'))
    return follows >= least - ALIKE && follows <= most + ALIKE && rolled <= roll * (span ?? 0) + ALIKE
  }
}

const rowsOf = (readings: Reading[], unread: Reading[], tolerance: number): Row[] => [
  ...readings.map(reading => ({
    value: deviation(reading, reading.value), least: -tolerance, most: tolerance,
    effects: reading.effects.map(({ by, ...of }) => ({ ...of, by: by * reading.weight })),
  })),
  ...unread.map(({ value, effects }) => ({ value, least: Math.min(value, 0), most: Infinity, effects })),
]

function knobsOf(rows: Row[], screens: TrueScreen[], moved: Map<string, number>): Knob[] {
  const hangs = new Map<string, { row: number, by: number }[]>()
  rows.forEach(({ effects }, row) => {
    for (const { screen, adjuster, by } of effects) {
      const key = `${screen} ${adjuster}`
      hangs.set(key, [...hangs.get(key) ?? [], { row, by }])
    }
  })
  return variablesOf(screens).map(({ screen, adjuster, least, most, perTurn }): Knob => {
    const step = stepOf({ ...perTurn !== undefined && { perTurn } })
    const on = hangs.get(`${screen} ${adjuster}`) ?? []
    return {
      screen, adjuster, step, at: 0, exact: (moved.get(`${screen} ${adjuster}`) ?? 0) / step,
      least: Math.ceil(Math.min(least, 0) / step - ALIKE), most: Math.floor(Math.max(most, 0) / step + ALIKE),
      rows: Int32Array.from(on, ({ row }) => row), effects: Float64Array.from(on, ({ by }) => by * step),
    }
  })
}

/** Adjusters that are tried together, and the rows that hang on them. */
interface Part { names: string[], knobs: Knob[], rows: Int32Array, tried: number }

/** How an answer counts: first what is past what is allowed, then how far it is from the exact answer. */
interface Cost { past: number, far: number }

const isLess = (a: Cost, b: Cost): boolean => a.past < b.past - ALIKE * ALIKE
  || (Math.abs(a.past - b.past) <= ALIKE * ALIKE && a.far < b.far - ALIKE)

/** The steps of the adjusters as they are tried. */
class Steps {
  private readonly value: Float64Array
  /** When each row was changed last: what nothing has changed about since it was tried is not tried again. */
  private readonly changed: Int32Array
  private moment = 0
  private readonly knobOf: Map<string, Knob>
  private readonly within: Map<string, ReturnType<typeof limitsOf>>

  constructor(private readonly rows: Row[], readonly knobs: Knob[], private readonly screens: TrueScreen[]) {
    this.value = Float64Array.from(rows, ({ value }) => value)
    this.changed = new Int32Array(rows.length)
    this.knobOf = new Map(knobs.map(knob => [`${knob.screen} ${knob.adjuster}`, knob]))
    this.within = new Map(screens.map(screen => [screen.name, limitsOf(screen)]))
  }

  private turn(knob: Knob, by: number): void {
    knob.at += by
    const { rows, effects } = knob
    for (let n = 0; n < rows.length; n++) this.value[rows[n]!]! += effects[n]! * by
  }

  private isAllowed(name: string): boolean {
    return this.within.get(name)!((adjuster) => {
      const knob = this.knobOf.get(`${name} ${adjuster}`)
      return knob ? knob.at * knob.step : 0
    })
  }

  /** Sets every adjuster to the step that is nearest to the exact answer, within its travel and its screen's limits. */
  nearest(): void {
    for (const knob of this.knobs) this.turn(knob, Math.max(knob.least, Math.min(knob.most, Math.round(knob.exact))))
    for (const { name } of this.screens) {
      const mine = this.knobs.filter(({ screen }) => screen === name)
      // What was rounded past a limit of the screen goes back towards where it was.
      for (let tries = 0; !this.isAllowed(name) && tries < 64; tries++) {
        for (const knob of mine) if (knob.at !== 0) this.turn(knob, -Math.sign(knob.at))
      }
    }
  }

  /** What counts of some rows and adjusters; past by its fourth power, so that the worst counts most. */
  private cost({ knobs, rows }: Pick<Part, 'knobs' | 'rows'>): Cost {
    let [past, far] = [0, 0]
    for (let n = 0; n < rows.length; n++) {
      const { least, most } = this.rows[rows[n]!]!
      const value = this.value[rows[n]!]!
      const by = Math.max(least - value, value - most, 0)
      past += by ** 4
    }
    for (const { at, exact } of knobs) far += Math.abs(at - exact)
    return { past, far }
  }

  /** Whether all that has to hold does. */
  get holds(): boolean {
    return this.rows.every(({ least, most }, n) => this.value[n]! >= least - ALIKE && this.value[n]! <= most + ALIKE)
  }

  /** The best of all that some adjusters can do by a step each; tried by going through them one after the other. */
  improve(part: Part): boolean {
    const { names, knobs } = part
    if (part.rows.every(n => this.changed[n]! <= part.tried)) return false
    let best = { cost: this.cost(part), by: undefined as number[] | undefined }
    const by = knobs.map(() => 0)
    const tryFrom = (n: number): void => {
      const knob = knobs[n]
      if (!knob) {
        const cost = this.cost(part)
        if (isLess(cost, best.cost) && names.every(name => this.isAllowed(name))) best = { cost, by: [...by] }
        return
      }
      for (let step = -1; step <= 1; step++) {
        if (knob.at + step < knob.least || knob.at + step > knob.most) continue
        if (step !== 0) this.turn(knob, step)
        by[n] = step
        tryFrom(n + 1)
        if (step !== 0) this.turn(knob, -step)
      }
      by[n] = 0
    }
    tryFrom(0)
    part.tried = this.moment
    if (!best.by) return false
    this.moment++
    best.by.forEach((step, n) => {
      if (step === 0) return
      this.turn(knobs[n]!, step)
      for (const row of knobs[n]!.rows) this.changed[row] = this.moment
    })
    part.tried = this.moment - 1
    return true
  }
}

function partsOf(knobs: Knob[], screens: TrueScreen[]): Part[] {
  const parts = neighbours(screens).flatMap(names => GROUPS.map(group => ({
    names, knobs: knobs.filter(({ screen, adjuster }) => names.includes(screen) && group.includes(adjuster)),
  })))
  return parts.filter(({ knobs }) => knobs.length > 0).map(({ names, knobs }) =>
    ({ names, knobs, tried: -1, rows: Int32Array.from(new Set(knobs.flatMap(({ rows }) => [...rows]))) }))
}

/**
 * The answer in steps that can be turned: the nearest to the exact one. Only where that leaves a reading off its target
 * by more than rounding may, or a gap that was not read below nothing, adjusters go a step farther than that: screen by
 * screen and for two at a time that share a seam, whatever of one step less, none or one more of each leaves least past
 * what is allowed, the worst counting for almost all, and of those the nearest. Never outside the travel that is left.
 *
 * @param unread gaps that were not read, as they are taken to be
 * @param tolerance how far a reading may stay off its target, mm; rounding uses a third of it
 */
export function roundedTo(
  readings: Reading[], unread: Reading[], screens: TrueScreen[], { moved, largest }: Solved, tolerance: number,
): Map<string, number> {
  const rows = rowsOf(readings, unread, Math.max(largest, tolerance * SHARE))
  const knobs = knobsOf(rows, screens, moved)
  const steps = new Steps(rows, knobs, screens)
  steps.nearest()
  if (!steps.holds) {
    const parts = partsOf(knobs, screens)
    for (let sweep = 0, better = true; better && sweep < MOST_SWEEPS; sweep++) {
      better = false
      for (const part of parts) better = steps.improve(part) || better
    }
  }
  return new Map(knobs.map(({ screen, adjuster, at, step }) => [`${screen} ${adjuster}`, at * step]))
}
