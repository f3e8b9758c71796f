import Papa from 'papaparse'
import { EVIDENCE_COLUMNS, evidenceToRows } from '../../../../../../core/survey'
import { database } from '../../../../../database/connection'
import { readWall } from '../../../../../repositories/walls'

/** A wall's readings as CSV, lengths in mm, to be worked on elsewhere and brought in again. */
export default defineEventHandler((event) => {
  const { job } = readWall(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!)
  const [wall] = job.walls
  setResponseHeaders(event, { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${encodeURIComponent(`${job.site.id}-${wall!.id}`)}-evidence.csv"` })
  return Papa.unparse({ fields: [...EVIDENCE_COLUMNS], data: evidenceToRows(wall!.evidence ?? []) }, { newline: '\r\n', escapeFormulae: true })
})
