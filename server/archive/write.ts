import type { Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import type { Database } from '../database/perDatabase'
import { filesOf } from '../files/siteFiles'
import { photosOf } from '../photos/photos'
import { siteDocument, siteRow } from '../repositories/siteRows'
import { savesOfSite } from '../repositories/sites'
import type { JobFile } from '../work/tasks'
import { addBytes } from './addBytes'
import type { Saves } from './saves'

/**
 * A site with all that belongs to it as a ZIP file: `job.json`, its job file; `saves.json`, who saved each wall last;
 * `photos/`, its pictures as they were taken; `files/`, its other files. They are read as the file is sent, so that
 * none waits in memory.
 *
 * @param job its job file, and the photos of which that speaks
 * @throws 404 where there is no such site
 */
export function siteArchive(
  db: Database, folder: string, site: string, { file: job, photos }: JobFile,
): Readable {
  const saves: Saves = { format: 'wide-trellis-saves', version: 1, walls: savesOfSite(db, site) }
  const zip = new ZipFile()
  addBytes(zip, 'job.json', job)
  addBytes(zip, 'saves.json', Buffer.from(JSON.stringify(saves, null, 2)))
  for (const { name, path } of photosOf(folder, site, photos)) zip.addFile(path, `photos/${name}`, { compress: false })
  const { site: place } = siteDocument(db, siteRow(db, site))
  for (const { file, path } of filesOf(folder, place)) zip.addFile(path, `files/${file}`)
  zip.end()
  return zip.outputStream as Readable
}
