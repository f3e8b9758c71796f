import type { Source } from '~~/core/job'

type FigureKey = 'amps' | 'volts' | 'loaded' | 'feederDrop' | 'ports' | 'poe' | 'poeClass'
type LengthKey = 'away' | 'x' | 'y'

function readNumber(text: string): Read<number | undefined> {
  const typed = text.trim().replace(',', '.')
  if (typed === '') return { ok: true, value: undefined }
  return Number.isFinite(Number(typed))
    ? { ok: true, value: Number(typed) }
    : { ok: false, message: `“${text}” is not a number` }
}

/** What the fields of a source do: a figure that is emptied is not known from then on. */
export function useSourceFields() {
  const store = useWallStore()
  const change = (label: string, id: string, by: Partial<Source>) => store.edit(label, wall => editSource(wall, id, by))
  return {
    readNumber,
    change,
    figure: (id: string, key: FigureKey): FieldActions<number | undefined> => ({
      tryOut: value => store.tryOut(wall => editSource(wall, id, { [key]: value })),
      commit: value => change('Source figure', id, { [key]: value }),
    }),
    length: (id: string, key: LengthKey): FieldActions<number> => ({
      commit: value => change('Source position', id, { [key]: value }),
    }),
    clear: (id: string, key: LengthKey) => () => change('Source position', id, { [key]: undefined }),
    nameIt: (id: string, text: string) => change('Source name', id, { name: text || undefined }),
  }
}
