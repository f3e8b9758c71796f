import type { Job } from '../core/job'
import { asBuilt, HOLE_RESULTS, type LogEntry } from '../core/log'
import { contextOf, planWall, pipeline } from '../core/plan'
import { freeze, sheetSource, storedOf } from '../core/revision'
import { chance, INSTRUMENTS } from '../core/survey/simulatedReadings'
import { sheetFile } from '../server/sheets/files'
import { gridJob } from './jobs'
import { atMost, type Row } from './row'

/** A grid on studs that were read and not only told, its mark-out issued. */
function issuedJob(rows: number, columns: number): Job {
  const job = gridJob(rows, columns)
  const [wall] = job.walls
  const rng = chance(11)
  const members = wall!.structure.members!.map(({ centre }) => ({ centre: centre + rng.off(2), width: 38 }))
  wall!.evidence = members
    .flatMap(member => [
      INSTRUMENTS.edge(member, 'left', rng),
      INSTRUMENTS.edge(member, 'right', rng),
      INSTRUMENTS.magnet(member, rng),
      INSTRUMENTS.probe(members, member.centre),
    ])
    .map((reading, n) => ({ id: `e${n}`, y: 1000, ...reading }))
  delete wall!.structure.members
  const built = asBuilt([], wall!)
  const frozen = freeze(wall!, { ...job, rules: contextOf(job).rules }, built, planWall(wall!, contextOf(job), built))
  const entry: LogEntry = {
    id: 'issued',
    at: '2026-11-20T09:00:00Z',
    by: 'Isla Brandt',
    wall: wall!.id,
    kind: 'issued',
    revision: 'A',
    frozen: frozen.id,
  }
  return { ...job, walls: [{ ...wall!, revisions: [storedOf(frozen)] }], log: [entry] }
}

const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!

/**
 * How long the answer to a hole that differs takes on 5 × 5, for each result at holes all over the wall; and the sheet
 * of that wall.
 */
export async function answering(): Promise<Row[]> {
  const job = issuedJob(5, 5)
  const [wall] = job.walls
  const context = contextOf(job)
  const through = pipeline()
  const holes = planWall(wall!, context, asBuilt(job.log, wall!), through).arrays[0]!.positions.flatMap(
    ({ holes = [] }) => holes,
  )
  const times: number[] = []
  for (const [n, hole] of holes.entries()) {
    const result = HOLE_RESULTS[1 + n % (HOLE_RESULTS.length - 1)]!
    const built = asBuilt(
      [
        ...job.log,
        {
          id: `l${n}`,
          at: '2026-11-20T10:00:00Z',
          by: 'Odd Varga',
          wall: wall!.id,
          kind: 'hole',
          hole: hole.id,
          x: hole.x,
          y: hole.y,
          result,
        },
      ],
      wall!,
    )
    const from = performance.now()
    planWall(wall!, context, built, through)
    times.push(performance.now() - from)
  }
  const source = sheetSource(job, wall!)!
  const drawn: number[] = []
  for (let n = 0; n < 9; n++) {
    const from = performance.now()
    await sheetFile(source, 'pdf', {
      paper: 'a3',
      units: 'metric',
      precision: {},
      address: 'http://localhost/sites/s/walls/w',
    })
    drawn.push(performance.now() - from)
  }
  return [
    atMost(`Answer to a missed hole on 5 × 5, median of ${times.length}`, middle(times), 300, 'ms'),
    atMost('  the slowest of them', Math.max(...times), 1_000, 'ms'),
    atMost('Mark-out sheet of 5 × 5 as PDF, median', middle(drawn), 1_000, 'ms'),
  ]
}
