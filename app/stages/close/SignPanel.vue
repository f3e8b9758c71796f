<script setup lang="ts">
/** The client signs on this screen, with name and time. */
const store = useWallStore()
const { record } = useClose()
const who = reactive({ name: '', role: '' })
const ink = ref<number[][]>([])
const fault = ref('')
const pad = ref(0)
function sign() {
  if (!who.name.trim()) return void (fault.value = 'Enter the name of the person who signs.')
  if (ink.value.length === 0) return void (fault.value = 'Sign in the box.')
  fault.value = store
    .record({
      kind: 'signed',
      name: who.name.trim(),
      ...(who.role.trim() && { role: who.role.trim() }),
      ink: ink.value,
    })
    .map(({ message }) => message)
    .join(' ')
  if (fault.value) return
  Object.assign(who, { name: '', role: '' })
  ink.value = []
  pad.value++
}
</script>

<template>
  <section aria-label="Signature">
    <h2 class="text-sm font-semibold">
      Signature
    </h2>
    <ul class="text-sm">
      <li
        v-for="entry in record?.signatures"
        :key="entry.id"
        class="flex items-center gap-2 border-b border-hair py-1"
        data-testid="signature"
      >
        <InkDrawing
          :ink="entry.ink ?? []"
          class="h-10 w-24 shrink-0 bg-paper"
        /> {{ entry.name }}{{ entry.role ? `, ${entry.role}` : '' }},
        {{ whenOf(entry.at) }}{{ entry.link ? ', by client link' : '' }}
      </li>
    </ul>
    <div class="mt-1 grid grid-cols-2 gap-2">
      <label class="text-sm">Name<input
        v-model="who.name"
        class="field-input"
        autocomplete="off"
        maxlength="200"
        @input="fault = ''"
      ></label>
      <label class="text-sm">Role<input
        v-model="who.role"
        class="field-input"
        autocomplete="off"
        maxlength="200"
        placeholder="building manager"
      ></label>
    </div>
    <SignatureField :key="pad" v-model="ink" class="mt-1" @update:model-value="fault = ''" />
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <button type="button" class="press press-first mt-1 w-full !min-h-12" @click="sign">
      Save signature
    </button>
  </section>
</template>
