import type { ModelKind } from '../../catalogue'
import type { KitItem } from '../../hang'
import { textToString, type Text, type UnitSystem } from '../../units'
import type { WorkKind } from '../tasks/kinds'
import { together, type Part } from './parts'

/** Which work a model of the catalogue goes along for. */
const FOR: Record<ModelKind, WorkKind[]> = {
  fastener: ['drill', 'plates'],
  mount: ['plates'],
  display: ['hang'],
  box: ['boxes'],
  cable: ['pull'],
  screwKit: [],
}
/** Which work tools and small parts go along for. */
const KIT_FOR: Partial<Record<KitItem['group'], WorkKind[]>> = {
  bits: ['drill', 'boxes', 'pull'],
  fasteners: ['plates', 'hang'],
  mounts: ['plates'],
  cables: ['boxes', 'pull', 'patch'],
  access: ['hang', 'plates', 'drill'],
}

/** A wall that is worked at on a day, and which kinds of work are done there then. */
export interface PickedFor {
  kinds: WorkKind[]
  needed: Part[]
  kit: Pick<KitItem, 'id' | 'group' | 'name' | 'count' | 'spare'>[]
}

/**
 * What to load for a day: parts of the catalogue, and tools, bits and small parts; of what several walls need the most,
 * of what each uses up the sum.
 */
export interface PickList { parts: Part[], tools: { name: Text, count: number, group: KitItem['group'] }[] }

/** What to load for the work of a day. @param units in which names with lengths in them are distinguished */
export function pickList(walls: PickedFor[], units: UnitSystem): PickList {
  const parts = together(
    walls.flatMap(({ kinds, needed }) => needed.filter(({ kind }) => FOR[kind].some(each => kinds.includes(each)))),
  )
  const tools = new Map<string, PickList['tools'][number]>()
  for (const { kinds, kit } of walls) {
    for (const { group, name, count, spare } of kit) {
      const wanted = KIT_FOR[group]
      if (wanted && !wanted.some(kind => kinds.includes(kind))) continue
      const key = `${group} ${textToString(name, units)}`
      const known = tools.get(key)
      const all = count + spare
      // A drill serves two walls in one day; screws do not.
      tools.set(key, {
        name,
        group,
        count: known
          ? group === 'fasteners' || group === 'cables'
            ? known.count + all
            : Math.max(known.count, all)
          : all,
      })
    }
  }
  return { parts, tools: [...tools.values()] }
}
