import { buffer } from 'node:stream/consumers'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import { LIMITS } from '../../core/job'
import { apiError, validationError } from '../utils/apiError'

/** What an archive has in it, each to be read when it is wanted. */
export interface Archive {
  job: () => Promise<Buffer>
  saves: () => Promise<string>
  /** The names of its pictures, and one of them. */
  photos: string[]
  photo: (name: string) => Promise<Buffer>
  /** The same of its other files. */
  files: string[]
  file: (name: string) => Promise<Buffer>
  /** What it has beside, which is left out. */
  others: string[]
  close: () => void
}

const notAnArchive = (why: string) => apiError(422, 'not-an-archive', `This is not a ZIP file of a site: ${why}.`)

/** So many files an archive has at most: more pictures than any site has. */
const MOST_FILES = 20_000

/** The files of a ZIP by their names. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > MOST_FILES)
    throw notAnArchive(`it has ${zip.entryCount} files, and the maximum is ${MOST_FILES}`)
  const entries = new Map<string, Entry>()
  for await (const entry of zip.eachEntry()) if (!entry.fileName.endsWith('/')) entries.set(entry.fileName, entry)
  return entries
}

/**
 * Opens a ZIP file with a site in it.
 *
 * @throws 422 where it is none
 */
export async function openArchive(path: string): Promise<Archive> {
  const zip = await openPromise(path, { autoClose: false }).catch((error: Error) => {
    throw notAnArchive(error.message)
  })
  const entries = await entriesOf(zip).catch((error: Error & { statusCode?: number }) => {
    zip.close()
    throw error.statusCode ? error : notAnArchive(error.message)
  })
  /** The reader sees to it that no file unfolds to more than it says. */
  const read = async (name: string, most: number): Promise<Buffer> => {
    const entry = entries.get(name)
    if (!entry) throw notAnArchive(`it has no ${name}`)
    if (entry.uncompressedSize > most)
      throw validationError([
        {
          path: name,
          message: `must have at most ${Math.round(most / 1024 / 1024)} MB, `
            + `not ${Math.round(entry.uncompressedSize / 1024 / 1024)} MB`,
        },
      ])
    return buffer(await zip.openReadStreamPromise(entry)).catch((error: Error) => {
      throw validationError([{ path: name, message: `cannot be read: ${error.message}` }])
    })
  }
  const names = [...entries.keys()]
  const [photos, files] = [
    names.flatMap(name => /^photos\/([^/]+)$/.exec(name)?.[1] ?? []),
    names.flatMap(name => /^files\/([^/]+)$/.exec(name)?.[1] ?? []),
  ]
  return {
    job: () => read('job.json', LIMITS.jobBytes),
    saves: async () => (entries.has('saves.json') ? (await read('saves.json', LIMITS.bodyBytes)).toString('utf8') : ''),
    photos,
    photo: name => read(`photos/${name}`, LIMITS.photoBytes),
    files,
    file: name => read(`files/${name}`, LIMITS.fileBytes),
    others: names.filter(
      name => name !== 'job.json' && name !== 'saves.json' && !/^(?:photos|files)\/[^/]+$/.test(name),
    ),
    close: () => zip.close(),
  }
}
