import type { InferType } from 'yup'
import { logEntrySchema, type LogEntry } from '../log/entry'
import { catalogueSchema, type Catalogue } from './models'
import { figure, group, list, maybe, must, oneOf, shown } from './fields'
import { signedHeadSchema } from './heads'
import { LIMITS } from './limits'
import { ownRules, rulesSchema, siteSchema, type Rules, type Site } from './site'
import { wallSchema } from './wall'

/**
 * A whole job file, version 1: one site with its walls and everything that was measured, decided and done there.
 * Lengths in mm, masses in kg, y up from finished floor. Keys not named here are kept as they came.
 */
export const jobSchema = group({
  format: must(oneOf(['wide-trellis-job'])),
  version: must(figure()).oneOf([1 as const], ({ value }: { value: unknown }) => `must be 1, not ${shown(value)}`),
  site: siteSchema,
  firm: maybe({ rules: ownRules('House rules of the firm, for all its sites') }, 'Settings for all sites of the firm'),
  rules: rulesSchema,
  catalogue: catalogueSchema,
  walls: must(list(wallSchema, LIMITS.walls)),
  log: must(list<LogEntry>(logEntrySchema, LIMITS.log, 'Log entries in order of arrival; entries are only added')),
  heads: list(signedHeadSchema, LIMITS.log, 'Heads of the log as a server signed them').optional(),
})
export type Job = InferType<typeof jobSchema>

/**
 * What a wall is planned with beside itself: the models it uses, the firm's rules, and the site's units, in which bits
 * and round figures are chosen.
 */
export interface PlanContext { catalogue: Catalogue, rules: Rules, site?: Pick<Site, 'units' | 'electricalRules'> }
