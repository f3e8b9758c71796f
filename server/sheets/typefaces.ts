import { resolve } from 'node:path'
import { openSync, type Font } from 'fontkit'
import { memoize } from '../../core/memo'
import { inProgram } from '../root'

/** A stretch of text, and the file of the typeface that writes it. */
export interface Run { text: string, file: string }

/** A typeface: its file, and the code points that it has. */
interface Face { file: string, has: Set<number> }

const folder = () => inProgram(process.env.WT_FONTS, 'node_modules')
/**
 * The sheet's own typeface, then one for scripts that it has not; each in the two weights that a sheet is written in.
 */
const FACES: Record<400 | 600, string>[] = [
  {
    400: '@expo-google-fonts/barlow-semi-condensed/400Regular/BarlowSemiCondensed_400Regular.ttf',
    600: '@expo-google-fonts/barlow-semi-condensed/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf',
  },
  { 400: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf', 600: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf' },
]

/** The files of the typefaces in a weight, each with the characters that it has. */
const facesOf = memoize((weight: 400 | 600): Face[] => FACES.map((face) => {
  const file = resolve(folder(), face[weight])
  return { file, has: new Set((openSync(file) as Font).characterSet) }
}))

// Scripts that are written from right to left, or whose letters change with their neighbours: a PDF of stretches would
// garble them.
const NOT_BY_LETTER = new RegExp(`[${[
  'Hebrew', 'Arabic', 'Syriac', 'Thaana', 'Nko', 'Devanagari', 'Bengali', 'Tamil', 'Telugu', 'Thai', 'Khmer', 'Myanmar',
].map(script => `\\p{Script=${script}}`).join('')}]`, 'u')
/** Whether one typeface has all of a text; most texts are of the sheet's own. */
function isAllIn(text: string, { has }: Face): boolean {
  for (let n = 0; n < text.length; n++) if (!has.has(text.charCodeAt(n))) return false
  return true
}
/** What stands for a letter that cannot be drawn. */
const BOX = '□'

/** A text in stretches that one typeface each can write; a letter that none has stands as a box. */
export function runsOf(text: string, bold: boolean): Run[] {
  const faces = facesOf(bold ? 600 : 400)
  if (isAllIn(text, faces[0]!)) return [{ text, file: faces[0]!.file }]
  const fileOf = (letter: string) =>
    NOT_BY_LETTER.test(letter) ? undefined : faces.find(({ has }) => has.has(letter.codePointAt(0)!))?.file
  const runs: Run[] = []
  for (const letter of text) {
    const file = fileOf(letter)
    const [written, by] = file ? [letter, file] : [BOX, fileOf(BOX)!]
    const last = runs.at(-1)
    if (last?.file === by) last.text += written
    else runs.push({ text: written, file: by })
  }
  return runs
}

/** The letters of texts that no typeface here can write, each once. */
export function undrawable(texts: Iterable<string>): string[] {
  const faces = facesOf(400)
  const letters = new Set<string>()
  for (const text of texts) {
    if (!isAllIn(text, faces[0]!)) for (const letter of text) letters.add(letter)
  }
  return [...letters].filter(
    letter => NOT_BY_LETTER.test(letter) || !faces.some(({ has }) => has.has(letter.codePointAt(0)!)),
  )
}
