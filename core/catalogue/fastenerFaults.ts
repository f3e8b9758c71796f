import type { Fastener, Fault } from '../job'
import { textToString, words } from '../units'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** What each kind must give for its sums, and what that is called. */
const NEEDED: Record<string, Record<string, string>> = {
  'lag-screw': { root: 'root diameter', thread: 'thread without its tip', yield: 'bending yield' },
  'wood-screw': { root: 'root diameter', thread: 'thread without its tip', yield: 'bending yield' },
  'wedge-anchor': { allowable: 'allowable tension and shear', embedment: 'embedment', edgeDistance: 'least edge distance' },
  'sleeve-anchor': { allowable: 'allowable tension and shear', embedment: 'embedment', edgeDistance: 'least edge distance' },
  'screw-anchor': { allowable: 'allowable tension and shear', embedment: 'embedment', edgeDistance: 'least edge distance' },
  'toggle': { allowable: 'allowable tension and shear' },
}

/** Figures of a fastener that its sums need and that are not given. */
function missingFigures(fastener: Fastener): Fault[] {
  const given = fastener as unknown as Record<string, unknown>
  return Object.entries(NEEDED[fastener.kind] ?? {}).filter(([key]) => given[key] === undefined).map(([key, name]) => ({ path: key === 'allowable' ? '$.allowable.tension' : `$.${key}`, message: `Its ${name} is needed: without it what it bears is not known` }))
}

/** What cannot be about a fastener's figures: two against each other. */
export function contradictoryFigures({ diameter, length, root, thread, tip = 0, edgeDistance, criticalEdge, minSpacing, criticalSpacing }: Fastener): Fault[] {
  return [
    ...criticalEdge !== undefined && edgeDistance !== undefined && criticalEdge < edgeDistance ? [{ path: '$.criticalEdge', message: `It is less than the least edge distance, ${mm(edgeDistance)} mm` }] : [],
    ...criticalSpacing !== undefined && minSpacing !== undefined && criticalSpacing < minSpacing ? [{ path: '$.criticalSpacing', message: `It is less than the least spacing, ${mm(minSpacing)} mm` }] : [],
    ...root !== undefined && root > diameter ? [{ path: '$.root', message: `The root is ${mm(root - diameter)} mm thicker than the shank` }] : [],
    ...thread !== undefined && thread + tip > length ? [{ path: '$.thread', message: `The thread${tip > 0 ? ' with its point' : ''} is ${mm(thread + tip - length)} mm longer than the screw` }] : [],
  ]
}

/** What cannot be about a fastener's figures: one that its sums need and that is not given, or two against each other. */
export function fastenerFigureFaults(fastener: Fastener): Fault[] {
  return [...missingFigures(fastener), ...contradictoryFigures(fastener)]
}
