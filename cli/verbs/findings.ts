import { findingTable } from '../../core/findings/table'
import type { Verb } from '../verb'

export const findings: Verb = {
  usage: 'findings', does: 'print every finding with its meaning and cure, as Markdown', files: [],
  run: () => ({ printed: findingTable() }),
}
