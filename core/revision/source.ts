import type { Job, Wall } from '../job'
import { asBuilt, headCode, headProof } from '../log'
import { contextOf, planWall } from '../plan'
import type { Issue } from '../sheet'
import type { Frozen, FrozenPlan } from './frozen'
import { missingRevisions } from './missing'
import { revisionsOf } from './revisions'

/**
 * What sheets and templates are made from: a revision as it was issued, or the plan of the moment, which is a draft.
 */
export interface SheetSource extends Pick<Frozen, 'site' | 'rules' | 'wall' | 'catalogue'> {
  plan: FrozenPlan
  issue?: Issue
}

/** What is asked for where the plan of the moment is wanted and no revision. */
export const DRAFT = 'draft'

const ofRevision = ({
  frozen,
  revision,
  by,
  at,
  note,
  head,
}: ReturnType<typeof revisionsOf>[number] & { frozen: Frozen }): SheetSource => ({
  site: frozen.site,
  rules: frozen.rules,
  wall: frozen.wall,
  catalogue: frozen.catalogue,
  plan: frozen.plan,
  issue: {
    revision,
    by,
    at,
    ...(note !== undefined && { note }),
    ...(head !== undefined && { head }),
    ...(frozen.site.zone !== undefined && { zone: frozen.site.zone }),
  },
})

/** The plan of the moment, to be looked at and not to be drilled from. */
export function draftOf(job: Job, wall: Wall): SheetSource {
  const { site: { id, name, units, electricalRules }, catalogue } = job
  return {
    site: { id, name, units, ...electricalRules !== undefined && { electricalRules } },
    rules: contextOf(job).rules,
    wall,
    catalogue,
    plan: planWall(wall, contextOf(job), asBuilt(job.log, wall)),
  }
}

/**
 * What a sheet of a wall is made from: the revision of some letters, or without them the one that was issued last;
 * where none was, a draft.
 *
 * @returns undefined where no revision of these letters is at hand, or the one that was issued last is missing: no
 *   sheet is drawn from one before it
 */
export function sheetSource(job: Job, wall: Wall, revision?: string): SheetSource | undefined {
  if (revision === DRAFT) return draftOf(job, wall)
  const source = sourceOf(job, wall, revision)
  // The first that was signed at its entry: a sheet that is made again is the same.
  const signed = job.heads?.find(head => headCode(head) === source?.issue?.head)
  if (!source?.issue || !signed) return source
  return { ...source, issue: { ...source.issue, proof: headProof(job.site.id, signed) } }
}

function sourceOf(job: Job, wall: Wall, revision: string | undefined): SheetSource | undefined {
  const last = revisionsOf(job.log, wall).at(-1)
  if (revision === undefined && missingRevisions(job.log, wall).some(({ entry }) => entry === last?.entry))
    return undefined
  const at = revisionsOf(job.log, wall).findLast(
    ({ frozen, revision: letters }) => frozen !== undefined && (revision === undefined || letters === revision),
  )
  if (at?.frozen) return ofRevision({ ...at, frozen: at.frozen })
  return revision === undefined ? draftOf(job, wall) : undefined
}
