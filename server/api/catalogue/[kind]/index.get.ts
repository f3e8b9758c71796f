import Papa from 'papaparse'
import { modelColumns, modelsToRows, SHELVES } from '../../../../core/catalogue'
import { CSV_OUT } from '../../../../core/csv'
import { EXPORTS } from '../../../../core/formats'
import { database } from '../../../accounts/access'
import { readCatalogue } from '../../../repositories/catalogue'
import { asFile } from '../../../utils/attachment'
import { modelKind } from '../../../utils/modelKind'
import { choice } from '../../../utils/sheetRequest'

/** One kind of model as a file: JSON as in a job file, or CSV with a column a figure, lengths in mm. */
export default defineEventHandler((event) => {
  const kind = modelKind(getRouterParam(event, 'kind'))
  const format = choice('format', getQuery(event).format, [...EXPORTS.catalogue], EXPORTS.catalogue[0])
  const models = readCatalogue(database(event))[SHELVES[kind]]
  asFile(event, [SHELVES[kind]], format)
  if (format === 'json') return JSON.stringify({ [SHELVES[kind]]: models }, null, 2)
  return Papa.unparse({ fields: modelColumns(kind), data: modelsToRows(kind, models) }, CSV_OUT)
})
