import { deviation, type Reading } from './seam'
import { variablesOf, type Solved } from './program'
import type { Adjuster, TrueScreen } from './screen'

/** Screws are turned by eighths; a slide has no screw and is set by a rule, to a tenth, mm. */
const EIGHTH = 1 / 8
const SLIDE = 0.1

/** How fine an adjuster can be set, mm. */
export const stepOf = ({ perTurn }: { perTurn?: number }): number => perTurn === undefined ? SLIDE : perTurn * EIGHTH

/** Adjusters that move a screen in the plane of the wall, and those that move its face: no reading hangs on both. */
const GROUPS: Adjuster[][] = [['height', 'height-left', 'height-right', 'lateral'], ['depth-top-left', 'depth-top-right', 'depth-bottom-left']]

interface Knob { screen: string, adjuster: Adjuster, step: number, least: number, most: number, at: number, readings: Int32Array, effects: Float64Array }

/**
 * Deviations count by their fourth power: the largest counts most, and those that the gauge's own error may push over
 * the tolerance count too.
 */
function weightOf(off: number): number {
  const square = off * off
  return square * square
}
const MOST_SWEEPS = 40

/** Screens that share a seam, and each by itself. */
function neighbours(screens: TrueScreen[]): string[][] {
  const at = new Map(screens.map(screen => [`${screen.row} ${screen.column}`, screen.name]))
  return screens.flatMap(({ name, row, column }) => [[name], ...[at.get(`${row} ${column + 1}`), at.get(`${row + 1} ${column}`)].flatMap(other => other ? [[name, other]] : [])])
}

/** Whether what follows from a screen's adjusters is within its own limits: its fourth depth screw, and its roll. */
function limitsOf({ travels, span, roll }: TrueScreen): (mm: (adjuster: Adjuster) => number) => boolean {
  const fourth = travels.find(({ adjuster }) => adjuster === 'depth-bottom-right')
  const [least, most] = [Math.min(fourth?.least ?? 0, 0), Math.max(fourth?.most ?? 0, 0)]
  return (mm) => {
    const follows = fourth ? mm('depth-top-right') + mm('depth-bottom-left') - mm('depth-top-left') : 0
    return follows >= least - 1e-9 && follows <= most + 1e-9 && (span === undefined || Math.abs(mm('height-right') - mm('height-left')) <= roll * span + 1e-9)
  }
}

/**
 * The answer in steps that can be turned: the nearest ones first; then, screen by screen and for two at a time that
 * share a seam, whatever of one step less, none or one more of each of their adjusters leaves the deviations
 * smallest, the largest counting for almost all, until nothing is better. Never outside the travel that is left.
 */
export function roundedTo(readings: Reading[], screens: TrueScreen[], { moved }: Solved): Map<string, number> {
  const hangs = new Map<string, { reading: number, by: number }[]>()
  readings.forEach((reading, n) => {
    for (const { screen, adjuster, by } of reading.effects) {
      const key = `${screen} ${adjuster}`
      hangs.set(key, [...hangs.get(key) ?? [], { reading: n, by: by * reading.weight }])
    }
  })
  const knobs = variablesOf(screens).map(({ screen, adjuster, least, most, perTurn }): Knob => {
    const step = stepOf({ ...perTurn !== undefined && { perTurn } })
    const on = hangs.get(`${screen} ${adjuster}`) ?? []
    return { screen, adjuster, step, least: Math.ceil(Math.min(least, 0) / step - 1e-9), most: Math.floor(Math.max(most, 0) / step + 1e-9), at: 0, readings: Int32Array.from(on, ({ reading }) => reading), effects: Float64Array.from(on, ({ by }) => by * step) }
  })
  const knobOf = new Map(knobs.map(knob => [`${knob.screen} ${knob.adjuster}`, knob]))
  const off = Float64Array.from(readings, reading => deviation(reading, reading.value))
  const turn = (knob: Knob, by: number) => {
    knob.at += by
    const { readings, effects } = knob
    for (let n = 0; n < readings.length; n++) off[readings[n]!]! += effects[n]! * by
  }
  const allowed = new Map(screens.map((screen) => {
    const within = limitsOf(screen)
    return [screen.name, () => within((adjuster) => {
      const knob = knobOf.get(`${screen.name} ${adjuster}`)
      return knob ? knob.at * knob.step : 0
    })]
  }))
  for (const knob of knobs) turn(knob, Math.max(knob.least, Math.min(knob.most, Math.round((moved.get(`${knob.screen} ${knob.adjuster}`) ?? 0) / knob.step))))
  for (const { name } of screens) {
    // What was rounded past a limit of the screen goes back towards where it was.
    for (let tries = 0; !allowed.get(name)!() && tries < 64; tries++) for (const knob of knobs) if (knob.screen === name && knob.at !== 0) turn(knob, -Math.sign(knob.at))
  }
  const together = neighbours(screens).flatMap(names => GROUPS.map(group => ({ names, knobs: knobs.filter(({ screen, adjuster }) => names.includes(screen) && group.includes(adjuster)) })))
    .filter(({ knobs }) => knobs.length > 0).map(each => ({ ...each, touched: Int32Array.from(new Set(each.knobs.flatMap(({ readings }) => [...readings]))), tried: -1 }))
  /** When each reading was changed last: what nothing has changed about since it was tried is not tried again. */
  const changed = new Int32Array(readings.length)
  let moment = 0
  /** The best of all that some knobs can do by a step each; tried by going through them one after the other. */
  function improve(part: typeof together[number]): boolean {
    const { names, knobs: mine, touched } = part
    if (touched.every(n => changed[n]! <= part.tried)) return false
    const cost = () => {
      let sum = 0
      for (let n = 0; n < touched.length; n++) sum += weightOf(off[touched[n]!]!)
      return sum
    }
    const now = cost()
    let best = { cost: now * (1 - 1e-9) - 1e-300, by: undefined as number[] | undefined }
    const by = mine.map(() => 0)
    const tryFrom = (n: number) => {
      if (n === mine.length) {
        const then = cost()
        if (then < best.cost && names.every(name => allowed.get(name)!())) best = { cost: then, by: [...by] }
        return
      }
      const knob = mine[n]!
      for (let step = -1; step <= 1; step++) {
        if (knob.at + step < knob.least || knob.at + step > knob.most) continue
        if (step !== 0) turn(knob, step)
        by[n] = step
        tryFrom(n + 1)
        if (step !== 0) turn(knob, -step)
      }
      by[n] = 0
    }
    tryFrom(0)
    part.tried = moment
    if (!best.by) return false
    moment++
    best.by.forEach((step, n) => {
      if (step === 0) return
      turn(mine[n]!, step)
      for (const reading of mine[n]!.readings) changed[reading] = moment
    })
    part.tried = moment - 1
    return true
  }
  for (let sweep = 0, better = true; better && sweep < MOST_SWEEPS; sweep++) {
    better = false
    for (const part of together) better = improve(part) || better
  }
  return new Map(knobs.map(({ screen, adjuster, at, step }) => [`${screen} ${adjuster}`, at * step]))
}
