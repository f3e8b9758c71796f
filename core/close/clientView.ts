import { drawWall } from '../mark/sheet'
import { mergedForPaper } from '../findings/merged'
import { element, rect, svgText } from '../svg'
import { textToString } from '../units'
import { handoverOf, type HandedOver } from './handedOver'
import { stillOpen } from './record'

/** What a client sees of a wall: enough to know what is signed for, and nothing of other walls. */
export interface ClientView {
  site: string
  wall: string
  screens: number
  /** The wall as SVG. */
  picture: string
  missing: { severity: string, what: string }[]
  cautions: string[]
  points: { what: string, owner: string, due: string }[]
  remarks: { note: string, by: string, at: string }[]
  signatures: { name: string, role?: string, at: string }[]
  inspection: { every: number, due?: string }
}

/** Cautions that every client sees. */
const ALWAYS = [
  'Do not stand below a screen that is pulled out or not locked.',
  'Only two trained people may pull out or take down a screen, with the power off.',
  'Do not hang anything on the screens, and keep the vents clear.',
  'This is a plan and a record, not a certificate. Structure, electrical work and fire-rated walls are subject to '
  + 'local code and licensed people.',
]
const MARGIN = 8

/** What a client sees of a wall through a link. */
export function clientViewOf(of: HandedOver): ClientView {
  const { site, wall, plan } = of
  const { record, missing, inspection } = handoverOf(of)
  const told = plan.findings.filter(({ severity, overridden }) => severity === 'stop' || overridden)
  const scale = Math.max(wall.width / 260, wall.height / 160)
  const [width, height] = [wall.width / scale + 2 * MARGIN, wall.height / scale + 2 * MARGIN]
  return {
    site: site.name,
    wall: wall.name,
    screens: plan.arrays.reduce((sum, { positions }) => sum + positions.length, 0),
    picture: svgText(
      element(
        'svg',
        { xmlns: 'http://www.w3.org/2000/svg', viewBox: `0 0 ${width} ${height}` },
        rect(0, 0, width, height, { fill: '#ffffff' }),
        drawWall(wall, plan, { left: MARGIN, foot: height - MARGIN, scale }),
      ),
    ),
    missing: missing
      .filter(({ of }) => of !== 'signature')
      .map(({ severity, what }) => ({ severity, what: textToString(what, site.units) })),
    cautions: [...ALWAYS, ...mergedForPaper(told, plan.arrays, site.units).map(({ text }) => text)],
    points: stillOpen(record).map(({ what, owner, due }) => ({ what, owner, due })),
    remarks: record.remarks.map(({ note, by, at }) => ({ note, by, at })),
    signatures: record.signatures.map(({ name, role, at }) => ({ name, ...(role !== undefined && { role }), at })),
    inspection: { every: inspection.every, ...(inspection.due !== undefined && { due: inspection.due }) },
  }
}
