<script setup lang="ts">
/** What would make it shorter: tried for real in the worker, when asked; each with before and after. */
import { countText } from '@lea/core/amount'
import { ref, shallowRef, watch } from 'vue'
import type { Plan, Shorter } from '@lea/core/plan'
import { useSession } from '../../stores/session/session'
import FiguresTable from './FiguresTable.vue'

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
const fewer = (n: number): string => `${countText(n, 'minute')} less`
</script>

<template>
  <section aria-labelledby="shorter">
    <h2 id="shorter" class="mb-1 text-lg">Shorter</h2>
    <button v-if="found === null" type="button" class="btn" :disabled="looking || disabled" @click="look">
      {{ looking ? 'Trying …' : 'What would make it shorter?' }}
    </button>
    <p v-else-if="found.length === 0" role="status" class="text-sm">
      Nothing that Lea can try saves a minute. Start earlier, or leave a step out.
    </p>
    <ul v-else class="text-sm" role="status">
      <li v-for="s in found" :key="s.says" class="border-t border-line py-1.5">
        <strong>{{ s.says }}</strong>: {{ fewer(s.minutesSaved) }}, ends {{ s.endsAt
        }}{{ s.fits ? '' : ', still too late' }}; {{ s.cost }}.
        <button
          v-if="s.decisions && !disabled"
          type="button"
          class="underline"
          @click="session.chooseAll(s.decisions)"
        >
          Use it
        </button>
        <details class="mt-0.5">
          <summary class="cursor-pointer text-soft">before and after</summary>
          <FiguresTable :before="s.before" :after="s.after" :caption="s.says" />
        </details>
      </li>
    </ul>
  </section>
</template>
