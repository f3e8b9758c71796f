import { dictionary } from '@zxcvbn-ts/language-common'

const [SHORTEST, LONGEST] = [12, 200]
/** So many different characters at least: a row of spaces or of one letter is none. */
const UNLIKE = 5

let common: Set<string> | undefined
const isCommon = (password: string): boolean => {
  common ??= new Set(Object.values(dictionary).flat())
  return common.has(password)
}

/** A password without what is hung on a word so that it is long enough: figures and signs before and behind it. */
const bare = (password: string): string => password.replace(/^[^a-z]+|[^a-z]+$/g, '')

/**
 * What is wrong with a new password, by OWASP ASVS 4.0, 2.1: at least 12 characters, none of the ones that are guessed
 * first, no rule of which characters it has.
 *
 * @example passwordFault('$.password', 'Password2026!') // [{ path: '$.password', message: 'is one of the first …' }]
 */
export function passwordFault(path: string, given: unknown): { path: string, message: string }[] {
  const fault = (message: string) => [{ path, message }]
  if (typeof given !== 'string' || given.length < SHORTEST || given.length > LONGEST) {
    return fault(`must have ${SHORTEST} to ${LONGEST} characters`)
  }
  const lower = given.toLowerCase()
  if (new Set(lower.replace(/\s/g, '')).size < UNLIKE) return fault(`must have at least ${UNLIKE} different characters`)
  const first = isCommon(lower) || isCommon(bare(lower))
  return first ? fault('is one of the first that are tried: three unrelated words are better') : []
}
