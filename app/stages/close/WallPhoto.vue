<script setup lang="ts">
import { usePhoto } from '~/sync/usePhoto'

/** A picture of the wall, from this device while the server does not have it yet. */
const { photo, label, small = false } = defineProps<{ photo: string, label: string, small?: boolean }>()
const store = useWallStore()
const { whole, small: thumb } = usePhoto(() => store.site, () => photo)
</script>

<template>
  <img :src="small ? thumb : whole" :alt="label" loading="lazy">
</template>
