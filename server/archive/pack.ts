import type { Readable } from 'node:stream'
import { sendStream, type H3Event } from 'h3'
import { ZipFile } from 'yazl'
import type { HandoverOptions } from '../../core/close'
import { firmOf } from '../accounts/access'
import { folderOfFirm } from '../accounts/open'
import { photosOf } from '../photos/photos'
import { asFile } from '../utils/attachment'
import { work } from '../work/pool'
import { addBytes } from './addBytes'

/** What is handed over of which wall, as which file; the job has all walls of the site. */
interface PackRequest {
  site: string
  wall: string
  format: 'pdf' | 'zip'
  job: () => Iterable<string>
  options: HandoverOptions
}

/**
 * Answers with the handover of a wall as PDF, or with all its open files in a ZIP file whose times are those of what it
 * is of.
 */
export async function packAnswer(event: H3Event, { site, wall, format, job, options }: PackRequest): Promise<unknown> {
  if (format === 'pdf') {
    const pdf = await work('handover', { job, wall, options }, event)
    asFile(event, [site, wall, 'handover'], 'pdf')
    return Buffer.from(pdf)
  }
  const { files, made, photos } = await work('pack', { job, wall, options }, event)
  const zip = new ZipFile()
  const at = { mtime: made, mode: 0o100644 }
  for (const { name, content } of files) addBytes(zip, name, content, at)
  for (const { name, path } of photosOf(folderOfFirm(firmOf(event)), site, photos)) {
    // Read when it is sent: nobody else waits for it.
    if (photos.includes(name)) zip.addFile(path, `photos/${name}`, { ...at, compress: false })
  }
  zip.end()
  asFile(event, [site, wall, 'handover'], 'zip')
  return sendStream(event, zip.outputStream as Readable)
}
