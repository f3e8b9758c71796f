import { escape } from '../svg'
import type { PixelMap } from './pixels'
import { screenLabel } from '../job/screenLabel'

const GROUNDS = ['#20313a', '#37474f']

/**
 * A test picture of the canvas as SVG, at its size in pixels: each screen named and framed at its
 * very edge, a cross through its middle, diagonals over the whole, and circles over the seams,
 * which look round on the wall when the seams are compensated and broken when they are not.
 */
export function testPicture({ canvas, crops, pitch }: PixelMap, name: string): string {
  const { width, height } = canvas
  const square = pitch.x / pitch.y
  const seams = crops.flatMap(({ rounded, row, column }) => {
    const right = crops.find(other => other.row === row && other.column === column + 1)
    const below = crops.find(other => other.column === column && other.row === row + 1)
    const radius = 0.22 * Math.min(rounded.width, rounded.height)
    return [
      ...(right
        ? [{ cx: (rounded.x + rounded.width + right.rounded.x) / 2, cy: rounded.y + rounded.height / 2, radius }]
        : []),
      ...(below
        ? [{ cx: rounded.x + rounded.width / 2, cy: (rounded.y + rounded.height + below.rounded.y) / 2, radius }]
        : []),
    ]
  })
  const screens = crops
    .map(({ row, column, rounded: { x, y, width, height } }) =>
      [
        `<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${GROUNDS[(row + column) % 2]}"/>`,
        `<path d="M${x + 0.5} ${y + 0.5} h${width - 1} v${height - 1} h${1 - width} z" fill="none" stroke="#ffffff" `
        + `stroke-width="1"/>`,
        `<path d="M${x + width / 2} ${y} v${height} M${x} ${y + height / 2} h${width}" stroke="#9be8c4" `
        + `stroke-width="1"/>`,
        `<text x="${x + width / 2}" y="${y + height * 0.3}" font-size="${Math.round(Math.min(width, height) * 0.14)}" `
        + `text-anchor="middle" font-family="sans-serif" fill="#ffffff">${screenLabel({ row, column })}</text>`,
        `<text x="${x + width / 2}" y="${y + height * 0.38}" `
        + `font-size="${Math.round(Math.min(width, height) * 0.05)}" text-anchor="middle" font-family="sans-serif" `
        + `fill="#ffffff">${x}, ${y}, ${width} × ${height}</text>`,
      ].join(''),
    )
    .join('')
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 `
    + `0 ${width} ${height}"><title>${escape(name)}</title>`
    + `<rect width="${width}" height="${height}" fill="#000000"/>${screens}`
    + `<path d="M0 0 L${width} ${height} M${width} 0 L0 ${height}" stroke="#f2c53d" stroke-width="2"/>`
    + seams
      .map(
        ({ cx, cy, radius }) =>
          `<ellipse cx="${cx}" cy="${cy}" rx="${radius}" ry="${radius * square}" fill="none" stroke="#f2c53d" `
          + `stroke-width="3"/>`,
      )
      .join('')
      + '</svg>'
  )
}
