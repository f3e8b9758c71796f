import { after, deviation, type Reading } from './seam'
import type { Adjuster, TrueScreen, Travel } from './screen'

/** What a linear program was found to be: whether it has a best answer, and each variable in it. */
export interface LinearAnswer { optimal: boolean, value: (variable: string) => number }
/** Solves a linear program in the LP format; where it runs decides who does it. */
export type LinearSolver = (program: string) => LinearAnswer

/** What HiGHS, as WebAssembly, answers of a program. */
interface HighsAnswer { Status: string, Columns: Record<string, object> }

/** HiGHS, loaded, as the solver of linear programs. */
export const linearSolverOf = (highs: { solve: (program: string) => HighsAnswer }): LinearSolver => (program) => {
  const { Status, Columns } = highs.solve(program)
  const value = (name: string) => {
    const column = Columns[name] as { Primal?: number } | undefined
    return column?.Primal ?? 0
  }
  return { optimal: Status === 'Optimal', value }
}

/**
 * An adjuster that is calculated for itself; the fourth depth screw follows from the other three, which span its plane.
 */
export interface Variable extends Travel { screen: string, name: string }

const FOLLOWS: Adjuster = 'depth-bottom-right'

/** The variables of an array: every adjuster of every screen but the fourth depth screws. */
export const variablesOf = (screens: TrueScreen[]): Variable[] =>
  screens.flatMap(({ name, travels }, s) =>
    travels.flatMap((travel, t) =>
      travel.adjuster === FOLLOWS ? [] : [{ ...travel, screen: name, name: `a${s}_${t}` }],
    ),
  )

const term = (by: number, name: string) => `${by < 0 ? '-' : '+'} ${Math.abs(by).toPrecision(12)} ${name}`
const PER_LINE = 8
/** A sum, broken into lines as the format wants it. */
const sumOf = (terms: string[]) => terms.map((each, n) => n > 0 && n % PER_LINE === 0 ? `\n  ${each}` : each).join(' ')

/** The fourth depth screws, each by the three that it follows from. */
function fourthsOf(
  screens: TrueScreen[],
  variables: Variable[],
): { name: string, terms: { by: number, of: string }[] }[] {
  return screens.flatMap(({ name, travels }, s) => {
    const of = (adjuster: Adjuster) => variables.find(each => each.screen === name && each.adjuster === adjuster)?.name
    const [tl, tr, bl] = [of('depth-top-left'), of('depth-top-right'), of('depth-bottom-left')]
    return tl && tr && bl && travels.some(({ adjuster }) => adjuster === FOLLOWS)
      ? [
          {
            name: `f${s}`,
            terms: [
              { by: 1, of: tr },
              { by: 1, of: bl },
              { by: -1, of: tl },
            ],
          },
        ]
      : []
  })
}

interface Row { name: string, terms: string[], least?: number, most?: number }

/**
 * What holds whatever is minimised: the fourth depth screw within its travel, and no screen rolled farther than it may
 * be.
 */
function limits(screens: TrueScreen[], variables: Variable[]): Row[] {
  const of = (screen: string, adjuster: Adjuster) =>
    variables.find(each => each.screen === screen && each.adjuster === adjuster)?.name
  return screens.flatMap(({ name, span, roll, travels }, s): Row[] => {
    const fourth = travels.find(({ adjuster }) => adjuster === FOLLOWS)
    const [tl, tr, bl] = (['depth-top-left', 'depth-top-right', 'depth-bottom-left'] as const).map(adjuster =>
      of(name, adjuster),
    )
    const [left, right] = [of(name, 'height-left'), of(name, 'height-right')]
    return [
      ...(fourth && tl && tr && bl
        ? [
            {
              name: `plane${s}`,
              terms: [term(1, tr), term(1, bl), term(-1, tl)],
              least: fourth.least,
              most: fourth.most,
            },
          ]
        : []),
      ...(left && right && span !== undefined
        ? [{ name: `roll${s}`, terms: [term(1, right), term(-1, left)], least: -roll * span, most: roll * span }]
        : []),
    ]
  })
}

