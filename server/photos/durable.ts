import { randomUUID } from 'node:crypto'
import { closeSync, existsSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs'
import { mkdir, open, rm } from 'node:fs/promises'
import { dirname } from 'node:path'

/** Writes a file, and sees to it that it is on the disk, power or not. Nobody else waits meanwhile. */
async function synced(path: string, bytes: Buffer): Promise<void> {
  const handle = await open(path, 'w')
  try {
    await handle.writeFile(bytes)
    await handle.sync()
  }
  finally {
    await handle.close()
  }
}

/** Moves a file or folder to its place, on the disk when this returns. */
export function moveDurably(from: string, to: string): void {
  renameSync(from, to)
  const folder = openSync(dirname(to), 'r')
  try {
    fsyncSync(folder)
  }
  finally {
    closeSync(folder)
  }
}

/**
 * Writes a file whole or not at all: under another name first, synced, then renamed.
 *
 * @param note done in the moment in which it gets its name; where that throws, what was there before is there again
 */
export async function writeDurably(path: string, bytes: Buffer, note: () => void = () => {}): Promise<void> {
  await mkdir(dirname(path), { recursive: true })
  const temporary = `${path}.${randomUUID()}.part`
  try {
    await synced(temporary, bytes)
    // No other request is answered between these: nobody takes away what another has just noted.
    const isNew = !existsSync(path)
    moveDurably(temporary, path)
    try {
      note()
    }
    catch (error) {
      if (isNew) rmSync(path, { force: true })
      throw error
    }
  }
  finally {
    await rm(temporary, { force: true })
  }
}
