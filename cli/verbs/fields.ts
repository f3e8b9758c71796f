import { fieldTable } from '../../core/job'
import type { Verb } from '../verb'

export const fields: Verb = {
  usage: 'fields',
  does: 'print every field of the job file, as Markdown',
  files: [],
  run: () => ({ printed: fieldTable() }),
}
