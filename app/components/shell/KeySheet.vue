<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** Every key that does something on this screen. */
const open = defineModel<boolean>('open', { required: true })
const list = useCommandList()
const groups = computed(() => {
  const byGroup = new Map<string, Command[]>()
  for (const command of list.value)
    if (command.keys?.length) byGroup.set(command.group, [...(byGroup.get(command.group) ?? []), command])
  return [...byGroup]
})
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="open = false">
    <div class="fixed inset-0 bg-black/40" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel
        class="max-h-[86vh] w-full max-w-4xl overflow-y-auto rounded-md border border-edge bg-board p-5 text-ink
          shadow-xl"
      >
        <div class="mb-3 flex items-center justify-between">
          <DialogTitle class="text-lg font-bold">
            Keyboard shortcuts
          </DialogTitle>
          <button type="button" class="press" @click="open = false">
            Close
          </button>
        </div>
        <div class="columns-1 gap-6 md:columns-2">
          <section v-for="[group, commands] in groups" :key="group" class="mb-4 break-inside-avoid">
            <h3 class="mb-1 text-sm font-semibold text-ink-soft">
              {{ group }}
            </h3>
            <ul>
              <li
                v-for="command in commands"
                :key="command.id"
                class="flex justify-between gap-3 border-t border-hair py-1 text-sm"
              >
                <span>{{ command.title }}</span>
                <span class="flex shrink-0 gap-2"><span
                  v-for="press in command.keys"
                  :key="press"
                  class="flex gap-0.5"
                ><kbd v-for="cap in capsOf(press)" :key="cap" class="keycap">{{ cap }}</kbd></span></span>
              </li>
            </ul>
          </section>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
