import { figure, flag, group, length, list, must, name, oneOf, text } from '../../job/fields'
import { entry, MANY, round } from './entry'

const between = () => must(list(must(text()), 2, 'The two screens')).min(2, 'must name two screens')
const end = () => must(oneOf(['top', 'bottom', 'left', 'right'], 'End of the seam'))

/** What an entry of this kind says. */
export const seamsSchema = entry('seams', {
  array: name(),
  round: round(),
  simulated: flag('Whether a simulated gauge read any of it; only a demo has such entries'),
  gaps: list(group({ between: between(), end: end(), mm: must(length()) }), MANY, 'Gaps at the ends of seams'),
  steps: list(
    group({ between: between(), end: end(), mm: must(length()) }), MANY,
    'Steps: face of the second screen minus face of the first, positive outwards',
  ),
  rolls: list(
    group({ screen: name(), mmPerM: must(figure('mm/m')) }), MANY, 'Roll, positive if the right end is higher',
  ),
})
