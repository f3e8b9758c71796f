import { readFileSync } from 'node:fs'
import { fieldTable, InvalidJob, jobJsonSchema, readJob, type Job } from '../core/job'
import { brokenLink } from '../core/log'
import { planFile } from '../core/plan/planFile'

const HELP = `wt: Wide Trellis on the command line

  wt plan JOB.json          print the plan of a job file as JSON
  wt log verify JOB.json    check that nothing in its log was changed: exit 0, or 1 and the first entry that does not hold
  wt schema                 print the JSON Schema of the job file
  wt fields                 print every field of the job file, as Markdown
  wt --help                 print this

Exit 0 when the job could be read, whatever the plan finds; 2 when it could not: every fault is
then on standard error, a line each, by its JSON path.
`

/** Ends the command: what was asked for on standard output, or what is wrong on standard error. */
function refuse(message: string): never {
  process.stderr.write(`${message}\n`)
  process.exit(2)
}

function readFile(file: string): string {
  try {
    return readFileSync(file, 'utf8')
  }
  catch (error) {
    return refuse(`${file} cannot be read: ${(error as NodeJS.ErrnoException).code ?? (error as Error).message}`)
  }
}

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`)

function jobOf(verb: string, file: string | undefined): Job {
  if (!file) refuse(`wt ${verb} needs the name of a job file; see wt --help`)
  try {
    return readJob(readFile(file))
  }
  catch (error) {
    if (error instanceof InvalidJob) refuse(error.message)
    throw error
  }
}

function verifyLog(file: string | undefined): void {
  const { log } = jobOf('log verify', file)
  const broken = brokenLink(log)
  const unchained = log.filter(({ hash }) => hash === undefined).length
  if (broken) {
    process.stdout.write(`Entry ${broken.index + 1}, ${broken.id}, ${broken.why}.\n`)
    process.exitCode = 1
  }
  else process.stdout.write(`${log.length - unchained === 1 ? '1 entry holds' : `${log.length - unchained} entries hold`}${unchained > 0 ? `; ${unchained} more are in no chain, as no server has had them yet` : ''}.\n`)
}

const [verb, ...rest] = process.argv.slice(2)
if (verb === 'plan') print(planFile(jobOf('plan', rest[0])))
else if (verb === 'log' && rest[0] === 'verify') verifyLog(rest[1])
else if (verb === 'schema') print(jobJsonSchema())
else if (verb === 'fields') process.stdout.write(fieldTable())
else if (verb === '--help' || verb === '-h' || verb === 'help') process.stdout.write(HELP)
else refuse(verb ? `wt does not know “${verb}”; see wt --help` : HELP.trimEnd())
