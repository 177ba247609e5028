<script setup lang="ts">
/** Looking back: guesses beside what it was, and what was said, kept for the record and for home. */
import { computed, ref } from 'vue'
import { LOOK_BACK_LINES } from '@lea/core/learn'
import type { Plan } from '@lea/core/plan'
import { guessAsks, guessedRows } from '@lea/core/session'
import Mat from '../parts/mats/Mat.vue'
import { useMats } from '../parts/mats/useMats'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'

const props = defineProps<{ plan: Plan }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const rows = computed(() => guessedRows(props.plan, table.state))
const asks = computed(() => guessAsks(props.plan))
const asked = ref(LOOK_BACK_LINES.find((l) => l.id === 'back-home')?.id ?? '')
const child = ref('')
const says = ref('')
async function keep(): Promise<void> {
  const text = says.value.trim()
  if (text === '') return
  await table.add({
    kind: 'look-back',
    body: { line: asked.value, says: text, ...(child.value !== '' && { child: child.value }) },
  })
  says.value = ''
}
</script>

<template>
  <section class="patch p-4" aria-label="Looking back">
    <h2 class="mb-1 text-xl">Looking back</h2>
    <div v-for="g in rows" :key="g.guess" class="border-t border-line py-2">
      <p class="font-semibold">{{ g.asked }}</p>
      <ul class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        <li v-for="b in g.by" :key="b.child" class="flex items-center gap-1.5">
          <Mat :name="session.nameOf(b.child)" :mat="matOf(b.child)" />
          <span>{{ b.line }}</span>
        </li>
      </ul>
      <div
        v-if="asks.get(g.guess)"
        class="mt-1 flex flex-wrap items-center gap-2"
        role="group"
        :aria-label="`What it was: ${g.asked}`"
      >
        <span class="text-sm text-soft">it was</span>
        <button
          v-for="o in asks.get(g.guess)?.options"
          :key="o"
          type="button"
          class="btn !min-h-11"
          :class="g.truth === o ? '!bg-ink !text-white' : ''"
          :aria-pressed="g.truth === o"
          @click="table.add({ kind: 'guess-seen', body: { guess: g.guess, truth: o } })"
        >
          {{ o }}
        </button>
      </div>
    </div>
    <p v-if="rows.length === 0" class="text-sm text-soft">Nobody guessed anything this time.</p>
    <ul v-if="table.state.lookBacks.length > 0" class="mt-2">
      <li v-for="l in table.state.lookBacks" :key="l.event" class="border-t border-line py-1">
        <strong v-if="l.child">{{ session.nameOf(l.child) }}: </strong>“{{ l.says }}”
      </li>
    </ul>
    <form class="mt-2 grid gap-2 sm:grid-cols-[2fr_1fr_2fr_auto]" @submit.prevent="keep">
      <label class="text-sm font-semibold"
        >Ask<select v-model="asked" class="field mt-1 font-normal">
          <option v-for="l in LOOK_BACK_LINES" :key="l.id" :value="l.id">{{ l.says }}</option>
        </select></label
      >
      <label class="text-sm font-semibold"
        >Who says it<select v-model="child" class="field mt-1 font-normal">
          <option value="">all of us</option>
          <option v-for="c in plan.children" :key="c.id" :value="c.id">{{ session.nameOf(c.id) }}</option>
        </select></label
      >
      <label class="text-sm font-semibold"
        >In its words<input v-model="says" class="field mt-1 font-normal" maxlength="300"
      /></label>
      <button type="submit" class="btn self-end" :disabled="says.trim() === ''">Save it</button>
    </form>
  </section>
</template>
