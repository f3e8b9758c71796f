import type { EntryKind, EntryOf } from './entry'

/** What each kind of log entry is called. */
export const ENTRY_NAMES: Record<EntryKind, string> = {
  'hole': 'drilling result', 'override': 'override', 'override-ended': 'override removed', 'issued': 'revision issued', 'step': 'work step',
  'seams': 'seam readings', 'turned': 'adjuster turns', 'fished': 'pull line', 'hung': 'screen hung', 'serial': 'serial number', 'locked': 'lock',
  'photo': 'photo', 'tested': 'test pattern', 'point': 'snag', 'point-done': 'snag closed', 'signed': 'sign-off', 'visit': 'visit',
  'replaced': 'screen replaced', 'remark': 'remark', 'correction': 'correction',
}

/** What the drill met, in a word or two. */
export const RESULT_NAMES: Record<EntryOf<'hole'>['result'], string> = {
  hit: 'hit', miss: 'missed', void: 'void', steel: 'steel', mortar: 'mortar joint', blown: 'blown out', stripped: 'stripped', other: 'other',
}

/** What the fields of an entry are called where a person corrects one. */
export const ENTRY_FIELD_NAMES: Record<string, string> = {
  at: 'Time', by: 'Name', x: 'From wall left (mm)', y: 'Above floor (mm)', hole: 'Hole', result: 'Drilling result', note: 'Note', photo: 'Photo', reason: 'Reason',
  code: 'Code of the finding', subject: 'Subject', revision: 'Revision', step: 'Step', minutes: 'Time taken (min)', screen: 'Screen', serial: 'Serial number',
  model: 'Model', array: 'Array', round: 'Round', route: 'Route', what: 'Snag', owner: 'Owner', due: 'Due date', point: 'Snag', name: 'Name of the person who signed', role: 'Role',
  purpose: 'Purpose', corrects: 'Entry corrected', sentBy: 'Sent by', person: 'Person', frozen: 'Frozen revision', link: 'Client link',
}
