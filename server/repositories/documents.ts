import { perDatabase, type Database } from '../database/perDatabase'

/** So many documents are kept parsed; the one longest there makes room. */
const AT_HAND = 200

const parsed = perDatabase(() => new Map<string, { text: string, document: unknown }>())

/**
 * A document of the database, parsed once as long as its text stays the same: it is read by many and seldom changed.
 * Not to be changed, as others read the same one.
 *
 * @param name tells it from all others
 * @param document what it is parsed, where that is known
 */
export function parsedOnce<Document>(db: Database, name: string, text: string, document?: Document): Document {
  const atHand = parsed(db)
  const known = atHand.get(name)
  if (known?.text === text) return known.document as Document
  atHand.delete(name)
  if (atHand.size >= AT_HAND) atHand.delete(atHand.keys().next().value!)
  const read = document ?? JSON.parse(text) as Document
  atHand.set(name, { text, document: read })
  return read
}
