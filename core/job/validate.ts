import { InvalidJob, type Fault } from './fault'
import { logEntrySchema, newEntryFaults, type LogEntry } from '../log/entry'
import { schemaFaults } from './check'
import { broughtUpToDate } from './earlier'
import { evidenceSchema } from './evidence'
import { idsNow } from './plainWalls'
import { LIMITS } from './limits'
import { soundJsonFault } from './soundJson'
import { jobSchema, type Job } from './job'
import type { Catalogue } from './models'
import { same } from './merge'
import { COLUMN_ALIGNMENTS, ROW_ALIGNMENTS, type Alignment } from './screenArray'
import { idOfFrozen } from './frozenId'
import { rulesSchema, siteSchema } from './site'
import { wallSchema, type Wall } from './wall'
import { screenLabel } from './screenLabel'

function repeated(ids: { id: string }[], path: string): Fault[] {
  const seen = new Set<string>()
  return ids.flatMap(({ id }, index) => {
    if (!seen.has(id)) return seen.add(id) && []
    return [{ path: `${path}[${index}].id`, message: `“${id}” is used twice; each id must be unique` }]
  })
}

function unknownModels(wall: Wall, catalogue: Catalogue, path: string): Fault[] {
  const shelves = { display: catalogue.displays, mount: catalogue.mounts, fastener: catalogue.fasteners } as const
  const unknown = (kind: keyof typeof shelves, id: string | undefined, at: string) =>
    id === undefined || shelves[kind].some(model => model.id === id)
      ? []
      : [{ path: `${at}.${kind}`, message: `“${id}” is not in the catalogue` }]
  return wall.arrays.flatMap((array, index) => {
    const at = `${path}.arrays[${index}]`
    return [
      ...(Object.keys(shelves) as (keyof typeof shelves)[]).flatMap(kind => unknown(kind, array[kind], at)),
      ...(array.cells ?? []).flatMap(({ display, mount }, n) => [
        ...unknown('display', display, `${at}.cells[${n}]`),
        ...unknown('mount', mount, `${at}.cells[${n}]`),
      ]),
    ]
  })
}

function unknownReferences(wall: Wall, path: string): Fault[] {
  const known = new Set(wall.references?.map(({ id }) => id))
  return (wall.evidence ?? []).flatMap(({ reference }, index) =>
    reference === undefined || known.has(reference)
      ? []
      : [{ path: `${path}.evidence[${index}].reference`, message: `“${reference}” is not a reference on this wall` }],
  )
}

function placesOutsideGrid(wall: Wall, path: string): Fault[] {
  return wall.arrays.flatMap((array, index) =>
    (['plates', 'cells'] as const).flatMap((list) => {
      const at = `${path}.arrays[${index}].${list}`
      const seen = new Set<string>()
      return (array[list] ?? []).flatMap(({ row, column }, n) => {
        const place = screenLabel({ row, column })
        if (row > array.rows || column > array.columns)
          return [{ path: `${at}[${n}]`, message: `is ${place}, outside a grid of ${array.rows} × ${array.columns}` }]
        if (!seen.has(place)) return seen.add(place) && []
        return [{ path: `${at}[${n}]`, message: `${place} is listed twice` }]
      })
    }),
  )
}

/** A line of unlike displays is one row or one column, in line by what such a one can be. */
function alignmentFaults(wall: Wall, path: string): Fault[] {
  return wall.arrays.flatMap(({ rows, columns, align }, index) => {
    const at = `${path}.arrays[${index}].align`
    if (align === undefined) return []
    if (rows > 1 && columns > 1)
      return [
        {
          path: at,
          message: `displays of mixed sizes must hang in one row or one column, not in ${rows} × ${columns}`,
        },
      ]
    const can: readonly Alignment[]
      = columns > 1 ? ROW_ALIGNMENTS : rows > 1 ? COLUMN_ALIGNMENTS : [...ROW_ALIGNMENTS, ...COLUMN_ALIGNMENTS]
    return can.includes(align)
      ? []
      : [
          {
            path: at,
            message: `a ${columns > 1 ? 'row' : 'column'} must align by one of ${can.join(', ')}, not “${align}”`,
          },
        ]
  })
}

function alternativeFaults({ alternatives = [], alternative, chosen, arrays }: Wall, path: string): Fault[] {
  const known = new Set(alternatives.map(({ id }) => id))
  const unknown = (id: string | undefined, at: string) =>
    id === undefined || known.has(id) ? [] : [{ path: at, message: `“${id}” is not an alternative of this wall` }]
  return [
    ...repeated(alternatives, `${path}.alternatives`),
    ...unknown(alternative, `${path}.alternative`),
    ...unknown(chosen, `${path}.chosen`),
    ...arrays.flatMap((array, index) => unknown(array.alternative, `${path}.arrays[${index}].alternative`)),
  ]
}

