import type { Finding } from '../../finding'
import { itemName } from '../../job'
import { words, type Text } from '../../units'
import type { BoxPlan } from '../boxes/boxes'
import type { Wiring } from '../wiring'
import { aboutBox, some } from './about'

const listed = (texts: Text[]): Text => texts.reduce((a, b, n) => n === 0 ? b : words`${a}; ${b}`, [])

/** Boxes without a place, and what is doubtful of those that have one, each doubt once. */
export function boxFindings({ boxes }: Wiring): Finding[] {
  const doubts = new Map<string, { text: Text, boxes: BoxPlan[] }>()
  for (const box of boxes) {
    for (const text of box.held ? box.doubts : []) {
      const key = JSON.stringify(text)
      doubts.set(key, { text, boxes: [...doubts.get(key)?.boxes ?? [], box] })
    }
  }
  return [
    ...boxes
      .filter(({ held }) => !held)
      .map((box): Finding => ({
        ...aboutBox(box.id),
        severity: 'stop',
        code: 'box-no-place' as const,
        message: words`Box ${itemName(box)}: ${listed(box.wrong)}.`,
        ...(box.nearest
          ? { remedy: words`It fits at ${box.nearest.x} from wall left and ${box.nearest.y} above floor.` }
          : { remedy: box.cure ?? words`Use a smaller or shallower box, another stud bay, or a surface box.` }),
      })),
    ...[...doubts.values()].map(({ text, boxes: of }): Finding => ({
      ...aboutBox(of[0]!.id),
      severity: 'caution',
      code: 'box-hard-to-reach' as const,
      message: words`${of.length === 1 ? 'Box' : 'Boxes'} ${some(of.map(itemName))}: ${text}.`,
      remedy: words`Plug in before the display goes up, and record it in the notes, or use another mount.`,
    })),
  ]
}
