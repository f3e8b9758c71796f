import type { Wall } from '../job'
import { figure, words, type Figure, type Step } from '../units'
import { ERROR_MODEL } from './errorModel'
import type { Member } from './framing'
import { METHOD_NAMES } from './proof'
import type { Run } from './runs'
import { shiftBack, type SharedError } from './shared'
import { pointsTo, signsOf } from './sign'

/** The spacing of a run with its working. */
export function spacingFigure(run: Run): Figure {
  return figure([{
    label: 'Spacing', expression: words`${String(run.places.size)} members found stand at ${run.spacing} over ${String(run.last)} bays, each within ± ${1.96 * run.jitter} of where its neighbours tell`,
    value: run.spacing, unit: 'mm', source: run.named ? 'usual spacings of framing and furring' : 'fitted: it is none of the usual spacings',
  }])
}

/** Where a run starts with its working. */
export function startFigure(run: Run): Figure {
  return figure([{
    label: 'First member of the run', expression: words`mean of its members, each less its bays of ${run.spacing}; ± ${1.96 * run.startSd}`,
    value: run.start, unit: 'mm',
  }])
}

const SIGMAS: Record<string, number | undefined> = {
  'detector-edge': ERROR_MODEL.detectorEdge, 'detector-centre': ERROR_MODEL.detectorCentre, 'seen': ERROR_MODEL.seen, 'knock': ERROR_MODEL.knock, 'outlet': ERROR_MODEL.outlet,
}

/** A member's centre with its working: where each sign puts it, less what its instrument or reference shares with others, what its neighbours in the run tell, and all together. */
export function centreFigure(wall: Wall, member: Member, shared: SharedError[] = []): Figure {
  if (member.sd === 0) return figure([{ label: 'Centre', expression: words`as entered`, value: member.centre, unit: 'mm' }])
  const steps = signsOf(wall).filter(({ reading }) => member.evidence.includes(reading.id)).map((read): Step => {
    const sign = shiftBack(read, shared)
    const less = read.x - sign.x
    const place = Math.abs(less) < 0.05 ? words`${read.x}` : less > 0 ? words`${read.x} − ${less} shared` : words`${read.x} + ${-less} shared`
    const sigma = SIGMAS[sign.reading.method]
    const centre = pointsTo(sign, member.width)
    return {
      label: METHOD_NAMES[sign.reading.method],
      expression: sigma !== undefined
        ? sign.reading.method === 'detector-edge'
          ? words`${place} ${sign.reading.edge === 'left' ? '+' : '−'} half of ${member.width}, one σ ${sigma}`
          : words`${place}, one σ ${sigma}`
        : words`anywhere within ${member.width / 2 - (sign.kind === 'magnet' ? ERROR_MODEL.screwStrip : 0)} of ${place}`,
      value: centre, unit: 'mm',
    }
  })
  if (member.expected) steps.push({ label: 'its run', expression: words`as its neighbours tell, one σ ${member.expected.sd}`, value: member.expected.centre, unit: 'mm' })
  return figure([...steps, {
    label: 'Centre', expression: words`all of these by Bayes’ rule; 95 times in 100 within ± ${1.96 * member.sd}`, value: member.centre, unit: 'mm',
  }])
}

/** A member's width with its working. */
export function widthFigure(wall: Wall, member: Member): Figure {
  const edges = signsOf(wall).filter(({ reading }) => reading.method === 'detector-edge' && member.evidence.includes(reading.id))
  const mean = (edge: 'left' | 'right') => {
    const places = edges.filter(({ reading }) => reading.edge === edge).map(({ x }) => x)
    return places.length > 0 ? places.reduce((a, b) => a + b) / places.length : undefined
  }
  const [left, right] = [mean('left'), mean('right')]
  const measured = left !== undefined && right !== undefined ? words`edges ${right} − ${left} = ${right - left}: ` : words``
  return figure([{
    label: 'Width', expression: words`${measured}${member.plies > 1 ? words`${String(member.plies)} of ${member.width / member.plies}` : words`one of ${member.width}`}${member.sureWidth === undefined ? words`` : words`; ${member.sureWidth} of it counts, as said for this wall`}`, value: member.width, unit: 'mm',
  }])
}
