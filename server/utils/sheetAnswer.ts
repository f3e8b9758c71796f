import type { H3Event } from 'h3'
import { asFile } from './attachment'
import { notFound } from './apiError'

export const TYPES = { pdf: 'application/pdf', svg: 'image/svg+xml; charset=utf-8', csv: 'text/csv; charset=utf-8', dxf: 'image/vnd.dxf', json: 'application/json; charset=utf-8' }

/** Answers with a sheet as a file of a name. @throws 404 where there is none */
export function sheetAnswer(event: H3Event, file: Uint8Array | string | undefined, name: string[], format: keyof typeof TYPES, what: string): Buffer | string {
  if (file === undefined) throw notFound(what)
  asFile(event, name, format, TYPES[format])
  return typeof file === 'string' ? file : Buffer.from(file)
}
