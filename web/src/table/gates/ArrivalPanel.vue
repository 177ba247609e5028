<script setup lang="ts">
/** Somebody came while the table is at work, or a card was changed: what that changes, what is to settle first, and then the plan for everyone. */
import { computed, ref } from 'vue'
import { type Finding, type Fix, openStops, whatChanged } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'
import ReadPacket from '../../parts/packets/ReadPacket.vue'
import WrittenReason from '../../parts/WrittenReason.vue'

const session = useSession()
const auth = useAuthStore()
const fault = ref('')
const packet = ref<{ food: string; lookFor: string[] } | null>(null)
const reason = ref<Finding | null>(null)
const stops = computed(() => (session.preview ? openStops(session.preview) : []))
const says = computed(() =>
  session.preview ? session.say(whatChanged(session.plan, session.preview)) : 'Working it out …',
)
// An own bowl would take turns that were done out of the plan: at the table it is one pot for all, a packet or a reason.
const fixesOf = (f: Finding): Fix[] =>
  f.fixes.filter(
    ({ action }) =>
      action.do === 'read-packet' ||
      action.do === 'reason' ||
      (action.do === 'decide' && action.decision.kind !== 'apart'),
  )

async function apply(finding: Finding, { action }: Fix): Promise<void> {
  if (action.do === 'decide') await session.choose(action.decision)
  else if (action.do === 'read-packet') packet.value = action
  else if (action.do === 'reason') reason.value = finding
}
async function goOn(): Promise<void> {
  fault.value = (await session.replan()) ?? ''
}
/** On the list of the plan in force already: the card is another one now. */
const known = computed(() => new Set(session.plan?.children.map((c) => c.id)))
const heading = computed(() => {
  const names = (ids: string[]): string => ids.map((id) => session.nameOf(id)).join(', ')
  const cards = session.arrived.filter((id) => known.value.has(id))
  const came = session.arrived.filter((id) => !known.value.has(id))
  return [
    came.length > 0 ? `${names(came)} came` : '',
    cards.length > 0 ? `the card of ${names(cards)} has changed` : '',
  ]
    .filter(Boolean)
    .join('; ')
})
const onlyCame = computed(() => session.arrived.every((id) => !known.value.has(id)))
async function looksOn(): Promise<void> {
  const faults: string[] = []
  for (const id of [...session.arrived]) {
    const says = await session.looksOn(id)
    if (says) faults.push(says)
  }
  fault.value = faults.join(' ')
}
</script>

<template>
  <div class="grid content-start gap-3">
    <h2 class="text-3xl text-paprika">Stop: {{ heading }}</h2>
    <p class="text-lg font-semibold" role="status"><Amount :text="says" /></p>
    <p class="text-soft">Nobody takes a turn until the plan knows everyone at the table.</p>
    <section v-for="f in stops" :key="f.id" class="rounded-patch border-2 border-paprika p-3">
      <p class="font-semibold"><Amount :text="session.say(f.says)" /></p>
      <div v-if="auth.isLeader()" class="mt-2 flex flex-wrap gap-2">
        <button
          v-for="fix in fixesOf(f)"
          :key="fix.label"
          type="button"
          class="btn btn-table text-left"
          @click="apply(f, fix)"
        >
          <span
            ><span class="block">{{ session.say(fix.label) }}</span
            ><span class="block text-sm font-normal"><Amount :text="fix.cost" /></span
            ><span v-if="fix.how" class="block text-sm font-normal"><Amount :text="fix.how" /></span
          ></span>
        </button>
      </div>
      <p v-else class="mt-1">A leader settles this.</p>
    </section>
    <p v-if="fault" role="alert" class="font-semibold text-paprika">{{ fault }}</p>
    <p v-if="session.saveFault" role="alert" class="font-semibold text-paprika">{{ session.saveFault }}</p>
    <div class="flex flex-wrap gap-3">
      <button
        type="button"
        class="btn btn-main btn-table"
        :disabled="!session.preview || stops.length > 0"
        @click="goOn"
      >
        Go on with the plan for everyone
      </button>
      <button v-if="onlyCame" type="button" class="btn btn-table" @click="looksOn">
        Only looks on, eats nothing
      </button>
    </div>
    <ReadPacket
      v-if="packet && session.preview"
      :food="packet.food"
      :look-for="packet.lookFor"
      :plan="session.preview"
      @close="packet = null"
    />
    <WrittenReason v-if="reason" :finding="reason" @close="reason = null" />
  </div>
</template>
