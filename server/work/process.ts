import { buffer } from 'node:stream/consumers'
import { TASKS } from './tasks'

// The server has ended: nobody waits for the answer.
process.once('disconnect', () => process.exit())

void buffer(process.stdin).then((file) => {
  process.send!(TASKS.job({ file }), () => process.disconnect())
})
