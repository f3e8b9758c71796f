import { randomUUID } from 'node:crypto'
import { mkdir, open, rename } from 'node:fs/promises'
import { dirname } from 'node:path'

/** Opens a file or folder for a moment, and sees to it that what was written is on the disk, power or not. */
async function synced(path: string, flags: 'r' | 'w', bytes?: Buffer): Promise<void> {
  const handle = await open(path, flags)
  try {
    if (bytes) await handle.writeFile(bytes)
    await handle.sync()
  }
  finally {
    await handle.close()
  }
}

/** Writes a file whole or not at all: under another name first, synced, then renamed. Nobody else waits meanwhile. */
export async function writeDurably(path: string, bytes: Buffer): Promise<void> {
  await mkdir(dirname(path), { recursive: true })
  const temporary = `${path}.${randomUUID()}.part`
  await synced(temporary, 'w', bytes)
  await rename(temporary, path)
  await synced(dirname(path), 'r')
}
