/** A picture that is shown across the screens of an array on the drawing. */
export interface PicturePreview {
  array: string
  /** The canvas as an image of its own size, and where the picture lies on it, px. */
  href: string
  at: { x: number, y: number, width: number, height: number }
  /** Whether the screens leave out what hides behind the seams. */
  compensated: boolean
}

export const usePicturePreview = () => useScreenState<PicturePreview | undefined>('picture-preview', () => undefined)

/** The largest picture that is taken, bytes. */
const LARGEST = 20 * 1024 * 1024

/** A picture of the user's own, told by its content. @throws with what is wrong with it */
export async function readPicture(file: File): Promise<{ href: string, width: number, height: number }> {
  if (file.size > LARGEST)
    throw new Error(`${file.name} is ${(file.size / 1024 / 1024).toFixed(1)} MB; the limit is 20 MB.`)
  try {
    const { width, height } = await createImageBitmap(file)
    return { href: URL.createObjectURL(file), width, height }
  }
  catch {
    throw new Error(`${file.name} is not a readable picture file.`)
  }
}
