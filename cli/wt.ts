import { writeSync } from 'node:fs'
import { Refused, type Verb } from './verb'
import { fields } from './verbs/fields'
import { logVerify } from './verbs/logVerify'
import { plan } from './verbs/plan'
import { schema } from './verbs/schema'

/** Every verb, by the words that name it. */
const VERBS: Record<string, Verb> = { 'plan': plan, 'log verify': logVerify, 'schema': schema, 'fields': fields }

const HELP = `wt: Wide Trellis on the command line

${Object.values(VERBS).map(({ usage, does }) => `  wt ${usage.padEnd(24)}${does}`).join('\n')}
  wt VERB --help              say more about one of them
  wt --help                   print this

For JOB.json, - is standard input. Exit 0 when it could be done, whatever the plan finds; 1 when what was asked
about does not hold, or the answer could not be written; 2 when it was refused: every fault is then on standard
error, a line each, by its JSON path.
`
const isHelp = (word: string) => word === '--help' || word === '-h' || word === 'help'

/** What the words on the command line ask for. @throws Refused */
function asked(words: string[]): ReturnType<Verb['run']> {
  if (words.length === 0) throw new Refused(HELP.trimEnd())
  if (isHelp(words[0]!)) return { printed: HELP }
  const name = Object.keys(VERBS).find(name => name.split(' ').every((word, n) => words[n] === word))
  if (!name) throw new Refused(`wt does not know “${words[0]}”; see wt --help`)
  const { usage, does, more, files, run } = VERBS[name]!
  const rest = words.slice(name.split(' ').length)
  if (rest.some(isHelp)) return { printed: [`wt ${usage}`, '', `${does[0]!.toUpperCase()}${does.slice(1)}.`, ...more ? [more] : [], ''].join('\n') }
  const unknown = rest.find(word => word.startsWith('-') && word !== '-') ?? rest[files]
  if (unknown !== undefined) throw new Refused(`wt ${name} does not take “${unknown}”; see wt ${name} --help`)
  if (rest.length < files) throw new Refused(`wt ${name} needs the name of a job file, or - for standard input; see wt ${name} --help`)
  return run(rest)
}

/** Writes all of a text, to a pipe that is read slowly too. */
function write(to: 1 | 2, text: string): void {
  const bytes = Buffer.from(text)
  for (let at = 0; at < bytes.length;) {
    try {
      at += writeSync(to, bytes, at)
    }
    catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error
    }
  }
}

function main(): number {
  let answer: ReturnType<Verb['run']>
  try {
    answer = asked(process.argv.slice(2))
  }
  catch (error) {
    write(2, error instanceof Refused ? `${error.message}\n` : `wt came upon something that it does not understand: ${(error as Error).message}\n`)
    return 2
  }
  try {
    write(1, answer.printed)
    return answer.code ?? 0
  }
  catch (error) {
    // Whoever reads has had enough; otherwise it is said why nothing more comes.
    if ((error as NodeJS.ErrnoException).code !== 'EPIPE') write(2, `The answer could not be written: ${(error as Error).message}\n`)
    return 1
  }
}
process.exitCode = main()
