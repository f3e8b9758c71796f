<script setup lang="ts">
import { Camera } from 'lucide-vue-next'
import { photoName } from '~/sync/photoName'
import { useOutbox } from '~/sync/useOutbox'

/** Takes a photograph, or a picture from this device, and keeps it for the server; `taken` tells under which name. */
const { site, label } = defineProps<{ site: string, label: string }>()
const emit = defineEmits<{ taken: [photo: string] }>()
const { outbox } = useOutbox()
const fault = ref('')
async function add(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const name = await photoName(file)
    if (!name) return void (fault.value = 'This file is not a JPEG, PNG or WebP image.')
    await outbox.addPhoto(site, name, file)
    fault.value = ''
    emit('taken', name)
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
