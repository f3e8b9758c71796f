import { Refused, type Answer, type Option, type Verb } from './verb'
import { align } from './verbs/align'
import { diff } from './verbs/diff'
import { fields } from './verbs/fields'
import { findings } from './verbs/findings'
import { logVerify } from './verbs/logVerify'
import { plan } from './verbs/plan'
import { schema } from './verbs/schema'
import { sheet } from './verbs/sheet'
import { study } from './verbs/study'
import { templates } from './verbs/templates'

/** Every verb, by the words that name it. */
const VERBS: Record<string, Verb> = {
  plan, sheet, templates, diff, align, study, 'log verify': logVerify, schema, fields, findings,
}

const HELP = `wt: Wide Trellis on the command line

${Object.values(VERBS)
  .map(({ usage, does }) => `  wt ${usage.padEnd(24)}${does}`)
  .join('\n')}
  wt COMMAND --help           show help for one command
  wt --help                   show this help

Use - in place of JOB.json for standard input. Exit status: 0 on success, whatever the plan finds; 1 if a check fails,
an issued revision is missing in the file, or the output cannot be written; 2 if the input is refused: every error is
then on standard error, one per line, with its JSON path.
`
const isHelp = (word: string) => word === '--help' || word === '-h' || word === 'help'

/** The value of an option, the word after it. @throws Refused naming what it can be */
function valueOf(name: string, word: string, { choices, what }: Option, value: string | undefined): string {
  if (value === undefined) throw new Refused(`wt ${name} ${word} needs a value: ${choices?.join(', ') ?? what}`)
  if (choices && !choices.includes(value)) {
    throw new Refused(`wt ${name} ${word} must be one of ${choices.join(', ')}, not “${value}”`)
  }
  return value
}

/** What a verb is given. */
interface Given { files: string[], options: Record<string, string> }

/** Words as the files and options of a verb. @throws Refused naming the first that it does not take */
function readWords(name: string, { files: wanted, options: known = {} }: Verb, words: string[]): Given {
  const [files, options]: [string[], Record<string, string>] = [[], {}]
  for (let n = 0; n < words.length; n++) {
    const word = words[n]!
    const option = word.startsWith('--') ? known[word.slice(2)] : undefined
    if (option) {
      options[word.slice(2)] = option.flag ? 'yes' : valueOf(name, word, option, words[++n])
      continue
    }
    if ((word.startsWith('-') && word !== '-') || files.length === wanted.length) {
      throw new Refused(`wt ${name} does not take “${word}”; see wt ${name} --help`)
    }
    files.push(word)
  }
  if (files.length < wanted.length) {
    const first = 'the name of a job file, or - for standard input'
    const missing = files.length === 0 ? first : `${wanted[files.length]} as well`
    throw new Refused(`wt ${name} needs ${missing}; see wt ${name} --help`)
  }
  return { files, options }
}

/** What a verb's own help says. */
function helpOf({ usage, does, more, options = {} }: Verb): string {
  const lines = Object.entries(options)
    .map(([option, { what, choices }]) => `  --${option.padEnd(10)}${what}${choices ? `: ${choices.join(', ')}` : ''}`)
  const sentence = `${does[0]!.toUpperCase()}${does.slice(1)}.`
  return [`wt ${usage}`, '', sentence, ...more ? [more] : [], ...lines, ''].join('\n')
}

/** What the words on the command line ask for. @throws Refused */
function asked(words: string[]): Answer | Promise<Answer> {
  if (words.length === 0) throw new Refused(HELP.trimEnd())
  if (isHelp(words[0]!)) return { printed: HELP }
  const name = Object.keys(VERBS).find(name => name.split(' ').every((word, n) => words[n] === word))
  if (!name) throw new Refused(`wt has no command “${words[0]}”; see wt --help`)
  const verb = VERBS[name]!
  const rest = words.slice(name.split(' ').length)
  if (rest.some(isHelp)) return { printed: helpOf(verb) }
  const { files, options } = readWords(name, verb, rest)
  return verb.run(files, options)
}

/** How a command ends: 2 where it was refused, with what is said of that. */
export type Ended = { code: 0 | 1, printed: string | Uint8Array, told?: string } | { code: 2, told: string }

/**
 * What the words of a command line come to.
 *
 * @example await answerTo(['polish']) // { code: 2, told: 'wt has no command “polish”; see wt --help\n' }
 */
export async function answerTo(words: string[]): Promise<Ended> {
  try {
    const { printed, told, code = 0 } = await asked(words)
    return { code, printed, ...told !== undefined && { told } }
  }
  catch (error) {
    const told = error instanceof Refused ? error.message : `Unexpected error: ${(error as Error).message}`
    return { code: 2, told: `${told}\n` }
  }
}
