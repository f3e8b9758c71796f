import { linearSolver } from '../cli/solver'
import {
  align, gauged, hungBy, trueScreens, turned, type End, type LinearSolver, type Pose, type Trued, type TrueScreen,
} from '../core/true'
import { contextOf, planWall } from '../core/plan'
import type { LogEntry } from '../core/job'
import { study, type StudiedWall } from '../core/study'
import { chance } from '../core/survey/simulatedReadings'
import { gridJob } from './jobs'
import { atLeast, atMost, type Row } from './row'

const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!
const SEAMS = { top: [0, 1], bottom: [0, 1], left: [1, 0], right: [1, 0] } as const

const REACH = { least: -3, most: 3 }
const STUDIED: StudiedWall = {
  screens: Array.from({ length: 25 }, (_, n) => ({
    row: 1 + Math.floor(n / 5),
    column: 1 + (n % 5),
    x: REACH,
    y: REACH,
    depth: REACH,
    size: 0.4,
    face: { out: n % 3, sigma: 1 },
  })),
  gap: { x: 2, y: 2 },
  tolerance: 0.5,
}

/** The seams of a grid, each end of them with the gap that is wanted there. */
function endsOf(screens: TrueScreen[], gap: { x: number, y: number }) {
  const at = (row: number, column: number) => screens.find(screen => screen.row === row && screen.column === column)
  return screens.flatMap((a) => {
    const [right, below] = [at(a.row, a.column + 1), at(a.row + 1, a.column)]
    return [
      ...right ? (['top', 'bottom'] as End[]).map(end => ({ a, b: right, end, target: gap.x })) : [],
      ...below ? (['left', 'right'] as End[]).map(end => ({ a, b: below, end, target: gap.y })) : [],
    ]
  })
}

/** Whether a wall that was hung by chance is within 0.3 mm after two rounds of eighths of a turn. */
function closesInTwoRounds(seed: number, { array, plan, wall, context }: Omit<Trued, 'log'>, solve: LinearSolver) {
  const screens = trueScreens(array, plan, context.catalogue, new Map())
  const ends = endsOf(screens, array.gap)
  const rng = chance(seed)
  let poses: Map<string, Pose> = hungBy(screens, 3, rng)
  const log: LogEntry[] = []
  const record = (kind: string, round: number, more: object) => {
    const base = { at: '2026-11-20T09:00:00Z', by: 'Isla', wall: wall.id, array: array.id }
    log.push({ id: `${kind}${round}`, ...base, kind, round, ...more } as LogEntry)
  }
  const read = () =>
    ends.map(({ a, b, end, target }) =>
      ({ between: [a.name, b.name], end, target, ...gauged(a, b, end, poses, target) }))
  for (let round = 1; round <= 2; round++) {
    const found = read()
    record('seams', round, {
      gaps: found.map(({ between, end, gap }) => ({ between, end, mm: gap + rng.off(0.1) })),
      steps: found.map(({ between, end, step }) => ({ between, end, mm: step + rng.off(0.1) })),
    })
    const { moves } = align({ array, plan, wall, log, context }, solve)!
    const movedOf = (name: string) =>
      Object.fromEntries(moves.filter(({ screen }) => screen === name).map(({ adjuster, mm }) => [adjuster, mm]))
    poses = new Map(screens.map(screen =>
      [screen.name, turned(poses.get(screen.name)!, screen, movedOf(screen.name))]))
    record('turned', round, {
      moves: moves.map(({ screen, adjuster, turns, mm }) =>
        ({ screen, adjuster, ...turns === undefined ? { mm } : { turns } })),
    })
  }
  return read().every(({ gap, step, target }) => Math.abs(gap - target) <= 0.3 && Math.abs(step) <= 0.3)
}

/**
 * How many of so many walls 3 × 3, hung up to 3 mm off at every corner and read to 0.1 mm, have all seams and faces
 * within 0.3 mm after two rounds, in percent.
 */
function closedInTwoRounds(walls: number, solve: LinearSolver): number {
  const job = gridJob(3, 3)
  const [wall] = job.walls
  const plan = planWall(wall!, contextOf(job)).arrays[0]!
  const hung = { array: wall!.arrays[0]!, plan, wall: wall!, context: { catalogue: job.catalogue, rules: {} } }
  const closed = Array.from({ length: walls }, (_, n) => closesInTwoRounds(n + 1, hung, solve)).filter(Boolean)
  return 100 * closed.length / walls
}

/** How long the turns of 10 × 10 take to be calculated, and a study of 5 × 5. */
export async function truing(): Promise<Row[]> {
  const solve = await linearSolver()
  const job = gridJob(10, 10)
  const [wall] = job.walls
  const plan = planWall(wall!, contextOf(job)).arrays[0]!
  const times: number[] = []
  for (let seed = 1; seed <= 5; seed++) {
    const rng = chance(seed)
    const read = (target: number) =>
      plan.positions.flatMap(({ row, column }) =>
        (Object.keys(SEAMS) as (keyof typeof SEAMS)[]).flatMap((end) => {
          const [down, across] = SEAMS[end]
          const other = plan.positions.find(each => each.row === row + down && each.column === column + across)
          return other
            ? [{ between: [`r${row}c${column}`, `r${other.row}c${other.column}`], end, mm: target + rng.off(1) }]
            : []
        }),
      )
    const entry = {
      id: 's',
      at: '2026-11-20T09:00:00Z',
      by: 'Isla',
      wall: wall!.id,
      kind: 'seams',
      array: plan.id,
      round: 1,
      gaps: read(0.6).map(each => ({ ...each, mm: Math.max(0, each.mm) })),
      steps: read(0),
    } as LogEntry
    const from = performance.now()
    align(
      { array: wall!.arrays[0]!, plan, wall: wall!, log: [entry], context: { catalogue: job.catalogue, rules: {} } },
      solve,
    )
    times.push(performance.now() - from)
  }
  const from = performance.now()
  study(STUDIED, { marking: 1, drilling: 1, slack: 1, size: 1, faces: 1 }, { trials: 10_000, seed: 1 })
  const took = performance.now() - from
  return [
    atMost('Turns of 10 × 10 worked out, median', middle(times), 1_000, 'ms'),
    atMost('Study of 5 × 5, 10,000 trials, both ways, five causes, four changes', took, 3_000, 'ms'),
  ]
}

/** How many of so many walls 3 × 3 are closed after two rounds. */
export async function closing(walls: number): Promise<Row[]> {
  return [
    atLeast(
      `3 × 3 closed within 0.3 mm in two rounds, of ${walls} walls`,
      closedInTwoRounds(walls, await linearSolver()),
      95,
      '%',
    ),
  ]
}
