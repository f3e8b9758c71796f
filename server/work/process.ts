import { buffer } from 'node:stream/consumers'
import { parseJobFile } from './parseJobFile'

/** So many entries of a log are sent at once. */
const PAGE = 1_000
const end = () => process.disconnect()

// The server has ended: nobody waits for the answer.
process.once('disconnect', () => process.exit())

void buffer(process.stdin).then((file) => {
  const answer = parseJobFile(file)
  if (!('job' in answer)) return process.send!(answer, end)
  // A long log by pages: the server takes in each while it answers others in between.
  const { log, ...job } = answer.job
  for (let from = 0; from < log.length; from += PAGE) process.send!({ log: log.slice(from, from + PAGE) })
  process.send!({ job: { ...job, log: [] } }, end)
})
