import type { ModelKind } from '../../catalogue'
import type { Part, Used } from './parts'
import { together } from './parts'

/** The store; every other place is the van of a crew, by the crew's id. */
export const STORE = 'store'

/** How many of a model were counted in and out at a place, and since when. */
export interface Counted { kind: ModelKind, model: string, place: string, count: number, since: string }

/** What stock is calculated of. */
export interface StockOf {
  counted: Counted[]
  /**
   * What went into walls, by their logs; and what the walls of the next visits still need, each with when it is needed
   * first.
   */
  used: Used[]
  reserved: (Part & { wall: string, first?: string })[]
  minimums: { kind: ModelKind, model: string, least: number }[]
  /** Which van a person has, by his id. */
  vanOf: (person: string) => string | undefined
  /** How many come in a maker's pack, where that is known. */
  packOf: (kind: ModelKind, model: string) => number | undefined
}

/** How one model stands. */
export interface StockLine {
  kind: ModelKind
  model: string
  /** By the counts less what went into walls since; undefined where nobody ever counted. */
  have?: number
  places: { place: string, count: number }[]
  used: number
  reserved: number
  for: { wall: string, count: number }[]
  least: number
  /** What is missing for the next visits and the firm's own minimum; undefined where what there is is not known. */
  short?: number
  /** Packs to order, where the maker's pack is known. */
  packs?: number
}

const keyOf = ({ kind, model }: Pick<Part, 'kind' | 'model'>) => `${kind}/${model}`

/** What is left at each place of a model once what was used since it was counted is taken off. */
function leftOf(
  mine: Counted[], used: StockOf['used'], vanOf: StockOf['vanOf'],
): { places: Map<string, number>, gone: number } {
  const places = new Map(mine.map(({ place, count }) => [place, count]))
  let gone = 0
  for (const { count, at, person } of used) {
    const van = person === undefined ? undefined : vanOf(person)
    const from = mine.find(({ place }) => place === van) ?? mine.find(({ place }) => place === STORE) ?? mine[0]
    if (!from || at < from.since) continue
    places.set(from.place, places.get(from.place)! - count)
    gone += count
  }
  return { places, gone }
}

/**
 * How every model stands that is counted, needed or has a minimum: what was counted less what the logs of walls say was
 * used since, at whichever place it was counted: of the van of who recorded it, else of the store.
 */
export function stockLines({ counted, used, reserved, minimums, vanOf, packOf }: StockOf): StockLine[] {
  const keys = [...new Set([...counted, ...reserved, ...minimums].map(keyOf))].sort()
  return keys.map((key): StockLine => {
    const mine = counted.filter(each => keyOf(each) === key)
    const { kind, model } = [...counted, ...reserved, ...minimums].find(each => keyOf(each) === key)!
    const { places, gone } = leftOf(mine, used.filter(each => keyOf(each) === key), vanOf)
    const needs = reserved.filter(each => keyOf(each) === key)
    const wanted = needs.reduce((sum, { count }) => sum + count, 0)
    const least = minimums.find(each => keyOf(each) === key)?.least ?? 0
    const have = mine.length > 0 ? [...places.values()].reduce((sum, count) => sum + count, 0) : undefined
    const short = have === undefined ? undefined : Math.max(0, wanted + least - have)
    const pack = packOf(kind, model)
    return {
      kind,
      model,
      ...(have !== undefined && { have }),
      places: [...places].map(([place, count]) => ({ place, count })),
      used: gone,
      reserved: wanted,
      for: together(
        needs.map(each => ({ ...each })),
        ({ wall }) => wall,
      ).map(({ wall, count }) => ({ wall, count })),
      least,
      ...(short !== undefined && { short }),
      ...(short !== undefined && short > 0 && pack !== undefined && { packs: Math.ceil(short / pack) }),
    }
  })
}