/** A correction names an earlier entry of the same wall. */
function correctionFaults(log: LogEntry[], ids: Map<string, string>): Fault[] {
  const walls = new Map<string, string>()
  return log.flatMap((entry, index) => {
    const wall = ids.get(entry.wall) ?? entry.wall
    const { corrects } = entry as { corrects?: string }
    const unknown = corrects !== undefined && walls.get(corrects) !== wall
    walls.set(entry.id, wall)
    return unknown
      ? [{ path: `$.log[${index}].corrects`, message: `“${corrects}” is not an earlier entry of this wall` }]
      : []
  })
}

/** What was frozen is what its id says, and its wall is one that could be kept. */
function revisionFaults({ revisions = [] }: Wall, path: string): Fault[] {
  return revisions.flatMap((revision, index): Fault[] => {
    const at = `${path}.revisions[${index}]`
    if (idOfFrozen(revision) !== revision.id)
      return [
        {
          path: at,
          message: 'does not match what was issued: it was changed later, or its id belongs to another revision',
        },
      ]
    return wallFaults(revision.wall, revision.catalogue, `${at}.wall`)
  })
}

/** The screens of a wall as it is planned: those of all its alternatives, or of one, with those that belong to all. */
function screenCountFaults({ arrays, alternatives = [] }: Wall, path: string): Fault[] {
  const most = Math.max(
    ...[undefined, ...alternatives.map(({ id }) => id)].map(shown =>
      arrays
        .filter(({ alternative }) => alternative === undefined || alternative === shown)
        .reduce((sum, { rows, columns }) => sum + rows * columns, 0),
    ),
  )
  return most > LIMITS.screens
    ? [
        {
          path: `${path}.arrays`,
          message: `have ${most} screens in total; at most ${LIMITS.screens} can be planned on one wall`,
        },
      ]
    : []
}

function wallLinkFaults(wall: Wall, catalogue: Catalogue, path: string): Fault[] {
  return [
    ...repeated(wall.arrays, `${path}.arrays`),
    ...repeated(wall.evidence ?? [], `${path}.evidence`),
    ...repeated(wall.features ?? [], `${path}.features`),
    ...repeated(wall.references ?? [], `${path}.references`),
    ...repeated(wall.sources ?? [], `${path}.sources`),
    ...repeated(wall.boxes ?? [], `${path}.boxes`),
    ...(wall.boxes ?? []).flatMap(({ model }, n) =>
      (catalogue.boxes ?? []).some(({ id }) => id === model)
        ? []
        : [{ path: `${path}.boxes[${n}].model`, message: `“${model}” is not in the catalogue` }],
    ),
    ...unknownModels(wall, catalogue, path),
    ...unknownReferences(wall, path),
    ...placesOutsideGrid(wall, path),
    ...alignmentFaults(wall, path),
    ...alternativeFaults(wall, path),
    ...screenCountFaults(wall, path),
  ]
}

/**
 * What an edit of a good wall changed: the keys that differ, with only those entries of their lists that a good one
 * does not have at the same place, and where those were.
 */
function changedIn(
  wall: Record<string, unknown>,
  good: Record<string, unknown>,
): { part: Record<string, unknown>, places: Record<string, number[]> } {
  const part: Record<string, unknown> = {}
  const places: Record<string, number[]> = {}
  for (const key of Object.keys(wallSchema.fields)) {
    const [value, known] = [wall[key], good[key]]
    if (same(value, known)) continue
    part[key] = value
    if (!Array.isArray(value) || !Array.isArray(known) || value.length > LIMITS.readings) continue
    places[key] = value.flatMap((entry, index) => (same(entry, known[index]) ? [] : [index]))
    part[key] = places[key].map(index => value[index] as unknown)
  }
  return { part, places }
}

/** Faults of what an edit of a good wall changed, at the paths of the whole wall. */
function faultsOfChange(wall: Record<string, unknown>, good: Wall, root: string): Fault[] {
  const { part, places } = changedIn(wall, good as Record<string, unknown>)
  const keys = Object.keys(part) as (keyof Wall)[]
  return keys.length === 0
    ? []
    : schemaFaults(wallSchema.pick(keys), part, root).map(({ path, message }) => ({
        path: path
          .slice(root.length)
          .replace(/^\.(\w+)\[(\d+)\]/, (text, key: string, index: string) =>
            places[key] ? `.${key}[${places[key][Number(index)]}]` : text,
          )
          .replace(/^/, root),
        message,
      }))
}

