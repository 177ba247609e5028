<script setup lang="ts">
/** Something changes at the table: four big buttons, the plan is mended, and what changed is said. */
import { ref } from 'vue'
import { Clock, DoorOpen, UserMinus, UserPlus } from '@lucide/vue'
import type { MendInput } from '@lea/core'
import Mat from '../parts/Mat.vue'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import { useMats } from '../parts/useMats'
import { useSession } from '../stores/session'
import { useTable } from '../stores/table'

const props = defineProps<{ step: string }>()
const emit = defineEmits<{ close: []; came: [] }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const what = ref<'left' | 'late' | 'away' | null>(null)
const says = ref<string[]>([])
const refused = ref('')
const working = ref(false)

async function mend(change: MendInput): Promise<void> {
  working.value = true
  refused.value = ''
  await table.send()
  const answer = await session.mend(change)
  working.value = false
  if ('refused' in answer) refused.value = session.say(answer.refused)
  else says.value = answer.says
}
const left = (child: string): Promise<void> =>
  mend({ kind: 'left', child, done: Object.keys(table.state.turns) })
</script>

<template>
  <Sheet open title="Something changes" @close="emit('close')">
    <Notice v-if="refused" tone="fault" class="mb-3">{{ refused }}</Notice>
    <template v-if="says.length > 0">
      <ul role="status" class="text-lg">
        <li v-for="s in says" :key="s" class="border-t border-line py-1.5">{{ session.say(s) }}</li>
      </ul>
      <button type="button" class="btn btn-main btn-table mt-3" @click="emit('close')">On with it</button>
    </template>
    <div v-else-if="what === null" class="grid grid-cols-2 gap-3">
      <button type="button" class="btn btn-table !min-h-24" @click="what = 'left'">
        <UserMinus class="size-6" aria-hidden="true" />someone left
      </button>
      <button type="button" class="btn btn-table !min-h-24" @click="emit('came')">
        <UserPlus class="size-6" aria-hidden="true" />someone came
      </button>
      <button type="button" class="btn btn-table !min-h-24" @click="what = 'late'">
        <Clock class="size-6" aria-hidden="true" />running late
      </button>
      <button type="button" class="btn btn-table !min-h-24" @click="what = 'away'">
        <DoorOpen class="size-6" aria-hidden="true" />adult away
      </button>
    </div>
    <template v-else>
      <p class="mb-2 text-lg font-semibold">
        {{
          { left: 'Who left?', late: 'How many minutes more, for this step?', away: 'Who is called away?' }[
            what
          ]
        }}
      </p>
      <div class="flex flex-wrap gap-3">
        <template v-if="what === 'left'">
          <button
            v-for="c in session.plan?.children ?? []"
            :key="c.id"
            type="button"
            class="btn btn-table"
            :disabled="working"
            @click="left(c.id)"
          >
            <Mat :name="session.nameOf(c.id)" :mat="matOf(c.id)" />{{ session.nameOf(c.id) }}
          </button>
        </template>
        <template v-else-if="what === 'late'">
          <button
            v-for="n in [2, 5, 10, 15]"
            :key="n"
            type="button"
            class="btn btn-table"
            :disabled="working"
            @click="mend({ kind: 'late', step: props.step, minutes: n })"
          >
            {{ n }} minutes
          </button>
        </template>
        <template v-else>
          <button
            v-for="a in session.plan?.adults ?? []"
            :key="a"
            type="button"
            class="btn btn-table"
            :disabled="working"
            @click="mend({ kind: 'away', adult: a, step: props.step })"
          >
            {{ session.nameOf(a) }}
          </button>
        </template>
      </div>
      <button type="button" class="btn btn-table mt-4" @click="what = null">back</button>
    </template>
  </Sheet>
</template>
