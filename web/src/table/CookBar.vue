<script setup lang="ts">
import { MonitorSmartphone } from '@lucide/vue'
/** The lower edge of the table. On a phone what is tapped again and again, and what must be at hand, stays in view. */
defineProps<{
  /** Whose turn it is; nobody's where the step has no turns left. */
  doer: string | null
  /** A gate stands open. */
  blocked: boolean
  first: boolean
  last: boolean
  /** Where the children's screen is. */
  show: string
}>()
const emit = defineEmits<{ back: []; next: []; done: []; change: []; keys: []; emergency: []; screen: [] }>()
</script>

<template>
  <footer class="gap-2 px-3 pb-3 max-lg:contents lg:flex lg:items-center">
    <div class="flex flex-wrap items-center gap-2 max-lg:px-3 max-lg:pb-3">
      <slot />
      <button type="button" class="btn btn-table" :disabled="first" @click="emit('back')">Back</button>
      <button type="button" class="btn btn-table" @click="emit('change')">Something changed</button>
      <button type="button" class="btn btn-table" @click="emit('keys')">Keys</button>
      <RouterLink class="btn btn-table" :to="show">For the children</RouterLink>
      <button
        type="button"
        class="btn btn-table"
        aria-label="Second screen for the children"
        @click="emit('screen')"
      >
        <MonitorSmartphone class="size-6" aria-hidden="true" />
      </button>
    </div>
    <div
      class="flex items-stretch gap-2 max-lg:sticky max-lg:bottom-0 max-lg:z-10 max-lg:border-t max-lg:border-line max-lg:bg-porcelain max-lg:p-2 lg:flex-1"
    >
      <button
        type="button"
        class="btn btn-table mr-auto !border-paprika !text-paprika"
        @click="emit('emergency')"
      >
        Emergency
      </button>
      <template v-if="doer !== null">
        <button type="button" class="btn btn-table" @click="emit('next')">
          {{ last ? 'Finish' : 'Next step' }}
        </button>
        <button
          type="button"
          class="btn btn-main btn-table max-lg:flex-1 lg:min-w-56"
          :disabled="blocked"
          @click="emit('done')"
        >
          Done: {{ doer }}’s turn
        </button>
      </template>
      <button
        v-else
        type="button"
        class="btn btn-main btn-table max-lg:flex-1 lg:min-w-56"
        :disabled="blocked"
        @click="emit('next')"
      >
        {{ last ? 'Finish' : 'Next step' }}
      </button>
    </div>
  </footer>
</template>
