<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Dialog, DialogPanel } from '@headlessui/vue'

/** Everything that can be done here, found by typing a word of it. */
const open = defineModel<boolean>('open', { required: true })
const list = useCommandList()
const typed = ref('')
const found = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
  return list.value
    .filter(({ when }) => when?.() ?? true)
    .filter(({ title, group }) => words.every(word => `${title} ${group}`.toLowerCase().includes(word)))
})
function take(command: Command | null) {
  if (!command) return
  open.value = false
  typed.value = ''
  // The dialog gives the focus back first; a command may want it elsewhere.
  setTimeout(command.run)
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="open = false">
    <div class="fixed inset-0 bg-black/40" aria-hidden="true" />
    <div class="fixed inset-0 flex justify-center p-4 pt-[12vh]">
      <DialogPanel
        class="h-fit max-h-[70vh] w-full max-w-xl overflow-hidden rounded-md border border-edge bg-board text-ink
          shadow-xl"
      >
        <Combobox :model-value="null" nullable @update:model-value="take">
          <ComboboxInput
            class="h-12 w-full border-b border-hair bg-paper px-4 text-base"
            aria-label="Search commands"
            placeholder="Search commands"
            @change="typed = $event.target.value"
          />
          <ComboboxOptions static class="max-h-[55vh] overflow-y-auto py-1">
            <ComboboxOption
              v-for="command in found"
              :key="command.id"
              v-slot="{ active }"
              :value="command"
              as="template"
            >
              <li
                class="flex cursor-pointer items-center justify-between gap-3 px-4 py-1.5 text-sm"
                :class="{ 'bg-pine text-on-pine': active }"
              >
                <span>{{ command.title }} <span class="text-xs opacity-75">{{ command.group }}</span></span>
                <span v-if="command.keys?.[0]" class="flex gap-1"><kbd
                  v-for="cap in capsOf(command.keys[0])"
                  :key="cap"
                  class="keycap"
                >{{ cap }}</kbd></span>
              </li>
            </ComboboxOption>
            <li v-if="found.length === 0" class="px-4 py-3 text-sm text-ink-soft">
              No command found. Try another word, or clear the search to list all commands.
            </li>
          </ComboboxOptions>
        </Combobox>
      </DialogPanel>
    </div>
  </Dialog>
</template>
