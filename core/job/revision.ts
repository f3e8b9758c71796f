import type { InferType, Schema } from 'yup'
import { LIMITS } from './limits'
import { group, length, list, maybe, must, name, oneOf, text, whole } from './fields'
import { catalogueSchema } from './models'
import { rulesSchema } from './site'

/** So many revisions of a wall are kept. */
const MOST = 500

const rect = (label?: string) =>
  group({ x: must(length()), y: must(length()), width: must(length()), height: must(length()) }, label)
const frozenHole = group({ id: name(), row: text(), x: must(length()), y: must(length()) })
const frozenPosition = group({
  id: name(),
  outer: rect(),
  plate: maybe({ centre: group({ x: must(length()), y: must(length()) }) }),
  holes: list(frozenHole, 1_000),
})
const frozenArray = group({
  id: name(),
  name: text(),
  outline: rect(),
  shift: group({ x: must(length()), y: must(length()) }),
  positions: must(list(frozenPosition, LIMITS.screens)),
})
const mark = group({
  id: name(),
  kind: name(),
  label: text(),
  running: length(),
  height: length(),
  fromLevel: length(),
})

/** What is frozen when a mark-out is issued; `id` is the SHA-256 of the canonical JSON (RFC 8785) of all else in it. */
export const revisionSchema = group(
  {
    id: name('SHA-256 of the canonical JSON of everything else in it; named by the log entry that issued it'),
    program: name('Program version'),
    after: text('Id of the previous revision, from which changes were kept to a minimum'),
    tag: text('What the ids of its new holes end in, which no other device makes'),
    names: list(name(), LIMITS.log, 'Ids that holes had in earlier revisions and not in this one'),
    site: group({
      id: name(),
      name: text(),
      units: must(oneOf(['metric', 'imperial'])),
      electricalRules: oneOf(['nec', 'iec']),
    }),
    wall: whole({ id: name() }).required('is missing').meta({ label: 'The wall at issue' }),
    catalogue: catalogueSchema,
    rules: rulesSchema,
    built: whole({
      holes: must(list(whole({}), LIMITS.log)),
      dead: must(list(whole({}), LIMITS.log)),
      hung: must(list(text(), LIMITS.screens)),
      overrides: must(list(whole({}), 1_000)),
    })
      .required('is missing')
      .meta({ label: 'State of its log at issue' }),
    plan: whole({
      members: must(list(whole({}), 10 * LIMITS.members)),
      arrays: must(list(frozenArray, LIMITS.arrays)),
      marking: group({ datum: group({ x: must(length()), label: text() }), marks: must(list(mark, 100_000)) }),
      wiring: whole({}).required('is missing'),
      dead: must(list(whole({}), LIMITS.log)),
      hanging: must(list(whole({}), LIMITS.arrays)),
      findings: must(list(whole({}), 100_000)),
    })
      .required('is missing')
      .meta({ label: 'Its plan at issue' }),
  },
  'Frozen content',
)
/** A revision as far as its schema tells it; the core's own types say the rest. */
export type StoredRevision = InferType<typeof revisionSchema>

/** The revisions of a wall, as a job file has them. */
export const revisions = () =>
  list(revisionSchema as unknown as Schema<StoredRevision>, MOST, 'Issued revisions, frozen')
