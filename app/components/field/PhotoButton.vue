<script setup lang="ts" generic="Of">
import { Camera } from 'lucide-vue-next'
import { photoName } from '~/sync/photoName'
import { useOutbox } from '~/sync/useOutbox'

/**
 * Takes a photograph, or a picture from this device, and keeps it for the server; `take` hears under which name, and
 * what it is of. The screen may show something else by the time that the device has it, or this button be gone: an
 * event of a button that is gone would not be heard.
 */
const { of, site, label, take } = defineProps<{
  of: Of
  site: string
  label: string
  take: (photo: string, of: Of) => void
}>()
const { outbox } = useOutbox()
const fault = ref('')
async function add(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  const taken = { of, take }
  input.value = ''
  if (!file) return
  try {
    const name = await photoName(file)
    if (!name) return void (fault.value = 'This file is not a JPEG, PNG or WebP image.')
    await outbox.addPhoto(site, name, file)
    fault.value = ''
    taken.take(name, taken.of)
  }
  catch (error) {
    fault.value = `The photo could not be stored on this device: ${(error as Error).message}`
  }
}
</script>

<template>
  <div>
    <label class="press w-full cursor-pointer focus-within:outline-3 focus-within:outline-focus">
      <Camera class="size-4" aria-hidden="true" /> {{ label }}
      <input type="file" class="sr-only" accept="image/jpeg,image/png,image/webp" data-testid="photo" @change="add">
    </label>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
