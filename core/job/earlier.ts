import { LIMITS } from './limits'

/** A job as an earlier version wrote it, brought to the form of this one; and where what was moved stood. */
export interface Brought { job: unknown, pathBefore: (path: string) => string }

type Tree = Record<string, unknown>
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null && !Array.isArray(value)
const trees = (value: unknown): Tree[] => Array.isArray(value) ? value.filter(isTree) : []

/** An id that is not taken, and is from then on: the wanted one, or with more behind it. */
function freeId(wanted: string, taken: Set<unknown>): string {
  let [id, n] = [wanted, 2]
  while (taken.has(id)) id = `${wanted}-${n++}`
  taken.add(id)
  return id
}

/**
 * A wall whose alternatives had their arrays each in an entry of its own, and those that were shown in the wall: all
 * of them in the wall's list, each with its alternative, under ids that are unique over all.
 */
function withArraysInOnePlace(wall: Tree, moved: (to: number, from: string) => void): Tree {
  const alternatives = trees(wall.alternatives)
  if (!Array.isArray(wall.arrays) || !alternatives.some(({ arrays }) => Array.isArray(arrays))) return wall
  const shown = typeof wall.alternative === 'string' ? { alternative: wall.alternative } : {}
  const arrays: unknown[] = wall.arrays.map(array => isTree(array) ? { ...array, ...shown } : array as unknown)
  const taken = new Set(arrays.map(array => isTree(array) ? array.id : undefined))
  const kept = alternatives.map((alternative, n) => {
    const { arrays: own = [], ...rest } = alternative
    if (!Array.isArray(own) || alternative.id === wall.alternative) return rest
    for (const [k, array] of own.entries()) {
      moved(arrays.length, `alternatives[${n}].arrays[${k}]`)
      arrays.push(
        isTree(array)
          ? { ...array, id: freeId(String(array.id), taken), alternative: alternative.id }
          : (array as unknown),
      )
    }
    return rest
  })
  return { ...wall, arrays, alternatives: kept }
}

/** The overrides that stood in a wall, as entries of the log. */
function overridesAsEntries(wall: Tree, taken: Set<unknown>): Tree[] {
  return trees(wall.overrides).map(({ told: _, ...override }) => ({
    id: freeId(`override-${String(wall.id)}-${String(override.code)}`.slice(0, 150), taken),
    at: override.at,
    by: override.by,
    wall: wall.id,
    kind: 'override',
    code: override.code,
    subject: override.subject,
    reason: override.reason,
  }))
}

/** A catalogue without what of its fasteners is in stock: that is the firm's ledger, and no figure of a model. */
function withoutStock(catalogue: unknown): unknown {
  if (!isTree(catalogue) || !trees(catalogue.fasteners).some(model => 'stock' in model)) return catalogue
  return { ...catalogue, fasteners: (catalogue.fasteners as unknown[]).map((model) => {
    if (!isTree(model)) return model
    const { stock: _, ...rest } = model
    return rest
  }) }
}

/**
 * Brings a job file of an earlier version to the form of this one: alternatives no longer have arrays of their own,
 * stops that people took upon themselves are entries of the log, and stock is no figure of a model. Anything else
 * stays as it is.
 */
export function broughtUpToDate(job: unknown): Brought {
  const asItIs: Brought = { job, pathBefore: path => path }
  // A list that is too long is not read: it is refused for that.
  if (!isTree(job) || !Array.isArray(job.walls) || !Array.isArray(job.log) || job.walls.length > LIMITS.walls)
    return asItIs
  const before = new Map<string, string>()
  const log = [...job.log as unknown[]]
  const taken = new Set(trees(log).map(({ id }) => id))
  const walls = (job.walls as unknown[]).map((wall, w) => {
    if (!isTree(wall)) return wall
    const at = `$.walls[${w}]`
    const inOnePlace = withArraysInOnePlace(wall, (to, from) => before.set(`${at}.arrays[${to}]`, `${at}.${from}`))
    if (!('overrides' in inOnePlace)) return inOnePlace
    const { overrides, ...rest } = inOnePlace
    for (const [n, entry] of overridesAsEntries(wall, taken).entries()) {
      before.set(`$.log[${log.length}]`, `${at}.overrides[${n}]`)
      log.push(entry)
    }
    return overrides === undefined || Array.isArray(overrides) ? rest : { ...rest, overrides }
  })
  const catalogue = withoutStock(job.catalogue)
  const isSame = catalogue === job.catalogue && walls.every((wall, n) => wall === (job.walls as unknown[])[n])
  if (isSame) return asItIs
  return {
    job: { ...job, ...('catalogue' in job && { catalogue }), walls, log },
    pathBefore: path => path.replace(/^\$\.(walls\[\d+\]\.arrays|log)\[\d+\]/, place => before.get(place) ?? place),
  }
}
