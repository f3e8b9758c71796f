import { randomUUID } from 'node:crypto'
import { createWriteStream, existsSync, mkdirSync, rmSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { LIMITS } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { keepFile } from '../files/siteFiles'
import { moveDurably } from '../photos/durable'
import { keepPhoto } from '../photos/photos'
import { checkIsNew, copyOf, freeSiteId, importInSteps } from '../repositories/importing'
import { apiError, validationError } from '../utils/apiError'
import { readJobFile } from '../utils/jobFile'
import { openArchive, type Archive } from './read'
import { savesOf } from './saves'

/** What came of bringing in an archive: the site, how many pictures and other files it has, and what was left out. */
export interface BroughtIn { id: string, photos: number, files: number, leftOut: string[] }

/** Keeps what comes in as a file while it is read. @throws 413 where it is larger than an archive can be */
async function keptWhile<Result>(
  folder: string,
  incoming: Readable,
  act: (path: string) => Promise<Result>,
): Promise<Result> {
  const path = join(folder, 'incoming', `${randomUUID()}.zip`)
  mkdirSync(dirname(path), { recursive: true })
  try {
    let size = 0
    await pipeline(
      incoming,
      async function* (chunks: AsyncIterable<Buffer>) {
        for await (const chunk of chunks) {
          size += chunk.length
          if (size > LIMITS.archiveBytes)
            throw apiError(
              413,
              'too-large',
              `A ZIP file of a site can have at most ${LIMITS.archiveBytes / 1024 / 1024} MB.`,
            )
          yield chunk
        }
      },
      createWriteStream(path),
    )
    return await act(path)
  }
  finally {
    await rm(path, { force: true })
  }
}

/** What a site is called in the folder in which its pictures and files wait until it is there. */
const STAGED = 'site'

/** Keeps the pictures and files of an archive in a folder of this request's own. @throws 422 for one of another name */
async function stage(folder: string, archive: Archive, files: string[]): Promise<void> {
  for (const name of archive.photos) {
    const kept = await keepPhoto(folder, STAGED, await archive.photo(name))
    if (kept !== name)
      throw validationError([{ path: `photos/${name}`, message: 'does not match its name: it is a different photo' }])
  }
  for (const name of files) {
    const kept = await keepFile(folder, STAGED, name, await archive.file(name))
    if (kept !== name)
      throw validationError([{ path: `files/${name}`, message: 'does not match its name: it is a different file' }])
  }
}

/** Gives a new site what was staged for it; what lies there of a site that never came about goes. */
function place(staged: string, folder: string, id: string): void {
  for (const part of ['photos', 'files']) {
    const [from, to] = [join(staged, part, STAGED), join(folder, part, id)]
    rmSync(to, { recursive: true, force: true })
    if (!existsSync(from)) continue
    mkdirSync(dirname(to), { recursive: true })
    moveDurably(from, to)
  }
}

/**
 * Takes in a site from its ZIP file, pictures, files and who saved each wall included. Pictures and files wait in a
 * folder of their own, and get their place in the moment in which the site is kept: of two requests for one site one
 * takes nothing from the other.
 *
 * @param copy gives it a free id where its own is taken
 * @throws 422 with what is wrong, 409 where there is a site of this id
 */
export const importArchive = (
  db: Database, folder: string, incoming: Readable, copy: boolean, { by, at }: { by: string, at: string },
): Promise<BroughtIn> => keptWhile(folder, incoming, async (path) => {
  const archive = await openArchive(path)
  const staged = join(folder, 'incoming', randomUUID())
  try {
    const job = await readJobFile(await archive.job())
    if (!copy) checkIsNew(db, job.site.id)
    const named = new Set(job.site.files?.map(({ file }) => file))
    const files = archive.files.filter(name => named.has(name))
    await stage(staged, archive, files)
    const saves = savesOf(await archive.saves())
    // Nothing else is done until the import has taken the id: a free one stays free.
    const id = copy ? freeSiteId(db, job.site.id) : job.site.id
    const name = id === job.site.id ? job.site.name : `${job.site.name} (copy)`
    const imported = { by, at, entries: job.log.length }
    await importInSteps(db, { job: copyOf(job, id, name), imported, saves, place: () => place(staged, folder, id) })
    const unnamed = archive.files.filter(name => !named.has(name)).map(name => `files/${name}`)
    return { id, photos: archive.photos.length, files: files.length, leftOut: [...archive.others, ...unnamed] }
  }
  finally {
    archive.close()
    await rm(staged, { recursive: true, force: true })
  }
})
