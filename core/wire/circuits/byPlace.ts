import type { ElectricalRules } from './conductors'

/** What is said and asked differently by the electrical rules of a place. */
export interface ByPlace {
  /** The rules by name. */
  name: string
  /** What protects people outside and in the wet. */
  protection: string
  /** Colours of conductors: line, neutral, earth. */
  colours: string
  /** At which heights outlets are put that people use, mm, and by which rule; absent: as local code has it. */
  heights?: { from: number, to: number, source: string }
  /** What is put over an outlet outside. */
  cover: string
  /** What is said of cords. */
  cords: string
}

const NEC: ByPlace = {
  name: 'NEC (NFPA 70)',
  protection: 'Class A GFCI (5 mA)',
  colours: 'line black, neutral white, equipment ground green or bare (NEC 200.6, 250.119)',
  heights: { from: 381, to: 1219.2, source: 'ADA 308' },
  cover: 'extra-duty in-use covers (NEC 406.9(B))',
  cords: 'no flexible cord inside a wall or above a ceiling (NEC 400.12)',
}
const IEC: ByPlace = {
  name: 'IEC 60364',
  protection: '30 mA RCD',
  colours: 'line brown, neutral blue, protective earth green-and-yellow (IEC 60445)',
  cover: 'in-use covers, at least IP44 with the plug in (IEC 60529)',
  cords: 'no flexible cord as fixed wiring inside a wall (IEC 60364-5-52)',
}
const BOTH: ByPlace = {
  name: 'not known: the stricter of NEC and IEC',
  protection: '30 mA RCD or Class A GFCI (5 mA), as local code requires',
  colours: 'as local code requires',
  cover: 'in-use covers, as local code requires',
  cords: 'no flexible cord inside a wall (NEC 400.12)',
}
const BY_PLACE = { nec: NEC, iec: IEC }

/** What holds at a place; where nobody has said by which rules it is wired, what satisfies both. */
export const byPlace = (rules: ElectricalRules): ByPlace => (rules ? BY_PLACE[rules] : BOTH)
