<script setup lang="ts">
import { prepareZXingModule, BarcodeDetector as Detector } from 'barcode-detector/ponyfill'
import runtime from 'zxing-wasm/reader/zxing_reader.wasm?url'

/** The camera, until it has read a code; the same from a picture, where a camera is not to be had. */
const emit = defineEmits<{ read: [serial: string], closed: [] }>()
prepareZXingModule({
  overrides: { locateFile: (path: string, prefix: string) => (path.endsWith('.wasm') ? runtime : prefix + path) },
})
const detector = new Detector({ formats: ['code_128', 'code_39', 'ean_13', 'qr_code', 'data_matrix', 'itf'] })
const video = useTemplateRef<HTMLVideoElement>('video')
const said = ref('Hold the label in front of the camera.')
let stream: MediaStream | undefined
let ended = false

async function look() {
  while (!ended && video.value) {
    const [code] = await detector.detect(video.value).catch(() => [])
    if (code) return emit('read', code.rawValue)
    await new Promise(done => setTimeout(done, 150))
  }
}
onMounted(async () => {
  try {
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
    if (!video.value) return
    video.value.srcObject = stream
    await video.value.play()
    await look()
  }
  catch {
    said.value = 'No camera is available to this page. Take a photo of the label, or type the number.'
  }
})
onScopeDispose(() => {
  ended = true
  stream?.getTracks().forEach(track => track.stop())
})
async function fromPicture(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    const [code] = await detector.detect(await createImageBitmap(file))
    if (code) emit('read', code.rawValue)
    else said.value = 'No code found in this photo. Move closer and include the whole label.'
  }
  catch (error) {
    said.value = `This photo cannot be read: ${(error as Error).message}`
  }
}
</script>

<template>
  <div class="mt-1 space-y-1">
    <video ref="video" class="max-h-40 w-full rounded bg-case object-cover" muted playsinline aria-label="Camera" />
    <p class="text-xs text-ink-soft" role="status">
      {{ said }}
    </p>
    <div class="grid grid-cols-2 gap-2">
      <label class="press cursor-pointer">Read from photo<input
        type="file"
        class="sr-only"
        accept="image/*"
        data-testid="label-picture"
        @change="fromPicture"
      ></label>
      <button type="button" class="press" @click="emit('closed')">
        Close camera
      </button>
    </div>
  </div>
</template>
