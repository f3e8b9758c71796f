import { createHash } from 'node:crypto'
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { FILE_NAME, LIMITS, type Site } from '../../core/job'
import { writeDurably } from '../photos/durable'
import { apiError } from '../utils/apiError'

/** Where the files of a firm's sites are, by the firm's own folder. */
const filesIn = (folder: string, site: string) => join(folder, 'files', site)

/** The name that a file is kept under: made from its content, with the ending that it came with. */
export const keptName = (name: string, bytes: Buffer): string =>
  createHash('sha256').update(bytes).digest('hex').slice(0, 32)
  + (/\.[a-z0-9]{1,8}$/.exec(name.toLowerCase())?.[0] ?? '')

/**
 * Keeps a file of a site as it came: a permit, a drawing of the building, a method statement. It is never opened here.
 *
 * @param note notes it with the site, in the moment in which it gets its place; where that is refused, a file that was
 *   not there before is not there afterwards
 * @returns the name that it is kept under
 * @throws 413 over 25 MB; 422 where there is nothing in it; what `note` throws
 */
export async function keepFile(
  folder: string, site: string, name: string, bytes: Buffer, note: (kept: string) => void = () => {},
): Promise<string> {
  if (bytes.length > LIMITS.fileBytes)
    throw apiError(413, 'too-large', 'A file can have at most 25 MB; this one is larger.')
  if (bytes.length === 0) throw apiError(422, 'empty-file', `“${name}” is empty.`)
  const kept = keptName(name, bytes)
  await writeDurably(join(filesIn(folder, site), kept), bytes, () => note(kept))
  return kept
}

/** The files that a site names, as far as they are here: a job file brings their names alone. */
export const filesOf = (folder: string, { id, files = [] }: Site): { file: string, path: string }[] =>
  files.flatMap(({ file }) => {
    const path = join(filesIn(folder, id), file)
    return FILE_NAME.test(file) && existsSync(path) ? [{ file, path }] : []
  })

/** A file of a site. @throws 404 where it is not here */
export function readFile(folder: string, site: Site, file: string): Buffer {
  const found = filesOf(folder, site).find(each => each.file === file)
  if (!found)
    throw apiError(
      404,
      'not-found',
      'This file is not on the server: a job file has only its name. Import the site from its ZIP file, or add the '
      + 'file again.',
    )
  return readFileSync(found.path)
}

/** Takes a file of a site from the disk. */
export const dropFile = (folder: string, site: string, file: string): void =>
  rmSync(join(filesIn(folder, site), file), { force: true })
