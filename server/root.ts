import { join, resolve, sep } from 'node:path'

const BUILT = `${sep}.output${sep}`

/**
 * The folder of this program: where the built server lies in, whatever folder it is started from; while it is being
 * built upon, the folder that it is started from.
 */
export function rootFolder(main = process.argv[1] ?? ''): string {
  const path = resolve(main)
  const at = path.lastIndexOf(BUILT)
  return at < 0 ? process.cwd() : path.slice(0, at)
}

/** A file or folder of this program, by its path within it; or one that is named from where it was started. */
export const inProgram = (named: string | undefined, path: string): string =>
  named ? resolve(named) : join(rootFolder(), path)
