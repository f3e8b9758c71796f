import type { Finding, SaidAs } from '../finding'
import { sharedBy } from '../geometry'
import type { Feature, ScreenArray, Wall } from '../job'
import { words, type Text } from '../units'
import type { Cell } from './cell'

/** What may never have a screen hung over it. */
const OPEN: Record<string, string> = { door: 'a door', window: 'a window', sprinkler: 'a sprinkler' }
/** What stands in front of the wall. */
const IN_FRONT: Record<string, string> = { counter: 'the counter', furniture: 'the furniture' }

function told(feature: Feature): (SaidAs & { what: string, remedy: Text }) | undefined {
  const { kind, keepReachable } = feature
  const plain = kind.replace('-', ' ')
  if (OPEN[kind])
    return {
      severity: 'stop',
      code: 'array-over-opening' as const,
      what: OPEN[kind],
      remedy: words`Move the array clear of it.`,
    }
  if (kind === 'ceiling-line')
    return {
      severity: 'stop',
      code: 'array-over-ceiling' as const,
      what: 'the ceiling line',
      remedy: words`Hang the array lower.`,
    }
  if (keepReachable)
    return {
      severity: 'stop',
      code: 'array-over-reachable' as const,
      what: `the ${plain} that must stay accessible`,
      remedy: words`Move the array clear of it, or have a licensed person move the ${plain}.`,
    }
  if (IN_FRONT[kind])
    return {
      severity: 'caution',
      code: 'array-behind-furniture' as const,
      what: IN_FRONT[kind],
      remedy: words`Hang the array higher, or make sure that nobody leans on it.`,
    }
  return undefined
}

/** What an array covers that must stay clear, and by how much: the largest part under one screen. */
export function coverFindings(array: ScreenArray, cells: Cell[], { features = [] }: Wall): Finding[] {
  return features.flatMap((feature): Finding[] => {
    const about = told(feature)
    if (!about) return []
    const shared = cells
      .flatMap(({ outer }) => sharedBy(outer, feature) ?? [])
      .sort((a, b) => b.width * b.height - a.width * a.height)[0]
    if (!shared) return []
    const { what, remedy, ...said } = about
    return [{
      ...said, stage: 'arrange', subject: { kind: 'array', id: array.id },
      message: words`${array.name} covers ${what} by ${shared.width} horizontally and ${shared.height} vertically.`,
      remedy,
    }]
  })
}
