import { writeSync } from 'node:fs'
import { Refused, type Answer, type Verb } from './verb'
import { align } from './verbs/align'
import { diff } from './verbs/diff'
import { fields } from './verbs/fields'
import { logVerify } from './verbs/logVerify'
import { plan } from './verbs/plan'
import { schema } from './verbs/schema'
import { sheet } from './verbs/sheet'
import { study } from './verbs/study'
import { templates } from './verbs/templates'

/** Every verb, by the words that name it. */
const VERBS: Record<string, Verb> = { 'plan': plan, 'sheet': sheet, 'templates': templates, 'diff': diff, 'align': align, 'study': study, 'log verify': logVerify, 'schema': schema, 'fields': fields }

const HELP = `wt: Wide Trellis on the command line

${Object.values(VERBS).map(({ usage, does }) => `  wt ${usage.padEnd(24)}${does}`).join('\n')}
  wt COMMAND --help           show help for one command
  wt --help                   show this help

Use - in place of JOB.json for standard input. Exit status: 0 on success, whatever the plan finds; 1 if a check fails
or the output cannot be written; 2 if the input is refused: every error is then on standard error, one per line,
with its JSON path.
`
const isHelp = (word: string) => word === '--help' || word === '-h' || word === 'help'

/** Words as the files and options of a verb. @throws Refused naming the first that it does not take */
function readWords(name: string, { files: wanted, options: known = {} }: Verb, words: string[]): { files: string[], options: Record<string, string> } {
  const [files, options]: [string[], Record<string, string>] = [[], {}]
  for (let n = 0; n < words.length; n++) {
    const word = words[n]!
    const option = word.startsWith('--') ? known[word.slice(2)] : undefined
    if (!option) {
      if ((word.startsWith('-') && word !== '-') || files.length === wanted.length) throw new Refused(`wt ${name} does not take “${word}”; see wt ${name} --help`)
      files.push(word)
      continue
    }
    if (option.flag) {
      options[word.slice(2)] = 'yes'
      continue
    }
    const value = words[++n]
    if (value === undefined) throw new Refused(`wt ${name} ${word} needs a value: ${option.choices?.join(', ') ?? option.what}`)
    if (option.choices && !option.choices.includes(value)) throw new Refused(`wt ${name} ${word} must be one of ${option.choices.join(', ')}, not “${value}”`)
    options[word.slice(2)] = value
  }
  const missing = wanted[files.length]
  if (missing !== undefined) throw new Refused(`wt ${name} needs ${files.length === 0 ? 'the name of a job file, or - for standard input' : `${missing} as well`}; see wt ${name} --help`)
  return { files, options }
}

/** What the words on the command line ask for. @throws Refused */
function asked(words: string[]): Answer | Promise<Answer> {
  if (words.length === 0) throw new Refused(HELP.trimEnd())
  if (isHelp(words[0]!)) return { printed: HELP }
  const name = Object.keys(VERBS).find(name => name.split(' ').every((word, n) => words[n] === word))
  if (!name) throw new Refused(`wt has no command “${words[0]}”; see wt --help`)
  const verb = VERBS[name]!
  const { usage, does, more, options = {}, run } = verb
  const rest = words.slice(name.split(' ').length)
  if (rest.some(isHelp)) return { printed: [`wt ${usage}`, '', `${does[0]!.toUpperCase()}${does.slice(1)}.`, ...more ? [more] : [], ...Object.entries(options).map(([option, { what, choices }]) => `  --${option.padEnd(10)}${what}${choices ? `: ${choices.join(', ')}` : ''}`), ''].join('\n') }
  const { files, options: said } = readWords(name, verb, rest)
  return run(files, said)
}

/** Writes all of a text, to a pipe that is read slowly too. */
function write(to: 1 | 2, text: string | Uint8Array): void {
  const bytes = Buffer.from(text as string)
  for (let at = 0; at < bytes.length;) {
    try {
      at += writeSync(to, bytes, at)
    }
    catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error
    }
  }
}

async function main(): Promise<number> {
  let answer: Answer
  try {
    answer = await asked(process.argv.slice(2))
  }
  catch (error) {
    write(2, error instanceof Refused ? `${error.message}\n` : `Unexpected error: ${(error as Error).message}\n`)
    return 2
  }
  try {
    write(1, answer.printed)
    return answer.code ?? 0
  }
  catch (error) {
    // The reader has had enough; otherwise it is said why nothing more comes.
    if ((error as NodeJS.ErrnoException).code !== 'EPIPE') write(2, `The output could not be written: ${(error as Error).message}\n`)
    return 1
  }
}
process.exitCode = await main()
