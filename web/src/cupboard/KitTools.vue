<script setup lang="ts">
/** Tools of which there are only so many: they set how many children work at once. */
import { ref } from 'vue'
import { TECHNIQUES } from '@lea/core/craft'
import type { Kit } from '@lea/core/plan'
import { kitSchema } from '@lea/core/schema'
import { useAuthStore } from '../stores/auth'

const props = defineProps<{ kit: Kit }>()
const emit = defineEmits<{ keep: [kit: Kit]; fault: [says: string] }>()
const auth = useAuthStore()
const tool = ref('')
const count = ref(2)
/** The tools on the ladders of the catalogue, once each. */
const KNOWN = [...new Set(TECHNIQUES.flatMap((t) => t.ladder.map((r) => r.tool)))].sort()

function keep(tools: NonNullable<Kit['tools']>): void {
  try {
    emit('keep', kitSchema.validateSync({ ...props.kit, tools }))
  } catch (e) {
    emit('fault', e instanceof Error ? e.message : String(e))
  }
}
function add(): void {
  if (tool.value === '') return
  const rest = (props.kit.tools ?? []).filter((t) => t.tool !== tool.value)
  keep([...rest, { tool: tool.value, count: count.value }])
  tool.value = ''
}
</script>

<template>
  <fieldset class="mt-4" :disabled="!auth.isLeader()">
    <legend class="mb-1 text-xl font-bold">Tools that are few</legend>
    <p class="text-sm text-soft">What is not listed is there for everyone.</p>
    <ul>
      <li
        v-for="t in kit.tools ?? []"
        :key="t.tool"
        class="flex flex-wrap items-center gap-2 border-t border-line py-1"
      >
        <span class="numeral w-8 text-lg">{{ t.count }}</span><span class="flex-1">{{ t.tool }}</span>
        <button
          type="button"
          class="btn"
          :aria-label="`${t.tool}: enough for everyone`"
          @click="keep((kit.tools ?? []).filter((x) => x !== t))"
        >
          enough for all
        </button>
      </li>
    </ul>
    <div class="mt-1 flex flex-wrap items-end gap-2">
      <label class="min-w-40 flex-1 text-sm"
        >Tool<select v-model="tool" class="field mt-1">
          <option value="">choose</option>
          <option v-for="k in KNOWN" :key="k" :value="k">{{ k }}</option>
        </select></label
      >
      <label class="text-sm"
        >How many<input v-model.number="count" type="number" min="1" max="50" class="field mt-1 !w-20"
      /></label>
      <button type="button" class="btn" :disabled="tool === ''" @click="add">Add</button>
    </div>
  </fieldset>
</template>
