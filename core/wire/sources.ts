import type { Point } from '../geometry'
import { itemName, type Feature, type Source, type Wall } from '../job'

/** What a source is called: what a person named it, or its kind and id. */
export const nameOfSource = (source: Source): string =>
  source.name ?? `${source.kind} ${itemName({ id: source.id, number: source.number })}`

export const isFeed = ({ kind }: Source): boolean => kind === 'circuit' || kind === 'outlet'
export const givesSignal = ({ kind }: Source): boolean => kind === 'player' || kind === 'network'

/** Where a source was entered: at a feature, or by its own figures; undefined where it is elsewhere in the building. */
export function enteredAt(source: Source, wall: Pick<Wall, 'features'>): Point | undefined {
  const feature = wall.features?.find(({ id }) => id === source.feature)
  if (feature) return { x: feature.x + feature.width / 2, y: feature.y + feature.height / 2 }
  return source.x !== undefined && source.y !== undefined ? { x: source.x, y: source.y } : undefined
}

/** Whether a source was entered at a place that the wall does not have. */
export function isOffWall(source: Source, wall: Pick<Wall, 'features' | 'width' | 'height'>): boolean {
  const at = enteredAt(source, wall)
  return at !== undefined && (at.x < 0 || at.x > wall.width || at.y < 0 || at.y > wall.height)
}

/** Where a source is on the wall; undefined where it is elsewhere in the building, or nowhere that the wall has. */
export const placeOf = (source: Source, wall: Wall): Point | undefined =>
  isOffWall(source, wall) ? undefined : enteredAt(source, wall)

/** What goes through a wall, so that nothing is let into it there. */
export const THROUGH_WALL = new Set<Feature['kind']>(['door', 'window', 'recess'])

/** The door, window or recess in which a place is. */
export const openingRound = ({ x, y }: Point, { features = [] }: Pick<Wall, 'features'>): Feature | undefined =>
  features.find(feature =>
    THROUGH_WALL.has(feature.kind) && x > feature.x && x < feature.x + feature.width
    && y > feature.y && y < feature.y + feature.height)

/** Whether a source was at a feature that is not on the wall any more. */
export const isGone = ({ feature }: Source, wall: Wall): boolean =>
  feature !== undefined && !(wall.features ?? []).some(({ id }) => id === feature)
