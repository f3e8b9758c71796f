import { amount, flag, must, name, note, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const circuitTestSchema = entry('circuit-test', {
  circuit: name('Id of the source whose circuit was tested'),
  polarity: must(flag('Whether polarity and earth were right at every box')),
  trip: must(flag('Whether the RCD or GFCI tripped')),
  tripTime: amount('ms', 10_000, 'Trip time, where it was measured'),
  load: must(flag('Whether the circuit carried all of its displays')),
  current: amount('A', 400, 'Current with all displays on, where it was measured'),
  tester: must(text('Licensed person who tested, with the number of the licence')),
  note: note(),
})
