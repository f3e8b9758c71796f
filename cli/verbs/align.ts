import { rulesFor } from '../../core/rules'
import { asBuilt } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { ON_DEMAND } from '../../core/plan/onDemand'
import type { Alignment } from '../../core/true'
import { textToString, type UnitSystem } from '../../core/units'
import { jobIn } from '../input'
import { linearSolver } from '../solver'
import type { Verb } from '../verb'

const published
  = (wall: string, units: UnitSystem) =>
    ({ array, target, closes, before, after, moves, sequence, predicted, binding, leftOut, again }: Alignment) => ({
      wall,
      id: array,
      target,
      closes,
      before,
      after,
      moves: moves.map(({ words, why, ...move }) => ({
        ...move,
        words: textToString(words, units),
        ...(why && { why: textToString(why, units) }),
      })),
      predicted: {
        gaps: predicted.flatMap(({ reading: { kind, between, end }, after }) =>
          kind === 'gap' ? [{ between, end, mm: after }] : [],
        ),
        steps: predicted.flatMap(({ reading: { kind, between, end }, after }) =>
          kind === 'step' ? [{ between, end, mm: after }] : [],
        ),
        rolls: predicted.flatMap(({ reading: { kind, between }, after }) =>
          kind === 'roll' ? [{ screen: between[0], mmPerM: after }] : [],
        ),
      },
      sequence,
      ...(again.length > 0 && { again: again.map(({ why, ...each }) => ({ ...each, why: textToString(why, units) })) }),
      ...(leftOut.length > 0 && {
        leftOut: leftOut.map(({ why, ...each }) => ({ ...each, why: textToString(why, units) })),
      }),
      binding: binding.map(({ needs, ...each }) => ({ ...each, needs: textToString(needs, units) })),
    })

export const align: Verb = {
  usage: 'align JOB.json',
  does: 'calculate which adjusters to turn, from the latest readings',
  files: ['JOB.json'],
  more: 'Prints wide-trellis-align, version 1: for each array with seam readings, the moves to the nearest eighth of '
    + 'a turn and the deviations that remain.',
  options: {
    wall: { what: 'id of the wall' },
    array: { what: 'id of the array' },
    exact: { what: 'do not round to eighths of a turn', flag: true },
  },
  async run([file], said) {
    const job = jobIn(file!)
    const solve = await linearSolver()
    const arrays = job.walls
      .filter(({ id }) => said.wall === undefined || said.wall === id)
      .flatMap((wall) => {
        const plan = planWall(wall, contextOf(job), asBuilt(job.log, wall))
        return plan.arrays
          .filter(({ id }) => said.array === undefined || said.array === id)
          .flatMap((arrayPlan) => {
            const array = wall.arrays.find(({ id }) => id === arrayPlan.id)!
            const context = { catalogue: job.catalogue, rules: rulesFor(job, wall) }
            const read = { array, plan: arrayPlan, wall, log: job.log, context }
            const found = ON_DEMAND.true(read, solve, said.exact !== undefined)
            return found ? [published(wall.id, job.site.units)(found)] : []
          })
      })
    return { printed: `${JSON.stringify({ format: 'wide-trellis-align', version: 1, arrays }, null, 2)}\n` }
  },
}
