import { array, object, string } from 'yup'
import { LIMITS, tokenFault } from '../../core/job'
import { isMoment } from '../../core/job/moment'

/** Who saved each wall last, and when: what a job file does not say. */
export interface Saves { format: 'wide-trellis-saves', version: 1, walls: { wall: string, by: string, at: string }[] }

/** By the wall's id: who saved it last, and when. */
export type SavedBy = Map<string, { by: string, at: string }>

const saves = object({
  format: string().oneOf(['wide-trellis-saves']).required(),
  walls: array(
    object({
      wall: string().required(),
      by: string().max(200).required(),
      at: string()
        .required()
        .test(at => isMoment(at)),
    }),
  ).required(),
})

/** Reads what an archive says of the saves of its walls; nothing where it says none that can be read. */
export function savesOf(text: string): SavedBy {
  // A line a wall of three values in two levels; what is heavier was written by another program.
  if (tokenFault(Buffer.from(text), 8 * LIMITS.walls, 4)) return new Map()
  try {
    const { walls } = saves.validateSync(JSON.parse(text), { strict: true })
    return new Map(walls.map(({ wall, by, at }) => [wall, { by, at }]))
  }
  catch {
    return new Map()
  }
}