const rowText = ({ name, terms, least, most }: Row) => [
  ...most !== undefined ? [`${name}m: ${sumOf(terms)} <= ${most.toPrecision(12)}`] : [],
  ...least !== undefined ? [`${name}l: ${sumOf(terms)} >= ${least.toPrecision(12)}`] : [],
]

/** Each reading within t of its target, as it counts. */
function within(readings: Reading[], variables: Variable[], largest: string | number): string[] {
  const names = new Map(variables.map(({ screen, adjuster, name }) => [`${screen} ${adjuster}`, name]))
  return readings.flatMap((reading, n) => {
    const terms = reading.effects.flatMap(({ screen, adjuster, by }) => {
      const name = names.get(`${screen} ${adjuster}`)
      return name ? [term(by * reading.weight, name)] : []
    })
    const now = deviation(reading, reading.value)
    if (typeof largest === 'string')
      return [
        `r${n}u: ${sumOf([...terms, term(-1, largest)])} <= ${(-now).toPrecision(12)}`,
        `r${n}d: ${sumOf([...terms, term(1, largest)])} >= ${(-now).toPrecision(12)}`,
      ]
    if (terms.length === 0) return []
    return [
      `r${n}u: ${sumOf(terms)} <= ${(largest - now).toPrecision(12)}`,
      `r${n}d: ${sumOf(terms)} >= ${(-largest - now).toPrecision(12)}`,
    ]
  })
}

const boundsOf = (variables: Variable[]) =>
  variables.map(
    ({ name, least, most }) =>
      ` ${Math.min(least, 0).toPrecision(12)} <= ${name} <= ${Math.max(most, 0).toPrecision(12)}`,
  )

/** The adjusters that a reading hangs on, as terms of a sum. */
function termsOf({ effects }: Reading, variables: Variable[]): { by: number, of: string }[] {
  const names = new Map(variables.map(({ screen, adjuster, name }) => [`${screen} ${adjuster}`, name]))
  return effects.flatMap(({ screen, adjuster, by }) => {
    const of = names.get(`${screen} ${adjuster}`)
    return of === undefined ? [] : [{ by, of }]
  })
}

/** No gap that was not read is driven below nothing; one that is below is not driven farther. */
function notBelow(unread: Reading[], variables: Variable[]): Row[] {
  return unread.flatMap((reading, n) => {
    const terms = termsOf(reading, variables).map(({ by, of }) => term(by, of))
    return terms.length === 0 ? [] : [{ name: `n${n}`, terms, least: Math.min(0, -reading.value) }]
  })
}

/**
 * What a millimetre costs by which a gap that was not read moves: enough to decide between ways that move equally far.
 */
const UNREAD = 0.1

/** A little room, so that what was just found to be possible stays so through its own rounding, mm. */
const SLACK = 1e-7

/** What adjusters are to move, mm, by screen and adjuster; and the largest deviation that then remains. */
export interface Solved { moved: Map<string, number>, largest: number }

/** Readings and the adjusters that they hang on. */
interface Part { readings: Reading[], unread: Reading[], variables: Variable[], screens: TrueScreen[], fixed: string[] }

const isDepth = ({ adjuster }: { adjuster: Adjuster }) => adjuster.startsWith('depth')

/**
 * Moves in the plane of the wall and moves of the faces: no reading hangs on both, so that each is a smaller program of
 * its own.
 */
function partsOf(readings: Reading[], unread: Reading[], screens: TrueScreen[]): Part[] {
  return [false, true].flatMap((depth) => {
    const mine = screens.map(screen => ({
      ...screen,
      travels: screen.travels.filter(travel => isDepth(travel) === depth),
    }))
    const variables = variablesOf(mine)
    const read = readings.filter(({ kind }) => (kind === 'step') === depth)
    if (variables.length === 0 || read.length === 0) return []
    const gaps = depth ? [] : unread
    const fixed = [...limits(mine, variables), ...notBelow(gaps, variables)].flatMap(rowText)
    return [{ readings: read, unread: gaps, variables, screens: mine, fixed }]
  })
}

