import { readFileSync } from 'node:fs'
import { InvalidJob, jobJsonSchema, readJob } from '../core/job'
import { planFile } from '../core/planFile'

const HELP = `wt: Wide Trellis on the command line

  wt plan JOB.json    print the plan of a job file as JSON
  wt schema           print the JSON Schema of the job file
  wt --help           print this

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

function plan(file: string | undefined): void {
  if (!file) refuse('wt plan needs the name of a job file; see wt --help')
  try {
    print(planFile(readJob(readFile(file))))
  }
  catch (error) {
    if (error instanceof InvalidJob) refuse(error.message)
    throw error
  }
}

const [verb, ...rest] = process.argv.slice(2)
if (verb === 'plan') plan(rest[0])
else if (verb === 'schema') print(jobJsonSchema())
else if (verb === '--help' || verb === '-h' || verb === 'help') process.stdout.write(HELP)
else refuse(verb ? `wt does not know “${verb}”; see wt --help` : HELP.trimEnd())
