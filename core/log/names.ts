import type { EntryOf } from './entry'

/** What the drill met, in a word or two. */
export const RESULT_NAMES: Record<EntryOf<'hole'>['result'], string> = {
  hit: 'hit', miss: 'missed', void: 'void', steel: 'steel', mortar: 'mortar joint', blown: 'blown out', stripped: 'stripped', other: 'other',
}

/** What the fields of an entry are called where a person corrects one. */
export const ENTRY_FIELD_NAMES: Record<string, string> = {
  found: 'What was found',
  device: 'Device',
  at: 'Time',
  by: 'Name',
  x: 'From wall left (mm)',
  y: 'Above floor (mm)',
  hole: 'Hole',
  result: 'Drilling result',
  note: 'Note',
  photo: 'Photo',
  reason: 'Reason',
  code: 'Code of the finding',
  subject: 'Subject',
  revision: 'Revision',
  step: 'Step',
  minutes: 'Time taken (min)',
  screen: 'Screen',
  serial: 'Serial number',
  model: 'Model',
  array: 'Array',
  round: 'Round',
  route: 'Route',
  what: 'Snag',
  owner: 'Owner',
  due: 'Due date',
  point: 'Snag',
  name: 'Name of the person who signed',
  role: 'Role',
  purpose: 'Purpose',
  corrects: 'Entry corrected',
  sentBy: 'Sent by',
  person: 'Person',
  frozen: 'Frozen revision',
  link: 'Client link',
}
