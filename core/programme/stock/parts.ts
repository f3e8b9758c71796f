import type { ModelKind } from '../../catalogue'
import { stepName, type AsBuilt, type RunStepKind } from '../../log'
import { mountModels, type Hole } from '../../mount'
import type { WorkloadOf } from '../tasks/workload'

/** So many of a model of the catalogue. */
export interface Part { kind: ModelKind, model: string, count: number }
/** Parts that went into a wall, when and by whom. */
export interface Used extends Part { at: string, by: string, person?: string }

const keyOf = ({ kind, model }: Pick<Part, 'kind' | 'model'>) => `${kind}/${model}`

/** Parts of one model together. */
export function together<Of extends Part>(parts: Of[], beside: (part: Of) => string = () => ''): Of[] {
  const sums = new Map<string, Of>()
  for (const part of parts) {
    const key = `${keyOf(part)} ${beside(part)}`
    sums.set(key, { ...part, count: (sums.get(key)?.count ?? 0) + part.count })
  }
  return [...sums.values()]
}

const hitOf = ({ id: hole, made }: Hole, { holes }: AsBuilt) =>
  made === 'hit' ? holes.find(each => each.hole === hole && each.result === 'hit') : undefined

interface Taken { model: string, routes: (string | undefined)[] }
/**
 * Cables as they come from the store, each with the routes that use it up: one with a plug by itself, a reel with all
 * that is cut from reels of its model.
 */
const cablesTaken = ({ cables, works }: WorkloadOf['plan']['wiring']): Taken[] => [
  ...cables.flatMap(({ model, route, taken }) =>
    model?.plug && taken !== undefined ? [{ model: model.id, routes: [route] }] : []),
  ...works.reels.flatMap(({ model: { id: model }, lengths }) => {
    const routes = cables.filter(cable => cable.model?.id === model).map(({ route }) => route)
    return lengths.map(() => ({ model, routes }))
  }),
]

/**
 * What of the firm's catalogue a wall still needs, by its plan, and what went into it already, by its log: a fastener
 * by the hole that was made for it, a mount once its plates are set, a display once it hangs, boxes and cables once
 * they are in.
 */
export function partsOf({ wall, plan, built, catalogue, log }: WorkloadOf): { needed: Part[], used: Used[] } {
  const steps = new Map(built.steps.filter(({ done }) => done).map(each => [each.step, each]))
  const personOf = new Map(log.map(({ by, person }) => [by, person]))
  const placed = plan.arrays.flatMap(({ id, positions }) => {
    const array = wall.arrays.find(each => each.id === id)
    return array ? positions.map(position => ({ position, array })) : []
  })
  const [needed, used]: [Part[], Used[]] = [[], []]
  const one = (part: Part, done?: { at: string, by: string }) => {
    if (!done) return needed.push(part)
    const person = personOf.get(done.by)
    return used.push({ ...part, at: done.at, by: done.by, ...(person !== undefined && { person }) })
  }
  const doneOf = (kind: RunStepKind, id: string) => steps.get(stepName({ kind, id }))
  const hung = new Map(log.flatMap(entry => entry.kind === 'hung' ? [[entry.screen, entry] as const] : []))
  const hungOf = (screen: string) => built.hung.includes(screen) ? hung.get(screen) : undefined
  for (const { position, array } of placed) {
    for (const hole of position.holes ?? [])
      if (hole.fastener !== undefined) one({ kind: 'fastener', model: hole.fastener, count: 1 }, hitOf(hole, built))
    const mount = mountModels(array, catalogue)(position)
    const hangs = hungOf(position.id)
    if (mount) one({ kind: 'mount', model: mount.id, count: 1 }, doneOf('plates', array.id) ?? hangs)
    one({ kind: 'display', model: position.model, count: 1 }, hangs)
  }
  const isAllHung = placed.length > 0 && built.hung.length >= placed.length
  const isIn = isAllHung ? hungOf(built.hung.at(-1)!) : undefined
  for (const box of plan.wiring.boxes.filter(({ held }) => held))
    one({ kind: 'box', model: box.model, count: 1 }, doneOf('cable', 'boxes') ?? isIn)
  for (const { model, routes } of cablesTaken(plan.wiring)) {
    const pulled = routes.map(route => (route && doneOf('cable', route)) || isIn)
    one({ kind: 'cable', model, count: 1 }, pulled.every(done => done) ? pulled.at(-1) : undefined)
  }
  return { needed: together(needed), used: together(used, ({ at, by }) => `${at.slice(0, 10)} ${by}`) }
}
