<script setup lang="ts">
/** What is left to settle, by grade; each with its fixes as buttons and what they cost. */
import { computed, ref, defineAsyncComponent, type Component } from 'vue'
import { useRouter } from 'vue-router'
import { type Finding, type Fix, type Plan, decisionKey, decisionText, settleRows } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import Grade from '../../parts/Grade.vue'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'
import WrittenReason from '../../parts/WrittenReason.vue'

/** Only who reads a packet needs what it takes. */
const ReadPacket = defineAsyncComponent(
  () => import('../../parts/packets/ReadPacket.vue') as Promise<Component>,
)

const props = defineProps<{ plan: Plan }>()
const session = useSession()
const auth = useAuthStore()
const router = useRouter()
const rows = computed(() => settleRows(props.plan))
const left = computed(() => rows.value.filter((r) => r.grade !== 'know').length)
const packet = ref<{ food: string; lookFor: string[] } | null>(null)
const reason = ref<Finding | null>(null)
const chosen = computed(() =>
  (session.stored?.decisions ?? []).filter((d) => d.kind !== 'clear' && d.kind !== 'got'),
)
const canChange = computed(() => (!session.frozen || session.madeUp) && auth.isLeader())

/** Of a made-up group no packet is read, and nobody writes a reason. */
const fixesOf = ({ fixes }: Finding): Fix[] =>
  session.madeUp ? fixes.filter(({ action }) => !['read-packet', 'reason'].includes(action.do)) : fixes

async function apply(finding: Finding, fix: Fix): Promise<void> {
  const { action } = fix
  switch (action.do) {
    case 'decide':
      await session.choose(action.decision)
      break
    case 'read-packet':
      packet.value = action
      break
    case 'choose-other':
      await router.push({ path: `/session/${props.plan.session}/check`, query: { other: '1' } })
      break
    case 'reason':
      reason.value = finding
      break
    case 'stand':
      if (auth.person) {
        await session.choose({
          kind: 'clear',
          finding: finding.id,
          cause: finding.cause,
          who: auth.person.id,
          why: 'agreed',
          at: new Date().toISOString(),
        })
      }
      break
    case 'add-adult':
      await router.push(`/session/${props.plan.session}/who`)
      break
    case 'start-at':
      await session.change({ start: action.start })
      break
  }
}
</script>

<template>
  <aside
    class="patch p-3 lg:sticky lg:top-3 lg:max-h-[calc(100dvh-1.5rem)] lg:overflow-y-auto print:hidden"
    aria-labelledby="settle-title"
    tabindex="-1"
  >
    <h2 id="settle-title" class="text-lg" aria-live="polite">
      {{ left === 0 ? 'Nothing left to settle' : `To settle: ${left}` }}
    </h2>
    <p v-if="left === 0" class="text-sm text-soft">
      Packets are still read on the day, by two adults. Care plans come first.
    </p>
    <ul>
      <li v-for="row in rows" :key="row.findings[0]?.id" class="mt-2 border-t border-ink pt-2">
        <Grade :grade="row.grade" />
        <p class="mt-1 text-sm font-semibold leading-snug"><Amount :text="session.say(row.title)" /></p>
        <details class="text-sm text-soft">
          <summary>why</summary>
          <p v-for="f in row.findings" :key="f.id">
            <template v-if="row.findings.length > 1"><Amount :text="session.say(f.says)" /></template
            >{{ f.because }}
            <span class="italic">{{ f.source }}</span>
          </p>
        </details>
        <div v-if="row.findings[0] && canChange" class="mt-1.5 grid gap-1.5">
          <button
            v-for="(fix, i) in fixesOf(row.findings[0])"
            :key="fix.label"
            type="button"
            class="rounded-patch border px-2.5 py-1.5 text-left text-sm leading-snug"
            :class="
              i === 0 && row.grade === 'stop' && fix.action.do !== 'reason'
                ? 'border-ink bg-ink text-white hover:bg-[#24483f]'
                : 'border-ink bg-porcelain hover:bg-[#e6eeea]'
            "
            @click="apply(row.findings[0], fix)"
          >
            <span class="block font-semibold">{{ session.say(fix.label) }}</span>
            <span class="block text-xs"><Amount :text="fix.cost" /></span>
          </button>
        </div>
      </li>
    </ul>
    <template v-if="plan.cleared.length > 0">
      <h3 class="mt-4 border-t border-ink pt-2 text-sm">Cleared by an adult: {{ plan.cleared.length }}</h3>
      <ul class="text-sm">
        <li v-for="c in plan.cleared" :key="c.finding.id" class="mt-1">
          <Amount :text="session.say(c.finding.says)" />
          <span class="text-soft">{{ session.nameOf(c.who) }}: {{ c.why }}.</span>
          <button
            v-if="canChange"
            type="button"
            class="ml-1 underline"
            @click="
              session.takeBack({
                kind: 'clear',
                finding: c.finding.id,
                cause: c.finding.cause,
                who: c.who,
                why: c.why,
              })
            "
          >
            take back
          </button>
        </li>
      </ul>
    </template>
    <template v-if="chosen.length > 0 && canChange">
      <h3 class="mt-4 border-t border-ink pt-2 text-sm">Chosen</h3>
      <ul class="text-sm">
        <li v-for="d in chosen" :key="JSON.stringify(d)" class="mt-1">
          <Amount :text="session.say(decisionText(d, session.plan))" />
          <span v-if="plan.ineffective.some((x) => decisionKey(x) === decisionKey(d))" class="text-soft">
            (without effect now)</span
          >
          <button type="button" class="ml-1 underline" @click="session.takeBack(d)">take back</button>
        </li>
      </ul>
    </template>
    <ReadPacket
      v-if="packet"
      :food="packet.food"
      :look-for="packet.lookFor"
      :plan="plan"
      @close="packet = null"
    />
    <WrittenReason v-if="reason" :finding="reason" @close="reason = null" />
  </aside>
</template>
