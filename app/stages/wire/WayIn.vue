<script setup lang="ts">
/** What the routes rest on and the survey does not ask: what is open above and below, and whether the members bear. */
const store = useWallStore()
const OPEN = [
  { value: '', label: 'not known' },
  { value: 'open', label: 'open' },
  { value: 'plenum', label: 'open, air plenum' },
  { value: 'none', label: 'closed' },
]
const BEAR = [
  { value: '', label: 'not known' },
  { value: 'yes', label: 'load-bearing' },
  { value: 'no', label: 'not load-bearing' },
]
const framed = computed(() => store.wall?.structure.kind.endsWith('stud'))
const open = (side: 'above' | 'below') => (value: string) =>
  store.edit('Access above and below', wall => setVoid(wall, side, (value || undefined) as 'open' | undefined))
const LOOKED = [{ value: 'no', label: 'not checked' }, { value: 'yes', label: 'checked' }]
/** That a person looked and found none is something else than that nobody looked. */
const look = (value: string) => store.edit('Blocking check', wall => setLooked(wall, value === 'yes'))
const bear = (value: string) =>
  store.edit('Load-bearing studs', wall => setBearing(wall, value === '' ? undefined : value === 'yes'))
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <ChoiceField
      label="Above the wall"
      :value="store.wall?.void?.above ?? ''"
      :options="OPEN"
      :commit="open('above')"
    />
    <ChoiceField
      label="Below the wall"
      :value="store.wall?.void?.below ?? ''"
      :options="OPEN"
      :commit="open('below')"
    />
    <ChoiceField
      v-if="framed"
      class="col-span-2"
      inline
      :label="store.wall?.blocking?.length ? `Blocking, ${store.wall.blocking.length} known` : 'Blocking'"
      :value="store.wall?.blocking ? 'yes' : 'no'"
      :options="LOOKED"
      :commit="look"
    />
    <ChoiceField
      v-if="framed"
      class="col-span-2"
      inline
      label="Studs"
      :value="store.wall?.bearing === undefined ? '' : store.wall.bearing ? 'yes' : 'no'"
      :options="BEAR"
      :commit="bear"
    />
  </div>
</template>
