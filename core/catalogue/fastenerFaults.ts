import type { Fastener, Fault } from '../job'
import { textToString, words } from '../units'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** What each kind must give for its sums, and what that is called. */
const NEEDED: Record<string, Record<string, string>> = {
  'lag-screw': { root: 'root diameter', thread: 'thread without its tip', yield: 'bending yield' },
  'wedge-anchor': { allowable: 'allowable tension and shear', embedment: 'embedment' },
  'sleeve-anchor': { allowable: 'allowable tension and shear', embedment: 'embedment' },
  'screw-anchor': { allowable: 'allowable tension and shear', embedment: 'embedment' },
  'toggle': { allowable: 'allowable tension and shear' },
}

/** What cannot be about a fastener's figures: one that its sums need and that is not given, or two against each other. */
export function fastenerFigureFaults(fastener: Fastener): Fault[] {
  const { diameter, length, root, thread, kind, edgeDistance, criticalEdge, minSpacing, criticalSpacing } = fastener
  const given = fastener as unknown as Record<string, unknown>
  return [
    ...Object.entries(NEEDED[kind] ?? {}).filter(([key]) => given[key] === undefined).map(([key, name]) => ({ path: key === 'allowable' ? '$.allowable.tension' : `$.${key}`, message: `Its ${name} is needed: without it what it bears is not known` })),
    ...criticalEdge !== undefined && edgeDistance !== undefined && criticalEdge < edgeDistance ? [{ path: '$.criticalEdge', message: `It is less than the least edge distance, ${mm(edgeDistance)} mm` }] : [],
    ...criticalSpacing !== undefined && minSpacing !== undefined && criticalSpacing < minSpacing ? [{ path: '$.criticalSpacing', message: `It is less than the least spacing, ${mm(minSpacing)} mm` }] : [],
    ...root !== undefined && root > diameter ? [{ path: '$.root', message: `The root is ${mm(root - diameter)} mm thicker than the shank` }] : [],
    ...thread !== undefined && thread > length ? [{ path: '$.thread', message: `The thread is ${mm(thread - length)} mm longer than the screw` }] : [],
  ]
}
