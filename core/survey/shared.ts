import { ERROR_MODEL, GROSS } from './errorModel'
import { signsOfGroup, type Group } from './groups'
import { normalPdf } from './normal'
import { PosteriorGrid, type Belief, type Expectation } from './posterior'
import { sourcesOf, type Sign } from './sign'
import { CARRIED_SIGMA } from './transfer'

/**
 * What all signs of one source share: everything that one detector read from one side of the wall, or that came
 * over by one reference. `shift` is how far they are taken to stand to the right of what is there, mm, `sd` how well
 * that is known; `raw` how far they stand from what signs of other kinds tell, and how well that is known.
 */
export interface SharedError {
  source: string
  shift: number
  sd: number
  raw?: { off: number, sd: number, members: number }
}

const isWeak = ({ kind }: Sign) => kind === 'knock' || kind === 'box'

/** How far a source stands off what others say of one member. */
interface Difference { off: number, variance: number }

/** Places of a shift that are looked at, mm. */
const FARTHEST = 32
const STEP = 0.5
/** So often a difference is of two things that have nothing to do with each other. */
const UNRELATED = 0.03

/** What differences at several members say of the shift that they share, against what is expected of it. */
function shiftFrom(differences: Difference[], sigma: number): { shift: number, sd: number } {
  const places = Array.from({ length: 2 * FARTHEST / STEP + 1 }, (_, n) => n * STEP - FARTHEST)
  const logs = places.map(
    shift =>
      Math.log(
        (1 - GROSS.share) * normalPdf(shift, sigma) + GROSS.share * normalPdf(shift, Math.max(GROSS.sigma, 3 * sigma)),
      )
      + differences.reduce(
        (sum, { off, variance }) =>
          sum + Math.log((1 - UNRELATED) * normalPdf(off - shift, Math.sqrt(variance)) + UNRELATED / (2 * FARTHEST)),
        0,
      ),
  )
  const top = Math.max(...logs)
  const weights = logs.map(log => Math.exp(log - top))
  const total = weights.reduce((a, b) => a + b)
  const shift = places.reduce((sum, place, n) => sum + place * weights[n]!, 0) / total
  return { shift, sd: Math.sqrt(places.reduce((sum, place, n) => sum + (place - shift) ** 2 * weights[n]!, 0) / total) }
}

/** A member's own unevenness between one reading and another: faces are not straight, mm. */
const UNEVEN = 1

/** What is believed of a member by some of its signs alone. */
function beliefOf(signs: Sign[], against: Sign[], width: number, flat: Expectation): Belief {
  return new PosteriorGrid(signs, against, width, 2).expecting(flat).belief(0, signs.length)
}

/** Whether some signs tell a member's place by themselves: two edges, or anything but edges. */
const tellsPlace = (signs: Sign[]) =>
  signs.some(({ reading }) => reading.method !== 'detector-edge')
  || new Set(signs.map(({ reading }) => reading.edge)).size === 2

/**
 * What the signs of one source share, learned from the members of which other sources tell too.
 *
 * @param groups members with their signs, as far as they are known without this
 */
function learn(
  source: string,
  sigma: number,
  { groups, against }: { groups: Sign[][], against: Sign[] },
  width: number,
  flat: Expectation,
): SharedError {
  const differences = groups.flatMap((signs): Difference[] => {
    const strong = signs.filter(sign => !isWeak(sign))
    const [own, others] = [
      strong.filter(sign => sourcesOf(sign).includes(source)),
      strong.filter(sign => !sourcesOf(sign).includes(source)),
    ]
    if (own.length === 0 || others.length === 0 || !tellsPlace(own) || !tellsPlace(others)) return []
    const near = against.filter(({ x }) => Math.abs(x - strong[0]!.x) < 4 * width)
    const [mine, theirs] = [
      beliefOf(own, [], width, flat),
      beliefOf(
        others,
        near.filter(sign => !sourcesOf(sign).includes(source)),
        width,
        flat,
      ),
    ]
    return (mine.doubled > 0.5) === (theirs.doubled > 0.5) || Math.abs(mine.centre - theirs.centre) < width / 4
      ? [{ off: mine.centre - theirs.centre, variance: mine.sd ** 2 + theirs.sd ** 2 + UNEVEN ** 2 }]
      : []
  })
  if (differences.length === 0) return { source, shift: 0, sd: sigma }
  const weights = differences.reduce((sum, { variance }) => sum + 1 / variance, 0)
  return {
    source,
    ...shiftFrom(differences, sigma),
    raw: {
      off: differences.reduce((sum, { off, variance }) => sum + off / variance, 0) / weights,
      sd: Math.sqrt(1 / weights),
      members: differences.length,
    },
  }
}

/**
 * What each source of some signs shares: first the references, then detectors, each learned from what is not of its
 * own.
 */
export function sharedErrors(groups: Group[], against: Sign[], width: number, flat: Expectation): SharedError[] {
  const signs = groups.map(signsOfGroup)
  const sources = [...new Set(signs.flat().flatMap(sourcesOf))].sort(
    (a, b) => Number(b.startsWith('reference')) - Number(a.startsWith('reference')),
  )
  let shifted = signs
  return sources.map((source) => {
    const error = learn(
      source,
      source.startsWith('reference') ? CARRIED_SIGMA : ERROR_MODEL.instrument,
      { groups: shifted, against },
      width,
      flat,
    )
    shifted = shifted.map(group => group.map(sign => shiftBack(sign, [error])))
    return error
  })
}

/** A sign where it would stand without what it shares with others of its sources. */
export function shiftBack(sign: Sign, errors: SharedError[]): Sign {
  const sources = sourcesOf(sign)
  const shift = errors.reduce((sum, error) => sources.includes(error.source) ? sum + error.shift : sum, 0)
  return shift === 0 ? sign : { ...sign, x: sign.x - shift }
}
