import type { H3Event } from 'h3'
import type { Format } from '../../core/formats'
import { asFile } from './attachment'
import { notFound } from './apiError'

/** Answers with a sheet as a file of a name. @throws 404 where there is none */
export function sheetAnswer(
  event: H3Event,
  file: Uint8Array | string | undefined,
  name: string[],
  format: Format,
  what: string,
): Buffer | string {
  if (file === undefined) throw notFound(what)
  asFile(event, name, format)
  return typeof file === 'string' ? file : Buffer.from(file)
}
