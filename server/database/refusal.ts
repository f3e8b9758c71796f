/** Why a data folder or its database is not opened, in words for the person who starts the server. */
export class DatabaseRefused extends Error {}

/** What an error of the file system or of SQLite means, and what to do about it. */
const WORDS: Record<string, string> = {
  SQLITE_NOTADB: 'is not a database. Choose another data folder with WT_DATA, or replace it with a copy from backups/',
  SQLITE_CORRUPT: 'is damaged. Keep this file as it is, and use a copy from backups/ instead',
  SQLITE_CANTOPEN: 'cannot be opened: it is not a file, or it may not be read. Check its type, owner and permissions',
  SQLITE_READONLY: 'is read-only. Give this user write permission for it and its folder',
  SQLITE_FULL: 'cannot be written: the disk is full. Free some space and start again',
  SQLITE_BUSY: 'is in use by another program. Close that program and start again',
  SQLITE_IOERR: 'could not be read or written. Check the disk',
  EACCES:
    'cannot be written: permission denied. Give this user write permission there, or choose another data folder with '
    + 'WT_DATA',
  EPERM:
    'cannot be written: permission denied. Give this user write permission there, or choose another data folder with '
    + 'WT_DATA',
  EROFS: 'is on a read-only disk. Choose another data folder with WT_DATA',
  ENOSPC: 'cannot be written: the disk is full. Free some space and start again',
  EEXIST: 'is a file, but must be a folder. Choose another data folder with WT_DATA',
  ENOTDIR: 'has a file in its path where a folder is required. Choose another data folder with WT_DATA',
}

/** An error as a refusal in one line: what, where, and what to do. */
export function refusal(what: string, error: unknown): DatabaseRefused {
  if (error instanceof DatabaseRefused) return error
  const { code = '', message } = error as { code?: string, message: string }
  const known = Object.keys(WORDS).find(key => code === key || code.startsWith(`${key}_`))
  return new DatabaseRefused(
    `${what} ${known ? WORDS[known] : 'could not be opened'}. It was not changed. (${message})`,
  )
}
