<script setup lang="ts">
/** The first start: the firm, and its first planner, by the code that was printed where the server runs. */
const { fault, faults, busy, enter } = useAuthForm()
const route = useRoute()
const form = reactive({
  code: typeof route.query.code === 'string' ? route.query.code : '',
  firm: '',
  name: '',
  address: '',
  password: '',
})
const FIELDS = [
  { key: 'firm', label: 'Your firm', type: 'text', auto: 'organization' },
  { key: 'name', label: 'Your name', type: 'text', auto: 'name' },
  { key: 'address', label: 'Your e-mail address', type: 'email', auto: 'username' },
] as const
</script>

<template>
  <DoorFrame title="Set up a firm">
    <p class="text-sm">
      You become its first planner. Walls planned on this server before it had accounts belong to the first firm.
    </p>
    <form class="space-y-3" novalidate @submit.prevent="enter('/firm', form)">
      <FieldFrame
        id="begin-code"
        label="Code"
        :fault="faults.code"
        hint="The server printed the code in its window when it started. It works once."
      >
        <input
          id="begin-code"
          v-model="form.code"
          class="field-input"
          autocomplete="one-time-code"
          spellcheck="false"
          placeholder="xxxx-xxxx-xxxx"
        >
      </FieldFrame>
      <FieldFrame
        v-for="{ key, label, type, auto } in FIELDS"
        :id="`begin-${key}`"
        :key="key"
        :label="label"
        :fault="faults[key]"
      >
        <input
          :id="`begin-${key}`"
          v-model="form[key]"
          class="field-input"
          :type="type"
          :autocomplete="auto"
          maxlength="200"
          :aria-invalid="!!faults[key]"
        >
      </FieldFrame>
      <PasswordField id="begin-password" v-model="form.password" :fault="faults.password" />
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
      <button type="submit" class="press press-first w-full" :disabled="busy">
        Set up firm
      </button>
    </form>
  </DoorFrame>
</template>
