import type { Stage } from '../finding'
import type { Rules } from './site'

/** One way of doing it, and the reason that its people give. */
export interface School { value: string, name: string, why: string }

/** A question on which good installers disagree, and the answers among which a firm chooses. */
export interface HouseRule { key: 'proofOfFraming' | 'heightDatum' | 'hollowWallAnchors' | 'coveringCountsAsGap' | 'blockJoints' | 'furring', stage: Stage, title: string, schools: School[], otherwise: string }

/** The house rules that are a choice; `otherwise` is what holds until the firm has chosen. */
export const HOUSE_RULES: HouseRule[] = [
  {
    key: 'proofOfFraming', stage: 'survey', title: 'Proof of framing, for a hole that carries load', otherwise: 'two-kinds',
    schools: [
      { value: 'two-kinds', name: 'two signs of different kinds, or one probe', why: 'A screw may sit in blocking and a detector may see a pipe; signs that err in different ways seldom err together.' },
      { value: 'one-sign', name: 'one good sign', why: 'On a regular wall a clear sign is enough, and each further one costs time or a hole.' },
    ],
  },
  {
    key: 'coveringCountsAsGap', stage: 'fix', title: 'Covering under the plate', otherwise: 'true',
    schools: [
      { value: 'true', name: 'counts as a gap that weakens the screw in shear', why: 'Board is soft: the screw bends across it as across air, and bears less than half of what it would without.' },
      { value: 'false', name: 'is left out of account', why: 'A plate drawn tight on sound board hardly slips, and the sums have a margin already.' },
    ],
  },
  {
    key: 'hollowWallAnchors', stage: 'fix', title: 'Anchors that hold in the covering alone', otherwise: 'supplement',
    schools: [
      { value: 'never', name: 'are never used', why: 'They loosen as a screen is pulled out and pushed home.' },
      { value: 'supplement', name: 'are a supplement that carries nothing in the sums', why: 'They keep a plate’s free corner flat, and what carries the load is in the framing.' },
      { value: 'counted', name: 'count at their maker’s value', why: 'Some are tested and rated, and there are walls that have nothing else.' },
    ],
  },
  {
    key: 'blockJoints', stage: 'mount', title: 'Joints of blockwork', otherwise: 'keep-clear',
    schools: [
      { value: 'keep-clear', name: 'are kept clear of, by what the anchor asks for', why: 'Mortar crumbles as an anchor spreads in it, and its maker’s figures are for the block.' },
      { value: 'anywhere-under-timber', name: 'do not count where timber lies over the block', why: 'A batten or board shares the load among several anchors, and hides which of them is weak.' },
    ],
  },
  {
    key: 'furring', stage: 'mount', title: 'Furring over block or concrete', otherwise: 'through',
    schools: [
      { value: 'through', name: 'is fixed through, into what is behind it', why: 'The block bears the load, and the furring only spaces the lining.' },
      { value: 'into-furring', name: 'is fixed into, and nothing behind it is drilled', why: 'The furring is fixed every few inches already, and a screw in wood is sure where an old block may not be.' },
    ],
  },
  {
    key: 'heightDatum', stage: 'mark', title: 'What heights are measured from', otherwise: '',
    schools: [
      { value: '', name: 'centre line of the top row for a grid, bottom edge for a single sign', why: 'A grid is set out from its middle, where errors halve; a single sign from the edge that people see.' },
      { value: 'bottom-edge', name: 'always the bottom edge of the display', why: 'It is the edge that a tape reaches from the floor, and that is checked after hanging.' },
      { value: 'top-row-centre', name: 'always the centre line of the top row', why: 'The top row is hung first, and the line stays in sight while the others follow.' },
    ],
  },
]

/** What the firm chose, or what holds until it has. */
export function chosenOption({ key, schools, otherwise }: HouseRule, rules: Rules): School {
  const chosen = String(rules[key] ?? otherwise)
  return schools.find(({ value }) => value === chosen)!
}
