import type { Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import { writeJob } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { filesOf } from '../files/siteFiles'
import { photosOf } from '../photos/photos'
import { exportJob, savesOfSite } from '../repositories/sites'
import type { Saves } from './saves'

/**
 * A site with all that belongs to it as a ZIP file: `job.json`, its job file; `saves.json`, who saved each wall last;
 * `photos/`, its pictures as they were taken; `files/`, its other files. They are read as the file is sent, so that
 * none waits in memory.
 *
 * @throws 404 where there is no such site
 */
export function siteArchive(db: Database, folder: string, site: string): Readable {
  const job = exportJob(db, site)
  const text = writeJob(job)
  const saves: Saves = { format: 'wide-trellis-saves', version: 1, walls: savesOfSite(db, site) }
  const zip = new ZipFile()
  zip.addBuffer(Buffer.from(text), 'job.json')
  zip.addBuffer(Buffer.from(JSON.stringify(saves, null, 2)), 'saves.json')
  for (const { name, path } of photosOf(folder, site, text)) zip.addFile(path, `photos/${name}`, { compress: false })
  for (const { file, path } of filesOf(folder, job.site)) zip.addFile(path, `files/${file}`)
  zip.end()
  return zip.outputStream as Readable
}
