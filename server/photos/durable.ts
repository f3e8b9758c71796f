import { closeSync, fsyncSync, mkdirSync, openSync, renameSync, writeSync } from 'node:fs'
import { dirname } from 'node:path'

/** Sees to it that what was written is on the disk, power or not. */
function sync(path: string): void {
  const handle = openSync(path, 'r')
  try {
    fsyncSync(handle)
  }
  finally {
    closeSync(handle)
  }
}

/** Writes a file whole or not at all: under another name first, synced, then renamed. */
export function writeDurably(path: string, bytes: Buffer): void {
  mkdirSync(dirname(path), { recursive: true })
  const temporary = `${path}.${process.pid}.part`
  const handle = openSync(temporary, 'w')
  try {
    writeSync(handle, bytes)
    fsyncSync(handle)
  }
  finally {
    closeSync(handle)
  }
  renameSync(temporary, path)
  sync(dirname(path))
}
