<script setup lang="ts">
/** What would make it shorter: tried for real in the worker, when asked. */
import { ref, shallowRef, watch } from 'vue'
import type { Plan, Shorter } from '@lea/core'
import { useSession } from '../stores/session'

const props = defineProps<{ plan: Plan; disabled: boolean }>()
const session = useSession()
const found = shallowRef<Shorter[] | null>(null)
const looking = ref(false)
watch(
  () => props.plan.digest,
  () => (found.value = null),
)
async function look(): Promise<void> {
  looking.value = true
  found.value = await session.shorter()
  looking.value = false
}
</script>

<template>
  <div>
    <h2 class="mb-1 text-lg">Shorter</h2>
    <button v-if="found === null" type="button" class="btn" :disabled="looking || disabled" @click="look">
      {{ looking ? 'Trying …' : 'What would make it shorter?' }}
    </button>
    <p v-else-if="found.length === 0" role="status" class="text-sm">
      Nothing that Lea can try saves a minute. Start earlier, or leave a step out.
    </p>
    <ul v-else class="text-sm" role="status">
      <li v-for="s in found" :key="s.says" class="border-t border-line py-1">
        <strong>{{ s.says }}</strong>: {{ s.minutesSaved }}
        {{ s.minutesSaved === 1 ? 'minute' : 'minutes' }} less, ends {{ s.endsAt }}; {{ s.cost }}.
        <button
          v-if="s.decision && !disabled"
          type="button"
          class="underline"
          @click="session.choose(s.decision)"
        >
          do it
        </button>
      </li>
    </ul>
  </div>
</template>
