/** Larger than this on a side, browsers do not draw, px. */
const LARGEST_SIDE = 16_384

/** Turns an SVG picture into a PNG file at its own size. @throws with words where it is too large to draw */
export async function rasterise(svg: string, width: number, height: number): Promise<Blob> {
  if (width > LARGEST_SIDE || height > LARGEST_SIDE)
    throw new Error(`A picture of ${width} × ${height} pixels is too large for a PNG. Download the SVG instead.`)
  const image = new Image(width, height)
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width, height })
  canvas.getContext('2d')!.drawImage(image, 0, 0)
  return new Promise((done, fail) =>
    canvas.toBlob(
      blob =>
        blob ? done(blob) : fail(new Error('This browser cannot draw a picture this large. Download the SVG instead.')),
      'image/png',
    ),
  )
}
