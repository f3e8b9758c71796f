import type { Wall } from '../job'
import { figure, words, type Figure, type Step } from '../units'
import { ERROR_MODEL } from './errorModel'
import { readingsOf, type Member } from './framing'
import { METHOD_NAMES } from './proof'
import type { Run } from './runs'
import { shiftBack, type SharedError } from './shared'
import { pointsTo, signsOf } from './sign'

/** The spacing of a run with its working. */
export function spacingFigure(run: Run): Figure {
  return figure([
    {
      label: 'Spacing',
      expression: words`${String(run.places.size)} studs found at ${run.spacing} spacing over
        ${String(run.last)} bays, each within ± ${1.96 * run.jitter} of the position its neighbours predict`,
      value: run.spacing,
      unit: 'mm',
      source: run.named ? 'standard spacings of framing and furring' : 'fitted: not a standard spacing',
    },
  ])
}

/** Where a run starts with its working. */
export function startFigure(run: Run): Figure {
  return figure([
    {
      label: 'First stud of the run',
      expression: words`mean of its studs, each minus its number of bays × ${run.spacing}; ± ${1.96 * run.startSd}`,
      value: run.start,
      unit: 'mm',
    },
  ])
}

const SIGMAS: Record<string, number | undefined> = {
  'detector-edge': ERROR_MODEL.detectorEdge,
  'detector-centre': ERROR_MODEL.detectorCentre,
  'seen': ERROR_MODEL.seen,
  'knock': ERROR_MODEL.knock,
  'outlet': ERROR_MODEL.outlet,
}

/**
 * A member's centre with its working: where each sign puts it, less what its instrument or reference shares with
 * others, what its neighbours in the run tell, and all together.
 */
export function centreFigure(wall: Wall, member: Member, shared: SharedError[] = []): Figure {
  if (member.sd === 0)
    return figure([{ label: 'Centre', expression: words`as entered`, value: member.centre, unit: 'mm' }])
  const steps = readingsOf(wall).filter(({ reading }) => member.evidence.includes(reading.id)).map((read): Step => {
    const sign = shiftBack(read, shared)
    const less = read.x - sign.x
    const place
      = Math.abs(less) < 0.05
        ? words`${read.x}`
        : less > 0
          ? words`${read.x} − ${less} shared error`
          : words`${read.x} + ${-less} shared error`
    const usual = SIGMAS[sign.reading.method]
    const sigma = usual && usual * (sign.spread ?? 1)
    const centre = pointsTo(sign, member.width)
    return {
      label: METHOD_NAMES[sign.reading.method],
      expression:
        sigma !== undefined
          ? sign.reading.method === 'detector-edge'
            ? words`${place} ${sign.reading.edge === 'left' ? '+' : '−'} half of ${member.width}, standard deviation
              ${sigma}`
            : words`${place}, standard deviation ${sigma}`
          : words`anywhere within ${member.width / 2 - (sign.kind === 'magnet' ? ERROR_MODEL.screwStrip : 0)} of
            ${place}`,
      value: centre,
      unit: 'mm',
    }
  })
  if (member.expected)
    steps.push({
      label: 'regular spacing',
      expression: words`predicted from its neighbours, standard deviation ${member.expected.sd}`,
      value: member.expected.centre,
      unit: 'mm',
    })
  return figure([
    ...steps,
    {
      label: 'Centre',
      expression: words`all of these combined (Bayes’ rule); 95 % confidence ± ${1.96 * member.sd}`,
      value: member.centre,
      unit: 'mm',
    },
  ])
}

/** A member's width with its working. */
export function widthFigure(wall: Wall, member: Member): Figure {
  const edges = signsOf(wall).filter(
    ({ reading }) => reading.method === 'detector-edge' && member.evidence.includes(reading.id),
  )
  const mean = (edge: 'left' | 'right') => {
    const places = edges.filter(({ reading }) => reading.edge === edge).map(({ x }) => x)
    return places.length > 0 ? places.reduce((a, b) => a + b) / places.length : undefined
  }
  const [left, right] = [mean('left'), mean('right')]
  const measured
    = left !== undefined && right !== undefined ? words`edges ${right} − ${left} = ${right - left}: ` : words``
  return figure([
    {
      label: 'Width',
      expression: words`${measured}${member.plies > 1
        ? words`${String(member.plies)} plies of
        ${member.width / member.plies}`
        : words`one ply of
          ${member.width}`}${member.sureWidth === undefined
        ? words``
        : words`; ${member.sureWidth} of it counts, as
            set for this wall`}`,
      value: member.width,
      unit: 'mm',
    },
  ])
}
