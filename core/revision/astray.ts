import { modelsOf, modelsUsedBy } from '../catalogue'
import { PROGRAM } from '../program'
import { arraysOf, NUMBERED, same, type Job, type Wall } from '../job'
import { rulesFor } from '../rules'
import type { AsBuilt } from '../log'
import type { Frozen, FrozenBuilt } from './frozen'

/** As it is in a file: without what is not there. */
const plain = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value

/** A list without what the server gives to its items, which a device may not have heard of yet. */
const unnumbered = (list: unknown[] = []): unknown[] => list.map((item) => {
  const { number: _, by: __, ...rest } = item as Record<string, unknown>
  return rest
})

/** What of a wall its plan follows from. */
function designOf({ revisions: _, rules: __, ...wall }: Wall): unknown {
  const lists = NUMBERED.map(key => [key, unnumbered(wall[key] as unknown[] | undefined)])
  return plain({ ...wall, arrays: arraysOf(wall), ...Object.fromEntries(lists) })
}

const entriesOf = ({ holes, dead }: Pick<FrozenBuilt, 'holes' | 'dead'>) =>
  new Set([...holes, ...dead].map(({ entry }) => entry))

/**
 * Why what was frozen does not follow from what stands by the log of its wall: it knows holes that nobody recorded, or
 * does not know some that were.
 *
 * @returns the reason in words; undefined where it knows just these
 */
export function builtAstray(
  { built }: Pick<Frozen, 'built'>, now: Pick<AsBuilt, 'holes' | 'dead'>,
): string | undefined {
  const [known, recorded] = [entriesOf(built), entriesOf(now)]
  const without = (of: Set<string>, others: Set<string>) => [...of].filter(entry => !others.has(entry)).length
  const [invented, unknown] = [without(known, recorded), without(recorded, known)]
  if (invented > 0) return `it rests on ${holes(invented)} that the log of this wall does not have`
  return unknown > 0 ? `it does not know ${holes(unknown)} that had been recorded when it arrived` : undefined
}

const holes = (count: number) => count === 1 ? '1 drilled hole' : `${count} drilled holes`

/**
 * Why what was frozen does not follow from a wall as the server has it: its design, house rules or models are others.
 * Such a revision may be an honest one, issued without a connection while another person changed the wall.
 *
 * @param job the site with this one wall
 * @returns the reason in words; undefined where it follows
 */
export function astray({ program, site, wall, rules, catalogue }: Frozen, job: Job): string | undefined {
  if (program !== PROGRAM) {
    return `version ${program} of the program planned it, and this server has ${PROGRAM}: reload the page on that `
      + 'device to update it, and issue the wall again; the revision is kept'
  }
  const [stored] = job.walls as [Wall]
  if (!same(designOf(wall), designOf(stored))) return 'its design of the wall is not the one that is saved'
  if (!same(plain(rules), plain(rulesFor(job, stored)))) return 'its house rules are not those of this wall'
  if (site.units !== job.site.units) return 'its units are not those of this site'
  const other = modelsUsedBy(wall).find(({ kind, id }) => {
    const [here, there] = [catalogue, job.catalogue].map(each => modelsOf(each, kind).find(model => model.id === id))
    return !same(plain(here ?? null), plain(there ?? null))
  })
  return other && `its data sheet of ${other.id} is not the one that is saved`
}
