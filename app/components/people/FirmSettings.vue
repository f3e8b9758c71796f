<script setup lang="ts">
/** The firm's name, and after how many days without the server a device signs in again. */
const form = reactive({ name: '', deviceDays: '' })
const faults = ref<Record<string, string>>({})
const says = ref('')
try {
  const { name, deviceDays } = await api<{ name: string, deviceDays: number }>('/firm')
  Object.assign(form, { name, deviceDays: String(deviceDays) })
}
catch (error) {
  says.value = (error as Error).message
}
async function save() {
  says.value = ''
  faults.value = {}
  try {
    await api('/firm', {
      method: 'PUT',
      body: { name: form.name, deviceDays: /^\d+$/.test(form.deviceDays) ? Number(form.deviceDays) : form.deviceDays },
    })
    says.value = 'Saved.'
  }
  catch (error) {
    faults.value = Object.fromEntries(
      (error as ApiError).faults.map(({ path, message }) => [path.slice(2), `It ${message}.`]),
    )
    if (Object.keys(faults.value).length === 0) says.value = (error as Error).message
  }
}
</script>

<template>
  <form class="space-y-2" novalidate @submit.prevent="save">
    <h2 class="font-semibold">
      Firm
    </h2>
    <FieldFrame id="firm-name" label="Name" :fault="faults.name">
      <input
        id="firm-name"
        v-model="form.name"
        class="field-input"
        autocomplete="organization"
        maxlength="200"
        :aria-invalid="!!faults.name"
      >
    </FieldFrame>
    <FieldFrame
      id="firm-days"
      label="Sign in again after (days)"
      :fault="faults.deviceDays"
      hint="Days since the device last reached the server. Its downloaded data is then erased; unsent work stays."
    >
      <input
        id="firm-days"
        v-model="form.deviceDays"
        class="field-input text-right"
        inputmode="numeric"
        autocomplete="off"
        :aria-invalid="!!faults.deviceDays"
      >
    </FieldFrame>
    <button type="submit" class="press w-full">
      Save
    </button>
    <p v-if="says" class="text-sm" role="status">
      {{ says }}
    </p>
  </form>
</template>
