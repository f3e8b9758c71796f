import { readFileSync } from 'node:fs'
import { readJob, type Job, type Wall } from '../core/job'
import { chance, INSTRUMENTS } from '../core/survey/simulatedReadings'

const PITCH = { x: 1022, y: 576.8 }

/**
 * The demo's ticket hall with a grid of another size, on a wall with studs every 400 mm that is large enough for it.
 */
export function gridJob(rows: number, columns: number): Job {
  const job = readJob(readFileSync('demo/holm-point.json', 'utf8'))
  const hall = job.walls.find(({ id }) => id === 'ticket-hall')!
  const [width, height] = [columns * PITCH.x + 2000, rows * PITCH.y + 2000]
  const members = Array.from({ length: Math.floor(width / 400) }, (_, k) => ({ centre: 200 + 400 * k, width: 38 }))
  const wall: Wall = {
    ...hall,
    width,
    height,
    features: [],
    evidence: [],
    structure: { ...hall.structure, members },
    arrays: [
      {
        ...hall.arrays[0]!,
        rows,
        columns,
        plates: [],
        at: { x: { edge: 'centre', value: width / 2 }, y: { edge: 'centre', value: height / 2 } },
      },
    ],
  }
  return { ...job, walls: [wall], log: [] }
}

/**
 * Six rows of twelve on 40 members that stand unevenly, so that every shift within the tolerance has to be looked at.
 */
export function unevenJob(): Job {
  const job = gridJob(6, 12)
  const [wall] = job.walls
  const rng = chance(7)
  wall!.structure.members = Array.from({ length: 40 }, (_, k) => ({ centre: 200 + 355 * k + rng.off(40), width: 38 }))
  wall!.arrays[0]!.shiftTolerance = { x: 25, y: 25 }
  return job
}

/**
 * A grid on 40 studs, with a box behind each screen, circuits enough for them, voids above and below, and blocking in
 * between.
 */
export function wiredJob(rows: number, columns: number): Job {
  const job = gridJob(rows, columns)
  const [wall] = job.walls
  const [array] = wall!.arrays
  wall!.structure.members = Array.from({ length: 40 }, (_, k) => ({
    centre: 100 + (k * (wall!.width - 200)) / 39,
    width: 38,
  }))
  Object.assign(wall!, {
    void: { above: 'open', below: 'open' },
    blocking: [
      { id: 'k1', y: 1500, found: true },
      { id: 'k2', y: 3500, found: false },
    ],
    sources: Array.from({ length: 12 }, (_, n) => ({ id: `s${n}`, kind: 'circuit', amps: 16, volts: 230 })),
    boxes: Array.from({ length: rows * columns }, (_, n) => ({
      id: `b${n}`,
      kind: 'power',
      model: 'skarv-p1',
      for: [`${array!.id}-r${1 + Math.floor(n / columns)}c${1 + (n % columns)}`],
    })),
  })
  return job
}

/** A wall of studs every 400 mm with so many readings of every kind, seven a stud. */
export function wallOfReadings(count: number): Wall {
  const rng = chance(3)
  const studs = Math.ceil(count / 7)
  const members = Array.from({ length: Math.max(studs, 60) }, (_, k) => ({
    centre: 200 + 400 * k + rng.off(2),
    width: 38,
  }))
  const readings = members.flatMap(member => [
    INSTRUMENTS.edge(member, 'left', rng),
    INSTRUMENTS.edge(member, 'right', rng),
    INSTRUMENTS.magnet(member, rng),
    INSTRUMENTS.magnet(member, rng),
    INSTRUMENTS.centre(member, rng),
    INSTRUMENTS.probe(members, member.centre + rng.off(5)),
    INSTRUMENTS.probe(members, member.centre + 30),
  ])
  // No wall is over 100 m: more studs than that holds are read again.
  const onWall = (x: number) => members.length * 400 > 100_000 ? x % 99_600 : x
  return {
    id: 'w',
    name: 'w',
    width: Math.min(400 + 400 * members.length, 100_000),
    height: 2700,
    structure: { kind: 'wood-stud', memberWidth: 38 },
    covering: [],
    arrays: [],
    evidence: readings
      .slice(0, count)
      .map((reading, n) => ({ id: `e${n}`, y: 1000, ...reading, x: onWall(reading.x) })),
  }
}

/** A wall of 60 studs with 400 readings of every kind. */
export const readWallOf60 = (): Wall => wallOfReadings(400)
