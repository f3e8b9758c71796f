import type { Finding } from '../finding'
import { itemName, type Evidence, type Feature, type Reference, type Wall } from '../job'
import { words, type Text } from '../units'

/** Two people who enter one thing seldom agree to better than this, mm. */
const NEAR = 30
/** Two readings of one method by two people at one place, nearer than either could hit it again, mm. */
const SAME_READING = 1

const isNear = (a: number, b: number, by = NEAR) => Math.abs(a - b) <= by

/** Pairs of a list of which one may be the other, entered again. */
const pairs = <Item>(list: Item[] = [], alike: (a: Item, b: Item) => boolean): [Item, Item][] =>
  list.flatMap((a, n) => list.slice(n + 1).filter(b => alike(a, b)).map((b): [Item, Item] => [a, b]))

const sameFeature = (a: Feature, b: Feature) =>
  a.kind === b.kind && isNear(a.x, b.x) && isNear(a.y, b.y) && isNear(a.width, b.width) && isNear(a.height, b.height)
const sameReference = (a: Reference, b: Reference) => isNear(a.front, b.front) && isNear(a.back, b.back)
const sameReading = (a: Evidence, b: Evidence) =>
  a.method === b.method
  && a.by !== b.by
  && a.side === b.side
  && isNear(a.x, b.x, SAME_READING)
  && isNear(a.y, b.y, SAME_READING)
  && a.edge === b.edge
  && a.hit === b.hit
  && a.setAside === undefined
  && b.setAside === undefined

const readBy = (reading: Evidence) => `${itemName(reading)} by ${reading.by ?? 'an unnamed person'}`

/**
 * A caution for what two people may have entered of one thing: an outlet that is there twice keeps two places clear,
 * and a reading that is there twice counts as two.
 */
export function twiceFindings({ features, references, evidence }: Wall): Finding[] {
  const told = (subject: Finding['subject'], message: Text): Finding => ({
    severity: 'caution', code: 'entered-twice', stage: 'survey', subject, message,
    remedy: words`Delete one of them if two people entered the same thing.`,
  })
  return [
    ...pairs(features, sameFeature).map(([a, b]) =>
      told(
        { kind: 'feature', id: b.id },
        words`Features ${itemName(a)} and ${itemName(b)} are in one place, ${a.x} from wall left.`,
      ),
    ),
    ...pairs(references, sameReference).map(([a, b]) =>
      told(
        { kind: 'reference', id: b.id },
        words`References ${itemName(a)} and ${itemName(b)} are at one place, ${a.front} from wall left.`,
      ),
    ),
    ...pairs(evidence, sameReading).map(([a, b]) =>
      told(
        { kind: 'reading', id: b.id },
        words`Readings ${readBy(a)} and ${readBy(b)} are the same, at ${a.x}.`,
      ),
    ),
  ]
}
