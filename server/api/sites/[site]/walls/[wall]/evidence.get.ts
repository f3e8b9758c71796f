import Papa from 'papaparse'
import { CSV_OUT } from '../../../../../../core/csv'
import { EVIDENCE_COLUMNS, evidenceToRows } from '../../../../../../core/survey'
import { database } from '../../../../../accounts/access'
import { readWall } from '../../../../../repositories/walls'
import { asFile } from '../../../../../utils/attachment'

/** A wall's readings as CSV, lengths in mm, to be worked on elsewhere and brought in again. */
export default defineEventHandler((event) => {
  const { job } = readWall(database(event), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!)
  const [wall] = job.walls
  asFile(event, [job.site.id, wall!.id, 'evidence'], 'csv')
  return Papa.unparse({ fields: [...EVIDENCE_COLUMNS], data: evidenceToRows(wall!.evidence ?? []) }, CSV_OUT)
})
