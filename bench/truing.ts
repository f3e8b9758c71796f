import { linearSolver } from '../cli/solver'
import { align } from '../core/true'
import { contextOf, planWall } from '../core/plan'
import type { LogEntry } from '../core/job'
import { study, type StudiedWall } from '../core/study'
import { chance } from '../core/survey/simulate'
import { gridJob } from './jobs'
import { atMost, type Row } from './row'

const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!
const SEAMS = { top: [0, 1], bottom: [0, 1], left: [1, 0], right: [1, 0] } as const

const REACH = { least: -3, most: 3 }
const STUDIED: StudiedWall = {
  screens: Array.from({ length: 25 }, (_, n) => ({ row: 1 + Math.floor(n / 5), column: 1 + n % 5, x: REACH, y: REACH, depth: REACH, size: 0.4, face: { out: n % 3, sigma: 1 } })),
  gap: { x: 2, y: 2 }, tolerance: 0.5,
}

/** How long the turns of 10 × 10 take to be worked out, and a study of 5 × 5. */
export async function truing(): Promise<Row[]> {
  const solve = await linearSolver()
  const job = gridJob(10, 10)
  const [wall] = job.walls
  const plan = planWall(wall!, contextOf(job)).arrays[0]!
  const times: number[] = []
  for (let seed = 1; seed <= 5; seed++) {
    const luck = chance(seed)
    const read = (target: number) => plan.positions.flatMap(({ row, column }) => (Object.keys(SEAMS) as (keyof typeof SEAMS)[]).flatMap((end) => {
      const [down, across] = SEAMS[end]
      const other = plan.positions.find(each => each.row === row + down && each.column === column + across)
      return other ? [{ between: [`r${row}c${column}`, `r${other.row}c${other.column}`], end, mm: target + luck.off(1) }] : []
    }))
    const entry = { id: 's', at: '2026-11-20T09:00:00Z', by: 'Isla', wall: wall!.id, kind: 'seams', array: plan.id, round: 1, gaps: read(0.6).map(each => ({ ...each, mm: Math.max(0, each.mm) })), steps: read(0) } as LogEntry
    const from = performance.now()
    align(wall!.arrays[0]!, plan, wall!, [entry], { catalogue: job.catalogue, rules: {} }, solve)
    times.push(performance.now() - from)
  }
  const from = performance.now()
  study(STUDIED, { marking: 1, drilling: 1, slack: 1, size: 1, faces: 1 }, 10_000, 1)
  return [atMost('Turns of 10 × 10 worked out, median', middle(times), 1_000, 'ms'), atMost('Study of 5 × 5, 10,000 trials, both ways, five causes, four changes', performance.now() - from, 3_000, 'ms')]
}