/**
 * Every fault of one wall against its job's catalogue, at paths under `root`.
 *
 * @param good a wall known to have none, from which this one was edited: what it has too is not checked again
 */
export function wallFaults(wall: unknown, catalogue: Catalogue, root = '$', good?: Wall): Fault[] {
  const isEdit = good !== undefined && typeof wall === 'object' && wall !== null && !Array.isArray(wall)
  const faults = isEdit
    ? faultsOfChange(wall as Record<string, unknown>, good, root)
    : schemaFaults(wallSchema, wall, root)
  return faults.length > 0 ? faults : wallLinkFaults(wall as Wall, catalogue, root).slice(0, LIMITS.faults)
}

/** Every fault of one reading by itself, at paths under `$`. */
export function evidenceFaults(reading: unknown): Fault[] {
  return schemaFaults(evidenceSchema, reading, '$')
}

/** What is wrong with what a site says of itself. */
export const siteFaults = (site: unknown): Fault[] => schemaFaults(siteSchema, site, '$.site')

/** Every fault of a site's house rules, at paths under `$`. */
export function rulesFaults(rules: unknown): Fault[] {
  return schemaFaults(rulesSchema, rules, '$')
}

/** Every fault of one log entry, at paths under `$`. */
export function logEntryFaults(entry: unknown): Fault[] {
  const faults = schemaFaults(logEntrySchema, entry, '$')
  return faults.length > 0 ? faults : newEntryFaults(entry as LogEntry, '$')
}

const isIn = (path: string, other: string): boolean =>
  path === other || (path.startsWith(other) && '.['.includes(path[other.length]!))

/** Whether a path is that of a fault, inside what is at fault, or of what the fault is in. */
const isTold = (path: string, faults: Fault[]): boolean =>
  faults.some(each => isIn(path, each.path) || isIn(each.path, path))

/** What a check finds; nothing where what it looks at is not what its schema asks for, which is a fault of its own. */
function found(check: () => Fault[]): Fault[] {
  try {
    return check()
  }
  catch {
    return []
  }
}

/** Faults of a wall against the rest of its file. */
const wallChecks = (wall: Wall, catalogue: Catalogue, path: string): (() => Fault[])[] => [
  () => wallLinkFaults(wall, catalogue, path),
  () => repeated(wall.revisions ?? [], `${path}.revisions`),
  () => revisionFaults(wall, path),
]

const CATALOGUE_LISTS = ['displays', 'mounts', 'fasteners', 'screwKits', 'boxes', 'cables'] as const

/** Faults between the parts of a job: ids used twice, and what names what is not there. */
function linkFaults({ walls, log, catalogue }: Job): Fault[] {
  const ofWalls = found(() =>
    walls.flatMap((wall, index) => wallChecks(wall, catalogue, `$.walls[${index}]`).flatMap(found)),
  )
  return [
    () => repeated(walls, '$.walls'),
    () => repeated(log, '$.log'),
    () => log.flatMap((entry, index) => newEntryFaults(entry, `$.log[${index}]`)),
    () => correctionFaults(log, idsNow(walls)),
    ...CATALOGUE_LISTS.map(list => () => repeated(catalogue[list] ?? [], `$.catalogue.${list}`)),
  ]
    .flatMap(found)
    .concat(ofWalls)
}

/** Whether the lists of a job are as long as they may be: what is in them is looked at one by one. */
const isCountable = (job: unknown): boolean => {
  const { walls, log } = (job ?? {}) as Partial<Record<'walls' | 'log', unknown>>
  return Array.isArray(walls) && walls.length <= LIMITS.walls && Array.isArray(log) && log.length <= LIMITS.log
}

/**
 * Takes a value read from JSON as a job; one that an earlier version wrote is brought up to date.
 *
 * @throws InvalidJob with every fault by JSON path, as the file has it
 */
export function validateJob(value: unknown): Job {
  const unsound = soundJsonFault(value)
  if (unsound) throw new InvalidJob([unsound])
  const { job, pathBefore } = broughtUpToDate(value)
  const refuseFor = (faults: Fault[]) => {
    if (faults.length > 0)
      throw new InvalidJob(
        faults.slice(0, LIMITS.faults).map(({ path, message }) => ({ path: pathBefore(path), message })),
      )
  }
  const ill = schemaFaults(jobSchema, job, '$')
  const links = isCountable(job) ? found(() => linkFaults(job as Job)) : []
  refuseFor([...ill, ...links.filter(({ path }) => !isTold(path, ill))].slice(0, LIMITS.faults))
  return job as Job
}
