import { readFileSync } from 'node:fs'
import { readJob, type Job, type Wall } from '../core/job'

const PITCH = { x: 1022, y: 576.8 }

/** The demo's ticket hall with a grid of another size, on a wall with studs every 400 mm that is large enough for it. */
export function gridJob(rows: number, columns: number): Job {
  const job = readJob(readFileSync('demo/holm-point.json', 'utf8'))
  const hall = job.walls.find(({ id }) => id === 'ticket-hall')!
  const [width, height] = [columns * PITCH.x + 2000, rows * PITCH.y + 2000]
  const members = Array.from({ length: Math.floor(width / 400) }, (_, k) => ({ centre: 200 + 400 * k, width: 38 }))
  const wall: Wall = {
    ...hall, width, height, features: [], evidence: [],
    structure: { ...hall.structure, members },
    arrays: [{ ...hall.arrays[0]!, rows, columns, plates: [], at: { x: { edge: 'centre', value: width / 2 }, y: { edge: 'centre', value: height / 2 } } }],
  }
  return { ...job, walls: [wall], log: [] }
}
