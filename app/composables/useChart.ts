/**
 * What every chart shares: the colours of the look that is on now, which a chart cannot read by itself, and its frame.
 */
export function useChart() {
  const preferences = usePreferences()
  const colours = computed(() => {
    void preferences.theme.value
    const style = getComputedStyle(document.documentElement)
    const of = (name: string) => style.getPropertyValue(`--color-${name}`).trim()
    return {
      ink: of('ink'),
      soft: of('ink-soft'),
      hair: of('hair'),
      good: of('good'),
      chalk: of('chalk'),
      flag: of('flag'),
      stop: of('stop'),
      caution: of('caution'),
    }
  })
  const base = computed(() => ({
    chart: {
      toolbar: { show: false },
      animations: { enabled: false },
      zoom: { enabled: false },
      fontFamily: 'inherit',
      foreColor: colours.value.ink,
      parentHeightOffset: 0,
    },
    grid: { borderColor: colours.value.hair, padding: { left: 4, right: 8, top: -12, bottom: 0 } },
    dataLabels: { enabled: false },
    legend: { position: 'bottom' as const, fontSize: '11px', itemMargin: { horizontal: 6, vertical: 0 } },
    tooltip: { theme: (preferences.theme.value === 'site' ? 'dark' : 'light') as 'dark' | 'light' },
  }))
  return { colours, base, theme: preferences.theme }
}
