<script setup lang="ts">
/** Something changes at the table: big buttons, the plan is mended, what changed is said, and what would shorten the rest. */
import { computed, ref, shallowRef, type Component } from 'vue'
import { Clock, DoorOpen, Hammer, PackageOpen, Scissors, UserMinus, UserPlus } from '@lucide/vue'
import { type RestOffer, type StillToMeasure, stillToMeasure } from '@lea/core/plan'
import type { MendInput } from '@lea/core/schema'
import Mat from '../../parts/mats/Mat.vue'
import Notice from '../../parts/Notice.vue'
import Sheet from '../../parts/Sheet.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

type What = 'left' | 'late' | 'away' | 'broken' | 'short' | 'shorter'
const props = defineProps<{ step: string }>()
const emit = defineEmits<{ close: []; came: [] }>()
const session = useSession()
const settingStore = useSettingStore()
const table = useTable()
const { matOf } = useMats()
const what = ref<What | null>(null)
const says = ref<string[]>([])
const offers = shallowRef<RestOffer[] | null>(null)
const refused = ref('')
const working = ref(false)
const BUTTONS: { what: What | 'came'; label: string; picture: Component }[] = [
  { what: 'left', label: 'someone left', picture: UserMinus },
  { what: 'came', label: 'someone came', picture: UserPlus },
  { what: 'late', label: 'running late', picture: Clock },
  { what: 'away', label: 'adult away', picture: DoorOpen },
  { what: 'broken', label: 'a measure is lost', picture: Hammer },
  { what: 'short', label: 'we ran short', picture: PackageOpen },
  { what: 'shorter', label: 'make it shorter', picture: Scissors },
]
const ASKS: Record<What, string> = {
  left: 'Who left?',
  late: 'How many minutes more, for this step?',
  away: 'Who is called away?',
  broken: 'Which measure is lost or broken?',
  short: 'What is there too little of?',
  shorter: 'What would make it shorter',
}
const done = (): string[] => Object.keys(table.state.turns)
/** What there is too little of, while it is asked how many scoops there is enough for. */
const short = shallowRef<StillToMeasure | null>(null)
const toMeasure = computed(() =>
  session.plan ? stillToMeasure(session.plan, new Set(Object.keys(table.state.turns))) : [],
)

async function mend(change: MendInput): Promise<void> {
  working.value = true
  refused.value = ''
  await table.send()
  const answer = await session.mend(change)
  working.value = false
  if ('refused' in answer) {
    refused.value = session.say(answer.refused)
    return
  }
  says.value = answer.says
  // Worked out beside; nothing of it happens unless somebody taps it.
  offers.value = change.kind === 'shorten' ? [] : await session.restShorter(props.step, done())
}
async function choose(next: What | 'came'): Promise<void> {
  if (next === 'came') {
    emit('came')
    return
  }
  what.value = next
  if (next !== 'shorter') return
  working.value = true
  offers.value = await session.restShorter(props.step, done())
  working.value = false
}
const shorten = (offer: RestOffer): Promise<void> =>
  mend({ kind: 'shorten', step: props.step, done: done(), change: offer.change })
</script>

<template>
  <!-- What is said has happened: the plan in force is the changed one. -->
  <Sheet open :title="says.length > 0 ? 'Changed' : 'Something changes'" @close="emit('close')">
    <Notice v-if="refused" tone="fault" class="mb-3">{{ refused }}</Notice>
    <ul v-if="says.length > 0" role="status" class="text-lg">
      <li v-for="s in says" :key="s" class="border-t border-line py-1.5">{{ session.say(s) }}</li>
    </ul>
    <div v-if="(says.length > 0 || what === 'shorter') && offers !== null" class="mt-2">
      <p v-if="offers.length > 0" class="text-lg font-semibold">The rest could be shorter:</p>
      <p v-else-if="what === 'shorter' && says.length === 0" role="status" class="text-lg">
        Nothing that Lea can try saves three minutes.
      </p>
      <button
        v-for="o in offers.slice(0, 4)"
        :key="o.says"
        type="button"
        class="btn btn-table mt-2 w-full !justify-start text-left"
        :disabled="working"
        @click="shorten(o)"
      >
        {{ o.says }}: {{ o.minutesSaved }} minutes less, ends {{ o.endsAt }}; {{ o.cost }}
      </button>
    </div>
    <p v-if="what === 'shorter' && working" role="status" class="text-lg">Trying …</p>
    <button v-if="says.length > 0" type="button" class="btn btn-main btn-table mt-3" @click="emit('close')">
      Back to the table
    </button>
    <div v-else-if="what === null" class="grid grid-cols-2 gap-3">
      <button
        v-for="b in BUTTONS"
        :key="b.what"
        type="button"
        class="btn btn-table !min-h-20"
        @click="choose(b.what)"
      >
        <component :is="b.picture" class="size-6" aria-hidden="true" />{{ b.label }}
      </button>
    </div>
    <template v-else>
      <p v-if="what !== 'shorter'" class="mb-2 text-lg font-semibold">{{ ASKS[what] }}</p>
      <div class="flex flex-wrap gap-3">
        <template v-if="what === 'left'">
          <button
            v-for="c in session.plan?.children ?? []"
            :key="c.id"
            type="button"
            class="btn btn-table"
            :disabled="working"
            @click="mend({ kind: 'left', child: c.id, done: done() })"
          >
            <Mat :name="session.nameOf(c.id)" :mat="matOf(c.id)" beside />{{ session.nameOf(c.id) }}
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
        <template v-else-if="what === 'away'">
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
        <template v-else-if="what === 'broken'">
          <button
            v-for="m in (settingStore.setting?.kit.measures ?? []).filter((x) => x.count > 0)"
            :key="m.id"
            type="button"
            class="btn btn-table"
            :disabled="working"
            @click="mend({ kind: 'broken', measure: m.id, done: done() })"
          >
            {{ m.name }}
          </button>
        </template>
        <template v-else-if="what === 'short' && short === null">
          <p v-if="toMeasure.length === 0">Nothing is still to be measured.</p>
          <button v-for="l in toMeasure" :key="l.line" type="button" class="btn btn-table" @click="short = l">
            {{ l.name }}
          </button>
        </template>
        <template v-else-if="what === 'short' && short">
          <p class="w-full">
            {{ short.scoops }} more of {{ short.name }} were to come. For how many is there enough?
          </p>
          <button
            v-for="n in short.scoops"
            :key="n"
            type="button"
            class="btn btn-table"
            :disabled="working"
            @click="mend({ kind: 'short', line: short.line, left: n - 1, done: done() })"
          >
            {{ n - 1 }}
          </button>
        </template>
      </div>
      <button
        type="button"
        class="btn btn-table mt-4"
        @click="((what = null), (offers = null), (short = null))"
      >
        Back
      </button>
    </template>
  </Sheet>
</template>
