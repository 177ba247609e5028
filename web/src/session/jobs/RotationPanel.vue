<script setup lang="ts">
/** Small groups one after another at the same table: who, when, and a session made of each. */
import { countText } from '@lea/core/amount'
import { ref, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { type Plan, RESET_MINUTES, type Rotation } from '@lea/core/plan'
import Notice from '../../parts/Notice.vue'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan; disabled: boolean }>()
const session = useSession()
const { matOf } = useMats()
const size = ref(4)
const found = shallowRef<Rotation | null>(null)
const looking = ref(false)
const fault = ref('')
const made = ref(0)
watch([() => props.plan.digest, size], () => (found.value = null))

async function look(): Promise<void> {
  looking.value = true
  fault.value = ''
  made.value = 0
  const answer = await session.inRotation(size.value)
  looking.value = false
  if ('fault' in answer) fault.value = answer.fault
  else found.value = answer
}
/** Sessions are made once, however often somebody taps. */
let making = false
async function make(): Promise<void> {
  if (making) return
  making = true
  const groups = found.value?.groups ?? []
  const wrong = await session.makeRotation(groups.map(({ start, children }) => ({ start, children })))
  making = false
  fault.value = wrong ?? ''
  if (!wrong) made.value = groups.length
}
</script>

<template>
  <section aria-label="Small groups one after another">
    <Notice v-if="fault" tone="fault" class="mb-2">{{ fault }}</Notice>
    <p v-if="made > 0" role="status" class="text-sm">
      {{ made }} sessions, this one with the first group.
      <RouterLink to="/today" class="underline">They stand under Today.</RouterLink>
    </p>
    <div class="flex flex-wrap items-end gap-2 text-sm">
      <label
        >Children at once, at most
        <select v-model.number="size" class="field !min-h-9 !w-20 !py-0">
          <option v-for="n in [2, 3, 4, 5, 6, 8]" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <button type="button" class="btn !min-h-9" :disabled="looking || disabled" @click="look">
        {{ looking ? 'Planning each …' : 'Try it' }}
      </button>
    </div>
    <template v-if="found">
      <ol class="mt-1 text-sm">
        <li v-for="g in found.groups" :key="g.start" class="border-t border-line py-1">
          <span class="numeral">{{ g.start }}–{{ g.endsAt }}</span
          >, {{ g.minutes }} min
          <span class="mt-0.5 flex flex-wrap gap-1">
            <span v-for="c in g.children" :key="c" class="flex items-center gap-1">
              <Mat :name="session.nameOf(c)" :mat="matOf(c)" class="!size-5" beside />{{ session.nameOf(c) }}
            </span>
          </span>
        </li>
      </ol>
      <p class="mt-1 text-sm">
        {{ RESET_MINUTES }} minutes between to wipe and set out anew; the last ends at {{ found.endsAt
        }}{{ found.fits ? '' : ', after the families come' }}.
      </p>
      <button v-if="!disabled && found.groups.length > 1" type="button" class="btn mt-1" @click="make">
        Make these {{ countText(found.groups.length, 'session') }}
      </button>
    </template>
  </section>
</template>
