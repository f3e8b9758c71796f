import { fastenerKindOf } from '../fastening/kinds'
import type { Fastener, Fault } from '../job'
import { textToString, words } from '../units'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** Figures of a fastener that its sums need and that are not given. */
function missingFigures(fastener: Fastener): Fault[] {
  const given = fastener as unknown as Record<string, unknown>
  return Object.entries(fastenerKindOf(fastener).needs)
    .filter(([key]) => given[key] === undefined)
    .map(([key, name]) => ({
      path: key === 'allowable' ? '$.allowable.tension' : `$.${key}`,
      message: `The ${name} is missing: without it the capacity is not known`,
    }))
}

/** What cannot be about a fastener's figures: two against each other. */
export function contradictoryFigures({
  diameter,
  length,
  root,
  thread,
  tip = 0,
  edgeDistance,
  criticalEdge,
  minSpacing,
  criticalSpacing,
}: Fastener): Fault[] {
  return [
    ...(criticalEdge !== undefined && edgeDistance !== undefined && criticalEdge < edgeDistance
      ? [
          {
            path: '$.criticalEdge',
            message: `The critical edge distance is less than the minimum edge distance, ${mm(edgeDistance)}`,
          },
        ]
      : []),
    ...(criticalSpacing !== undefined && minSpacing !== undefined && criticalSpacing < minSpacing
      ? [
          {
            path: '$.criticalSpacing',
            message: `The critical spacing is less than the minimum spacing, ${mm(minSpacing)}`,
          },
        ]
      : []),
    ...(root !== undefined && root > diameter
      ? [{ path: '$.root', message: `The root diameter is ${mm(root - diameter)} larger than the shank diameter` }]
      : []),
    ...(thread !== undefined && thread + tip > length
      ? [
          {
            path: '$.thread',
            message: `The thread${tip > 0 ? ' with its tip' : ''} is ${mm(thread + tip - length)} longer than the `
              + `screw`,
          },
        ]
      : []),
  ]
}

/**
 * What cannot be about a fastener's figures: one that its sums need and that is not given, or two against each other.
 */
export function fastenerFigureFaults(fastener: Fastener): Fault[] {
  return [...missingFigures(fastener), ...contradictoryFigures(fastener)]
}
