import { drawWall } from '../mark/sheet'
import { INK, qrCode, scaleFor, type Block } from '../sheet'
import { group, line, type Shape } from '../svg'
import { SEVERITY, type Printed } from './handoverPrinted'
import type { ClosingRecord } from './record'

/** A signature as it was written, in a field of a width; its strokes lie in 1000 by 400. */
export function drawInk(ink: number[][], left: number, top: number, width: number): Shape {
  const scale = width / 1000
  return group(
    {},
    ...ink.flatMap(stroke =>
      Array.from({ length: Math.max(0, Math.floor(stroke.length / 2) - 1) }, (_, n) => {
        const [x1, y1, x2, y2] = stroke.slice(2 * n, 2 * n + 4) as [number, number, number, number]
        return line(left + x1 * scale, top + y1 * scale, left + x2 * scale, top + y2 * scale, {
          'stroke': INK,
          'stroke-width': 0.5,
        })
      }),
    ),
  )
}

/** One signature: who, when, and the ink. */
function signatureBlocks(entry: ClosingRecord['signatures'][number], day: Printed['day']): Block[] {
  const by = `${entry.name}${entry.role ? `, ${entry.role}` : ''}`
  return [
    {
      text: `${by}, ${day(entry.at)}${entry.link ? ', through the client link' : ''}`,
      bold: true,
    },
    ...(entry.ink?.length
      ? [
          {
            height: 26,
            drawing: (left: number, top: number) =>
              group(
                {},
                drawInk(entry.ink!, left, top, 60),
                line(left, top + 24.5, left + 60, top + 24.5, { 'stroke': INK, 'stroke-width': 0.2 }),
              ),
          },
        ]
      : []),
  ]
}

/** The wall's picture, what is open, and who signed. */
export function frontBlocks(printed: Printed): Block[] {
  const { of, handover: { missing, record }, screens, units, address, paper, tell, day } = printed
  const { wall, plan, revision } = of
  const tall = 0.52 * (paper.height - 2 * paper.margin)
  const scale = scaleFor(wall, { width: paper.width - 2 * paper.margin - 10, height: tall - 4 }, units)
  const picture: Block = {
    height: wall.height / scale + 4,
    drawing: (left, top) =>
      group(
        {},
        drawWall(wall, plan, { left: left + 5, foot: top + wall.height / scale + 1, scale }),
        address === undefined ? '' : qrCode(address, paper.width - paper.margin - 17, paper.margin - 1, 17),
      ),
  }
  const built = revision ? `Built to revision ${revision}` : 'No revision was issued: built to the current plan'
  return [
    picture,
    {
      text: `${built}. ${screens.length} screens. Drawn 1:${scale} at 100 %.`,
    },
    ...(missing.length > 0
      ? [
          { heading: 'Open items' },
          {
            columns: [
              { title: '', share: 0.1 },
              { title: 'Item', share: 0.9 },
            ],
            rows: missing.map(({ severity, what }) => [SEVERITY[severity], tell(what)]),
          },
        ]
      : []),
    ...(record.signatures.length > 0
      ? [{ heading: 'Sign-off' }, ...record.signatures.flatMap(entry => signatureBlocks(entry, day))]
      : [{ heading: 'Sign-off' }, { text: 'Not signed yet.' }]),
  ]
}
