/** Why a data folder or its database is not opened, in words for whoever starts the server. */
export class DatabaseRefused extends Error {}

/** What an error of the file system or of SQLite means, and what to do about it. */
const WORDS: Record<string, string> = {
  SQLITE_NOTADB: 'is no database. Choose another data folder with WT_DATA, or put a copy from backups/ in its place',
  SQLITE_CORRUPT: 'is damaged. Keep it as it is, and put a copy from backups/ in its place',
  SQLITE_CANTOPEN: 'cannot be opened: what stands there is no file, or may not be read. Look at what it is and whose',
  SQLITE_READONLY: 'may not be written. Give this user the right to write it and its folder',
  SQLITE_FULL: 'cannot be written: the disk is full. Make room and start again',
  SQLITE_BUSY: 'is held by another program. Close that and start again',
  SQLITE_IOERR: 'could not be read or written. Look at the disk',
  EACCES: 'may not be written. Give this user the right to write there, or choose another data folder with WT_DATA',
  EPERM: 'may not be written. Give this user the right to write there, or choose another data folder with WT_DATA',
  EROFS: 'lies on a disk that is only read. Choose another data folder with WT_DATA',
  ENOSPC: 'cannot be written: the disk is full. Make room and start again',
  EEXIST: 'is a file, and should be a folder. Choose another data folder with WT_DATA',
  ENOTDIR: 'lies in a file, and should lie in a folder. Choose another data folder with WT_DATA',
}

/** An error as a refusal in one line: what, where, and what to do. */
export function refusal(what: string, error: unknown): DatabaseRefused {
  if (error instanceof DatabaseRefused) return error
  const { code = '', message } = error as { code?: string, message: string }
  const known = Object.keys(WORDS).find(key => code === key || code.startsWith(`${key}_`))
  return new DatabaseRefused(`${what} ${known ? WORDS[known] : 'could not be opened'}. Nothing in it was changed. (${message})`)
}
