import QRCode from 'qrcode'
import { group, rect, type Shape } from '../svg'
import { INK } from './text'

/** An address as a QR code of a size on paper, mm, with the quiet zone of four modules about it (ISO/IEC 18004). */
export function qrCode(address: string, x: number, y: number, size: number): Shape {
  const { size: count, data } = QRCode.create(address, { errorCorrectionLevel: 'M' }).modules
  const module = size / (count + 8)
  const rows = Array.from({ length: count }, (_, row) => {
    // Dark modules beside each other are one bar.
    const bars: Shape[] = []
    for (let column = 0; column < count;) {
      const start = column
      while (column < count && data[row * count + column]) column++
      if (column > start)
        bars.push(
          rect(x + (start + 4) * module, y + (row + 4) * module, (column - start) * module, module * 1.02, {
            fill: INK,
          }),
        )
      column++
    }
    return bars
  })
  return group({}, rect(x, y, size, size, { fill: '#ffffff' }), ...rows.flat())
}
