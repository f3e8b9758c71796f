import { NOTHING_BUILT } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { rulesFor } from '../../core/rules'
import { studiedArray, study as studyWall } from '../../core/study'
import { jobIn } from '../input'
import { Refused, type Verb } from '../verb'

const MOST_TRIALS = 10_000_000

/** A whole number of an option. @throws Refused */
function whole(name: string, text: string, most: number): number {
  if (!/^\d+$/.test(text) || Number(text) < 1 || Number(text) > most)
    throw new Refused(`--${name} must be a whole number from 1 to ${most}, not “${text}”`)
  return Number(text)
}

export const study: Verb = {
  usage: 'study JOB.json',
  does: 'simulate how often the adjusters bring every seam within tolerance',
  files: ['JOB.json'],
  more: 'Prints wide-trellis-study, version 1: for each array the share of simulated walls in which every seam is '
    + 'within tolerance after two rounds of truing, marked from the datum and mark to mark, with its 95 % interval, '
    + 'and the share without each cause and with each improvement. Assumes that nothing is drilled yet. The same seed '
    + 'gives the same result.',
  options: {
    trials: { what: 'number of simulated walls, default 10000' },
    seed: { what: 'random seed, default 1' },
    wall: { what: 'id of the wall' },
    array: { what: 'id of the array' },
  },
  run([file], { trials = '10000', seed = '1', wall: wallId, array: arrayId }) {
    const [count, begin] = [whole('trials', trials, MOST_TRIALS), whole('seed', seed, 2 ** 31)]
    const job = jobIn(file!)
    const arrays = job.walls
      .filter(({ id }) => wallId === undefined || wallId === id)
      .flatMap(wall =>
        planWall(wall, contextOf(job), NOTHING_BUILT)
          .arrays.filter(({ id }) => arrayId === undefined || arrayId === id)
          .map((plan) => {
            const rules = rulesFor(job, wall)
            const {
              wall: studied,
              causes,
              notKnown,
            } = studiedArray(
              wall.arrays.find(({ id }) => id === plan.id)!,
              plan,
              wall,
              job.catalogue,
              rules,
            )
            return {
              wall: wall.id,
              id: plan.id,
              ...studyWall(studied, causes, { trials: count, seed: begin }, rules.measuring ?? 'running'),
              notKnown,
            }
          }),
      )
    return { printed: `${JSON.stringify({ format: 'wide-trellis-study', version: 1, arrays }, null, 2)}\n` }
  },
}
