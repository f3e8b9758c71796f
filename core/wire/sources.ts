import type { Point } from '../geometry'
import { itemName, type Source, type Wall } from '../job'

/** What a source is called: what a person named it, or its kind and id. */
export const nameOfSource = (source: Source): string =>
  source.name ?? `${source.kind} ${itemName({ id: source.id, number: source.number })}`

export const isFeed = ({ kind }: Source): boolean => kind === 'circuit' || kind === 'outlet'
export const givesSignal = ({ kind }: Source): boolean => kind === 'player' || kind === 'network'

/** Where a source is on the wall; undefined where it is elsewhere in the building. */
export function placeOf(source: Source, wall: Wall): Point | undefined {
  const feature = wall.features?.find(({ id }) => id === source.feature)
  if (feature) return { x: feature.x + feature.width / 2, y: feature.y + feature.height / 2 }
  return source.x !== undefined && source.y !== undefined ? { x: source.x, y: source.y } : undefined
}

/** Whether a source was at a feature that is not on the wall any more. */
export const isGone = ({ feature }: Source, wall: Wall): boolean =>
  feature !== undefined && !(wall.features ?? []).some(({ id }) => id === feature)
