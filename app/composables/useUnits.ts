import {
  bitName,
  formatLength,
  fromSystem,
  inSystem,
  quantityToString,
  sumToString,
  textToString,
  unitIn,
  type Precision,
  type Text,
} from '~~/core/units'

/** A figure that was kept in another unit, to as many places as anybody types. */
const roundedTo = (value: number) => Number(value.toPrecision(4))

/** Lengths and sentences in the unit that is read now. */
export function useUnits() {
  const store = useWallStore()
  const preferences = usePreferences()
  const system = computed(() => preferences.units.value || store.siteUnits)
  const precision = computed<Precision>(() => preferences.fine.value ? { decimals: 1, denominator: 32 } : {})
  return {
    system,
    precision,
    /** A length as it is marked. */
    show: (mm: number) => formatLength(mm, system.value, precision.value),
    /** A length to the tenth or thirty-second, for fields and workings. */
    showFine: (mm: number) => formatLength(mm, system.value, { decimals: 1, denominator: 32 }).replace(/\.0$/, ''),
    /**
     * A gap or a step of a seam, as a feeler gauge tells it: to a hundredth of a millimetre or a thousandth of an inch,
     * with its unit.
     */
    showThin: (mm: number) =>
      (system.value === 'metric' ? `${Number(mm.toFixed(2))} mm` : `${Number((mm / 25.4).toFixed(3))}"`).replace(
        '-',
        '−',
      ),
    /** A bit as it is written on it, and a force or another quantity with its unit. */
    bit: (mm: number) => bitName(mm, system.value),
    quantity: (value: number, unit: string) => quantityToString({ value, unit }, system.value),
    inUnits: (value: number, unit: string) => inSystem({ value, unit }, system.value),
    /** What a metric unit is called by the reader. */
    unitOf: (unit: string) => unitIn(unit, system.value),
    /** A figure kept in a metric unit, as it is typed; empty where it is not known. */
    typed: (value: number | undefined, unit: string) =>
      value === undefined
        ? ''
        : String(system.value === 'metric' ? value : roundedTo(inSystem({ value, unit }, 'imperial').value)),
    /** Reads what was typed in the reader's unit into the metric one; nothing typed is not known. */
    readIn:
      (unit: string, takes: (value: number) => boolean = value => value >= 0) =>
        (text: string): Read<number | undefined> => {
          const plain = text.trim().replace(',', '.').replace('−', '-')
          if (plain === '') return { ok: true, value: undefined }
          const value = Number(plain)
          return Number.isFinite(value) && takes(value)
            ? { ok: true, value: fromSystem(value, unit, system.value) }
            : { ok: false, message: `“${text}” is not a number of ${unitIn(unit, system.value)}` }
        },
    tell: (text: Text) => textToString(text, system.value),
    /** A sum of a working, with bare millimetres. */
    tellSum: (text: Text) => sumToString(text, system.value),
    /** What stands behind a metric figure. */
    suffix: computed(() => (system.value === 'metric' ? 'mm' : '')),
    /** A length in a sentence: as it is marked, or to the tenth or thirty-second, with its unit. */
    withUnit: (mm: number) =>
      `${formatLength(mm, system.value, precision.value)}${system.value === 'metric' ? ' mm' : ''}`,
    fineWithUnit: (mm: number) => textToString([{ mm }], system.value),
    toggle: () => {
      preferences.units.value = system.value === 'metric' ? 'imperial' : 'metric'
    },
  }
}
