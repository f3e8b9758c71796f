import { mountModels } from '../../core/mount'
import { rulesFor } from '../../core/rules'
import { studiedArray, study as studyWall } from '../../core/study/tolerance'
import { arraysOf } from '../../core/job'
import { jobIn } from '../input'
import { Refused, type Verb } from '../verb'

const MOST_TRIALS = 10_000_000

/** A whole number of an option. @throws Refused */
function whole(name: string, text: string, most: number): number {
  if (!/^\d+$/.test(text) || Number(text) < 1 || Number(text) > most) throw new Refused(`--${name} must be a whole number from 1 to ${most}, and is “${text}”`)
  return Number(text)
}

export const study: Verb = {
  usage: 'study JOB.json', does: 'try how often the adjusters close every seam', files: ['JOB.json'],
  more: 'Prints wide-trellis-study, version 1: for every grid of one model the share of trials that close, running and from mark to mark, with its 95 % interval, and the share without each cause. The same seed gives the same answer.',
  options: { trials: { what: 'how many walls are drawn: 10000 unless said' }, seed: { what: 'where chance begins: 1 unless said' }, wall: { what: 'id of the wall' }, array: { what: 'id of the array' } },
  run([file], { trials = '10000', seed = '1', wall: wallId, array: arrayId }) {
    const [count, begin] = [whole('trials', trials, MOST_TRIALS), whole('seed', seed, 2 ** 31)]
    const { walls, catalogue, rules, firm } = jobIn(file!)
    const arrays = walls.filter(({ id }) => wallId === undefined || wallId === id).flatMap(wall => arraysOf(wall).filter(({ id, align }) => align === undefined && (arrayId === undefined || arrayId === id)).flatMap((array) => {
      const display = catalogue.displays.find(({ id }) => id === array.display)
      const mount = mountModels(array, catalogue)({ mount: array.mount })
      if (!display || !mount) return []
      const own = rulesFor({ rules, firm }, wall)
      const { wall: studied, causes } = studiedArray(array, mount, display, own)
      return [{ wall: wall.id, id: array.id, ...studyWall(studied, causes, count, begin, own.measuring ?? 'running') }]
    }))
    return { printed: `${JSON.stringify({ format: 'wide-trellis-study', version: 1, arrays }, null, 2)}\n` }
  },
}
