import { linearSolver } from '../cli/solver'
import { align, gauged, hungBy, trueScreens, turned, type End, type LinearSolver, type Pose } from '../core/true'
import { contextOf, planWall } from '../core/plan'
import type { LogEntry } from '../core/job'
import { study, type StudiedWall } from '../core/study'
import { chance } from '../core/survey/simulate'
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

/**
 * How many of so many walls 3 × 3, hung up to 3 mm off at every corner and read to 0.1 mm, have all seams and faces
 * within 0.3 mm after two rounds of eighths of a turn.
 */
function closedInTwoRounds(walls: number, solve: LinearSolver): number {
  const job = gridJob(3, 3)
  const [wall] = job.walls
  const array = wall!.arrays[0]!
  const plan = planWall(wall!, contextOf(job)).arrays[0]!
  const screens = trueScreens(array, plan, job.catalogue, new Map())
  const at = (row: number, column: number) => screens.find(screen => screen.row === row && screen.column === column)
  const ends = screens.flatMap(a => ([[at(a.row, a.column + 1), ['top', 'bottom'], array.gap.x], [at(a.row + 1, a.column), ['left', 'right'], array.gap.y]] as const).flatMap(([b, ends, target]) => b ? ends.map((end: End) => ({ a, b, end, target })) : []))
  let closed = 0
  for (let seed = 1; seed <= walls; seed++) {
    const luck = chance(seed)
    let poses: Map<string, Pose> = hungBy(screens, 3, luck)
    const log: LogEntry[] = []
    const said = (kind: string, round: number, more: object) => log.push({ id: `${kind}${round}`, at: '2026-11-20T09:00:00Z', by: 'Isla', wall: wall!.id, kind, array: array.id, round, ...more } as LogEntry)
    const read = () => ends.map(({ a, b, end, target }) => ({ between: [a.name, b.name], end, ...gauged(a, b, end, poses, target) }))
    for (let round = 1; round <= 2; round++) {
      const found = read()
      said('seams', round, { gaps: found.map(({ between, end, gap }) => ({ between, end, mm: gap + luck.off(0.1) })), steps: found.map(({ between, end, step }) => ({ between, end, mm: step + luck.off(0.1) })) })
      const { moves } = align(array, plan, wall!, log, { catalogue: job.catalogue, rules: {} }, solve)!
      poses = new Map(screens.map(screen => [screen.name, turned(poses.get(screen.name)!, screen, Object.fromEntries(moves.filter(move => move.screen === screen.name).map(({ adjuster, mm }) => [adjuster, mm])))]))
      said('turned', round, { moves: moves.map(({ screen, adjuster, turns, mm }) => ({ screen, adjuster, ...turns === undefined ? { mm } : { turns } })) })
    }
    if (read().every(({ gap, step, end }) => Math.abs(gap - (end === 'top' || end === 'bottom' ? array.gap.x : array.gap.y)) <= 0.3 && Math.abs(step) <= 0.3)) closed++
  }
  return 100 * closed / walls
}

/** How long the turns of 10 × 10 take to be calculated, and a study of 5 × 5. */
export async function truing(): Promise<Row[]> {
  const solve = await linearSolver()
  const job = gridJob(10, 10)
  const [wall] = job.walls
  const plan = planWall(wall!, contextOf(job)).arrays[0]!
  const times: number[] = []
  for (let seed = 1; seed <= 5; seed++) {
    const luck = chance(seed)
    const read = (target: number) =>
      plan.positions.flatMap(({ row, column }) =>
        (Object.keys(SEAMS) as (keyof typeof SEAMS)[]).flatMap((end) => {
          const [down, across] = SEAMS[end]
          const other = plan.positions.find(each => each.row === row + down && each.column === column + across)
          return other
            ? [{ between: [`r${row}c${column}`, `r${other.row}c${other.column}`], end, mm: target + luck.off(1) }]
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
    align(wall!.arrays[0]!, plan, wall!, [entry], { catalogue: job.catalogue, rules: {} }, solve)
    times.push(performance.now() - from)
  }
  const from = performance.now()
  study(STUDIED, { marking: 1, drilling: 1, slack: 1, size: 1, faces: 1 }, 10_000, 1)
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
