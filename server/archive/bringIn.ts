import { randomUUID } from 'node:crypto'
import { createWriteStream, mkdirSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { LIMITS } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { dropFiles, keepFile } from '../files/siteFiles'
import { dropPhotos, keepPhoto } from '../photos/photos'
import { checkIsNew, freeSiteId, importJob } from '../repositories/sites'
import { apiError, validationError } from '../utils/apiError'
import { readJobFile } from '../utils/jobFile'
import { openArchive } from './read'
import { savesOf } from './saves'

/** What came of bringing in an archive: the site, how many pictures and other files it has, and what was left out. */
export interface BroughtIn { id: string, photos: number, files: number, leftOut: string[] }

/** Keeps what comes in as a file while it is read. @throws 413 where it is larger than an archive can be */
async function keptWhile<Result>(folder: string, incoming: Readable, act: (path: string) => Promise<Result>): Promise<Result> {
  const path = join(folder, 'incoming', `${randomUUID()}.zip`)
  mkdirSync(dirname(path), { recursive: true })
  try {
    let size = 0
    await pipeline(incoming, async function* (chunks: AsyncIterable<Buffer>) {
      for await (const chunk of chunks) {
        size += chunk.length
        if (size > LIMITS.archiveBytes) throw apiError(413, 'too-large', `A ZIP file of a site can have at most ${LIMITS.archiveBytes / 1024 / 1024} MB.`)
        yield chunk
      }
    }, createWriteStream(path))
    return await act(path)
  }
  finally {
    await rm(path, { force: true })
  }
}

/**
 * Takes in a site from its ZIP file, pictures, files and who saved each wall included. Pictures and files are kept
 * first, so that no wall is there without them; where the site is then refused they go again.
 *
 * @param copy gives it a free id where its own is taken
 * @throws 422 with what is wrong, 409 where there is a site of this id
 */
export const bringInArchive = (db: Database, folder: string, incoming: Readable, copy: boolean, by: string, at: string): Promise<BroughtIn> => keptWhile(folder, incoming, async (path) => {
  const archive = await openArchive(path)
  try {
    const job = await readJobFile(await archive.job())
    const id = copy ? freeSiteId(db, job.site.id) : job.site.id
    checkIsNew(db, id)
    const named = new Set(job.site.files?.map(({ file }) => file))
    const files = archive.files.filter(name => named.has(name))
    try {
      for (const name of archive.photos) {
        const kept = await keepPhoto(folder, id, await archive.photo(name))
        if (kept !== name) throw validationError([{ path: `photos/${name}`, message: 'does not match its name: it is a different photo' }])
      }
      for (const name of files) {
        const kept = await keepFile(folder, id, name, await archive.file(name))
        if (kept !== name) throw validationError([{ path: `files/${name}`, message: 'does not match its name: it is a different file' }])
      }
      importJob(db, { ...job, site: { ...job.site, id, name: id === job.site.id ? job.site.name : `${job.site.name} (copy)` } }, by, at, savesOf(await archive.saves()))
    }
    catch (error) {
      dropPhotos(folder, id)
      dropFiles(folder, id)
      throw error
    }
    return { id, photos: archive.photos.length, files: files.length, leftOut: [...archive.others, ...archive.files.filter(name => !named.has(name)).map(name => `files/${name}`)] }
  }
  finally {
    archive.close()
  }
})