/** The first program of a part: the least largest deviation. */
function leastLargest({ readings, variables, fixed }: Part, solve: LinearSolver): LinearAnswer {
  const answer = solve(
    [
      'Minimize',
      ' obj: t',
      'Subject To',
      ...within(readings, variables, 't'),
      ...fixed,
      'Bounds',
      ' t >= 0',
      ...boundsOf(variables),
      'End',
    ].join('\n'),
  )
  if (!answer.optimal) throw new Error('The seams cannot be solved: their readings contradict each other.')
  return answer
}

/** How much a screen is rolled by its two height screws, mm between them. */
function rollsOf(
  screens: TrueScreen[],
  variables: Variable[],
): { name: string, terms: { by: number, of: string }[] }[] {
  return screens.flatMap(({ name }, s) => {
    const [left, right] = (['height-left', 'height-right'] as const).map(
      adjuster => variables.find(each => each.screen === name && each.adjuster === adjuster)?.name,
    )
    return left && right
      ? [
          {
            name: `w${s}`,
            terms: [
              { by: 1, of: right },
              { by: -1, of: left },
            ],
          },
        ]
      : []
  })
}

/**
 * What a millimetre between the two height screws costs beside their own: enough to decide between ways that move
 * equally far. Lifting a screen by one of them alone is no farther than by both, and no seam tells when all screens are
 * rolled alike; a level does.
 */
const ROLL = 0.01

/**
 * The second: of all ways to stay within the largest deviation the one that moves least in all, and rolls no screen for
 * nothing.
 */
function leastMoved(part: Part, largest: number, solve: LinearSolver): LinearAnswer {
  const { readings, unread, variables, screens, fixed } = part
  const moves = [
    ...variables.map(({ name }) => ({ name, cost: 1, terms: [{ by: 1, of: name }] })),
    ...fourthsOf(screens, variables).map(each => ({ ...each, cost: 1 })),
    ...rollsOf(screens, variables).map(each => ({ ...each, cost: ROLL })),
    ...unread
      .map((reading, n) => ({ name: `g${n}`, terms: termsOf(reading, variables), cost: UNREAD }))
      .filter(({ terms }) => terms.length > 0),
  ]
  const sizes = moves.flatMap(({ name, terms }) =>
    [-1, 1].map(
      (sign, n) =>
        `${n === 0 ? 'u' : 'd'}${name}: m${name} ${terms.map(({ by, of }) => term(sign * by, of)).join(' ')} >= 0`,
    ),
  )
  return solve(
    [
      'Minimize',
      ` obj: ${sumOf(moves.map(({ name, cost }) => term(cost, `m${name}`)))}`,
      'Subject To',
      ...within(readings, variables, largest + SLACK),
      ...sizes,
      ...fixed,
      'Bounds',
      ...boundsOf(variables),
      'End',
    ].join('\n'),
  )
}

/**
 * The least largest deviation that the travel that is left allows, and of all ways to it the one that moves least in
 * all and, of those, rolls least: two linear programs, one after the other, for the plane of the wall and for the
 * faces.
 */
export function solveExactly(
  readings: Reading[],
  unread: Reading[],
  screens: TrueScreen[],
  solve: LinearSolver,
): Solved {
  const parts = partsOf(readings, unread, screens).map(part => ({ part, first: leastLargest(part, solve) }))
  const tied = new Set(parts.flatMap(({ part }) => part.readings))
  const fixed = readings
    .filter(reading => !tied.has(reading))
    .map(reading => Math.abs(deviation(reading, reading.value)))
  const largest = Math.max(0, ...fixed, ...parts.map(({ first }) => first.value('t')))
  const moved = parts.flatMap(({ part, first }) => {
    const second = leastMoved(part, largest, solve)
    const answer = second.optimal ? second : first
    return part.variables.map(({ screen, adjuster, name }): [string, number] => [
      `${screen} ${adjuster}`,
      answer.value(name),
    ])
  })
  return { moved: new Map(moved), largest }
}

/** The largest deviation of some readings once adjusters have moved so. */
export const largestAfter = (readings: Reading[], moved: Map<string, number>): number =>
  Math.max(
    0,
    ...readings.map(reading =>
      Math.abs(
        deviation(
          reading,
          after(reading, (screen, adjuster) => moved.get(`${screen} ${adjuster}`) ?? 0),
        ),
      ),
    ),
  )
