import { writeSync } from 'node:fs'
import { answerTo } from './command'

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
  const answer = await answerTo(process.argv.slice(2))
  if (answer.code === 2) {
    write(2, answer.told)
    return 2
  }
  try {
    if (answer.told) write(2, answer.told)
    write(1, answer.printed)
    return answer.code
  }
  catch (error) {
    // The reader has had enough; otherwise it is said why nothing more comes.
    if ((error as NodeJS.ErrnoException).code !== 'EPIPE') {
      write(2, `The output could not be written: ${(error as Error).message}\n`)
    }
    return 1
  }
}
process.exitCode = await main()
