import type { Wall } from '../job'
import { figure, words, type Figure, type Step } from '../units'
import { ERROR_MODEL } from './errorModel'
import { nominalWidth, type Member } from './framing'
import { METHOD_NAMES } from './proof'
import type { Run } from './runs'
import { pointsTo, signsOf } from './sign'

/** The spacing of a run with its working. */
export function spacingFigure(run: Run): Figure {
  return figure([{
    label: 'Spacing', expression: words`${String(run.places.size)} members found stand at ${run.spacing} over ${String(run.last)} bays, each within ± ${1.96 * run.jitter}`,
    value: run.spacing, unit: 'mm', source: 'usual spacings of framing and furring',
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

/** A member's centre with its working: where each sign puts it, what its run expects, and both together. */
export function centreFigure(wall: Wall, member: Member, run?: Run): Figure {
  if (member.sd === 0) return figure([{ label: 'Centre', expression: words`as entered`, value: member.centre, unit: 'mm' }])
  const steps = signsOf(wall).filter(({ reading }) => member.evidence.includes(reading.id)).map((sign): Step => {
    const sigma = SIGMAS[sign.reading.method]
    const centre = pointsTo(sign, member.width)
    return {
      label: METHOD_NAMES[sign.reading.method],
      expression: sigma !== undefined
        ? sign.reading.method === 'detector-edge'
          ? words`${sign.x} ${sign.reading.edge === 'left' ? '+' : '−'} half of ${member.width}, one σ ${sigma}`
          : words`${sign.x}, one σ ${sigma}`
        : words`anywhere within ${member.width / 2 - (sign.kind === 'magnet' ? ERROR_MODEL.screwStrip : 0)} of ${sign.x}`,
      value: centre, unit: 'mm',
    }
  })
  if (run) {
    const place = Math.round((member.centre - run.start) / run.spacing)
    steps.push({ label: 'its run', expression: words`${run.start} + ${String(place)} × ${run.spacing}, one σ ${Math.hypot(run.jitter, run.startSd)}`, value: run.start + place * run.spacing, unit: 'mm' })
  }
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
    label: 'Width', expression: words`${measured}${member.kind === 'double' ? words`two of ${nominalWidth(wall)}` : words`one of ${nominalWidth(wall)}`}`, value: member.width, unit: 'mm',
  }])
}
