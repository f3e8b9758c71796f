import { jobJsonSchema } from '../../core/job'
import type { Verb } from '../verb'

export const schema: Verb = {
  usage: 'schema',
  does: 'print the JSON Schema of the job file',
  files: [],
  run: () => ({ printed: `${JSON.stringify(jobJsonSchema(), null, 2)}\n` }),
}
