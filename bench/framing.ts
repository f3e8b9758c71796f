import { mapFraming } from '../core/survey/framing'
import { hiddenWall, READING_GROUPS, readWall, type ReadingGroup } from '../core/survey/simulate'

interface Tally { truths: number, found: number, inside: number, errors: number[], doubles: number, told: number, invented: number, guessed: number, walls: number }

/** Two centres farther apart than this are not of one member, mm. */
const SAME = 30

function studyGroup(group: ReadingGroup, walls: number, seed: number): Tally {
  const tally: Tally = { truths: 0, found: 0, inside: 0, errors: [], doubles: 0, told: 0, invented: 0, guessed: 0, walls }
  for (let n = 0; n < walls; n++) {
    const hidden = hiddenWall(seed + n)
    const { wall, read } = readWall(hidden, group, seed + 7919 * (n + 1))
    const { members } = mapFraming(wall)
    for (const truth of read) {
      const nearest = members.filter(({ source }) => source === 'observed').reduce<typeof members[number] | undefined>((best, member) =>
        !best || Math.abs(member.centre - truth.centre) < Math.abs(best.centre - truth.centre) ? member : best, undefined)
      tally.truths++
      const off = nearest ? Math.abs(nearest.centre - truth.centre) : Infinity
      if (!nearest || off > SAME) continue
      tally.found++
      tally.errors.push(off)
      if (off <= 1.96 * nearest.sd) tally.inside++
      if (truth.width > 50) {
        tally.doubles++
        if (nearest.kind === 'double') tally.told++
      }
    }
    for (const { centre, source } of members) {
      if (hidden.members.some(truth => Math.abs(truth.centre - centre) <= SAME)) continue
      if (source === 'observed') tally.invented++
      else tally.guessed++
    }
  }
  return tally
}

const percent = (part: number, whole: number) => `${(100 * part / whole).toFixed(1)} %`

/** How honest and how complete the framing map is over simulated walls, a line for each way of reading. */
export function framingStudy(walls: number, seed = 1): Record<string, Record<string, string | number>> {
  return Object.fromEntries(READING_GROUPS.map((group) => {
    const { truths, found, inside, errors, doubles, told, invented, guessed } = studyGroup(group, walls, seed)
    errors.sort((a, b) => a - b)
    return [group, {
      'members': truths,
      'found': percent(found, truths),
      'in the 95 % interval': percent(inside, found),
      'median error, mm': errors[Math.floor(errors.length / 2)]!.toFixed(2),
      'doubles told': percent(told, doubles),
      'invented in 150 walls': (150 * invented / walls).toFixed(1),
      'wrongly inferred in 150': (150 * guessed / walls).toFixed(1),
    }]
  }))
}
