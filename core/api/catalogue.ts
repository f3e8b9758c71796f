import type { Catalogue } from '../job'

/**
 * Who kept a model last, which version of it that is, which walls use it, and whether any site holds it, so that new
 * figures become a revision.
 */
export interface Keeping {
  version: number
  savedAt: string
  savedBy: string
  usedBy: { site: string, wall: string, name: string }[]
  held: boolean
}

/** How many the firm has of each model, by kind and id. */
export type StockCounts = Record<string, number>

/** The firm's catalogue; `kept` and `stock` go by kind and id, as `display/kelda-46n`. */
export interface HouseCatalogue extends Required<Catalogue> { kept: Record<string, Keeping>, stock: StockCounts }
