<script setup lang="ts">
import { pagesFor } from '~/navigation'

/** The pages of the programme: the bar, which of them one is on, and what failed. */
const { title } = defineProps<{ title: string }>()
const store = useProgrammeStore()
const route = useRoute()
const session = useSessionStore()
/**
 * The schedule is calculated of all sites, so that only people who see all sites have it; everyone has what is
 * published.
 */
const pages = computed(() => pagesFor(action => session.may(action), 'programme'))
onMounted(() => store.load())
</script>

<template>
  <div class="flex h-full flex-col print:block print:h-auto">
    <TopBar
      class="print:hidden"
      :crumbs="[{ title: 'Sites', to: '/' }, { title: 'Programme', to: '/programme' }, { title }]"
    />
    <nav
      class="flex shrink-0 gap-1 overflow-x-auto border-b border-hair bg-rail px-3 print:hidden"
      aria-label="Programme"
    >
      <NuxtLink
        v-for="page in pages"
        :key="page.to"
        :to="page.to"
        no-prefetch
        class="flex min-h-[var(--target)] items-center border-b-4 px-3 text-sm font-semibold whitespace-nowrap"
        :class="route.path === page.to ? 'border-flag' : 'border-transparent text-ink-soft hover:text-ink'"
        :aria-current="route.path === page.to ? 'page' : undefined"
      >
        {{ page.title }}
      </NuxtLink>
    </nav>
    <p v-if="store.failed" class="field-fault px-4 py-2" role="alert">
      {{ store.failed }} <button type="button" class="press ml-2" @click="store.load()">
        Try again
      </button>
    </p>
    <p v-if="store.fault" class="field-fault bg-stop-wash px-4 py-1 print:hidden" role="alert" data-testid="not-saved">
      Not saved: {{ store.fault }}
    </p>
    <p
      v-if="store.data && store.data.pending > 0"
      class="bg-caution-wash px-4 py-1 text-sm text-caution print:hidden"
      role="status"
    >
      {{ store.data.pending === 1 ? 'The plan of one wall is being calculated'
        : `The plans of ${store.data.pending} walls are being calculated` }}: this page is not complete yet.
    </p>
    <slot />
  </div>
</template>
