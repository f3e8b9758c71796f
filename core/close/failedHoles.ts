import { deadHoles, holeSteps } from '../hang'
import type { Catalogue, Wall } from '../job'
import { authorText, RESULT_NAMES, standing, type AsBuilt, type LogEntry, type MadeHole } from '../log'
import type { Shown } from '../mark/sheet/drawing'
import type { Block } from '../sheet'

/** A wall as it was drilled: its plan now and as issued last, what stands by the log, and the log. */
interface Drilled {
  wall: Wall
  plan: Shown
  issued: Shown['arrays']
  built: AsBuilt
  catalogue: Catalogue
  log: LogEntry[]
}

/** How figures and dates are written on a handover. */
interface Written { show: (mm: number) => string, day: (at: string) => string }

const resultBy
  = (day: Written['day']) =>
    ({ result, at, ...who }: MadeHole) =>
      `${RESULT_NAMES[result]} by ${authorText(who)}, ${day(at)}`

/**
 * The holes that took no fastener, each with what the drill met, what fills it and what was found there since, and the
 * holes of which people say unlike things.
 */
export function failedHoles(
  { wall, plan, issued, built, catalogue, log }: Drilled, { show, day }: Written,
): Block[] {
  const fills = new Map(deadHoles(wall, built, catalogue).map(({ entry, fill }) => [entry, fill]))
  const found = new Map(
    standing(log, wall).flatMap(entry => (entry.kind === 'checked' ? [[entry.hole, entry.found] as const] : [])),
  )
  const named = new Map([...holeSteps(issued), ...holeSteps(plan.arrays)].map(({ hole, label }) => [hole.id, label]))
  const labels = (id: string) => named.get(id) ?? id
  const failed = built.dead.map(({ hole, x, y, result, note, by, sentBy, at, entry }) => [
    labels(hole), show(x), show(y), RESULT_NAMES[result],
    [note, found.has(hole) && `found: ${found.get(hole)}`, fills.get(entry)].filter(Boolean).join('; '),
    authorText({ by, sentBy }), day(at),
  ])
  const again = built.filled.map(({ hole, x, y, result, note, by, sentBy, at }) => [
    labels(hole), show(x), show(y), RESULT_NAMES[result],
    [note, 'filled and drilled again in its place'].filter(Boolean).join('; '),
    authorText({ by, sentBy }), day(at),
  ])
  const disputed = built.disputed.map(({ hole, results }): Block => ({
    text: `${labels(hole)} is disputed: ${results.map(resultBy(day)).join('; ')}. It is not counted as drilled.`,
  }))
  if (failed.length + again.length + disputed.length === 0) return [{ heading: 'Failed holes' }, { text: 'None.' }]
  const table: Block = {
    columns: [
      { title: 'Hole', share: 0.16 }, { title: 'From wall left', share: 0.1, figures: true },
      { title: 'above floor', share: 0.1, figures: true }, { title: 'Result', share: 0.1 },
      { title: 'Note and filling', share: 0.34 }, { title: 'By', share: 0.1 }, { title: 'Date', share: 0.1 },
    ],
    rows: [...failed, ...again],
  }
  return [{ heading: 'Failed holes' }, ...table.rows.length > 0 ? [table] : [], ...disputed]
}
