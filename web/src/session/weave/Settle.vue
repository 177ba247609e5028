<script setup lang="ts">
/** What is left to settle: what must be fixed, opened one at a time with its fixes and what they cost; the rest folded to a count. */
import { computed, nextTick, ref, defineAsyncComponent, type Component } from 'vue'
import { useRouter } from 'vue-router'
import { type Finding, type Fix, type Plan, decisionKey, decisionText, settleView } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import SettleRow from './SettleRow.vue'
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
const view = computed(() => settleView(props.plan, session.stored?.state !== 'planned'))
const title = ref<HTMLElement | null>(null)
const packet = ref<{ food: string; lookFor: string[] } | null>(null)
const reason = ref<Finding | null>(null)
const chosen = computed(() =>
  (session.stored?.decisions ?? []).filter((d) => d.kind !== 'clear' && d.kind !== 'got'),
)
const canChange = computed(() => (!session.frozen || session.madeUp) && auth.isLeader())

async function apply(finding: Finding, fix: Fix): Promise<void> {
  const { action } = fix
  switch (action.do) {
    case 'decide':
      await session.choose(action.decision)
      await toTitle()
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
        await toTitle()
      }
      break
    case 'add-adult':
      await router.push(`/session/${props.plan.session}/who`)
      break
    case 'start-at':
      await session.change({ start: action.start })
      await toTitle()
      break
  }
}
/** The button that was pressed is gone: who works by keyboard goes on from what is left. */
async function toTitle(): Promise<void> {
  await nextTick()
  title.value?.focus()
}
</script>

<template>
  <aside
    class="patch p-3 lg:sticky lg:top-3 lg:max-h-[calc(100dvh-1.5rem)] lg:overflow-y-auto print:hidden"
    aria-labelledby="settle-title"
    tabindex="-1"
  >
    <h2
      id="settle-title"
      ref="title"
      class="text-lg"
      :class="view.mustFix.length > 0 ? 'text-paprika' : ''"
      tabindex="-1"
      aria-live="polite"
    >
      {{ view.title }}
    </h2>
    <p id="settle-says" class="text-sm text-soft">{{ view.says }}</p>
    <ul aria-label="Must fix">
      <SettleRow
        v-for="(row, i) in view.mustFix"
        :key="row.findings[0]?.id"
        :row="row"
        :open="i === 0"
        :can-change="canChange"
        class="border-t border-ink"
        @fix="apply"
      />
    </ul>
    <template v-for="shelf in view.folded" :key="shelf.title">
      <details v-if="shelf.rows.length > 0" class="border-t border-line pt-1 first-of-type:mt-3">
        <summary class="cursor-pointer py-1 font-semibold">
          {{ shelf.title }}: {{ shelf.rows.length }}
        </summary>
        <p v-if="shelf.says" class="text-sm text-soft">{{ shelf.says }}</p>
        <ul>
          <SettleRow
            v-for="row in shelf.rows"
            :key="row.findings[0]?.id"
            :row="row"
            :can-change="canChange"
            class="border-t border-line first:border-0"
            @fix="apply"
          />
        </ul>
      </details>
    </template>
    <details v-if="plan.cleared.length > 0" class="border-t border-line pt-1">
      <summary class="cursor-pointer py-1 font-semibold">
        Cleared by an adult: {{ plan.cleared.length }}
      </summary>
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
            Undo
          </button>
        </li>
      </ul>
    </details>
    <template v-if="chosen.length > 0 && canChange">
      <h3 class="mt-3 border-t border-ink pt-2 text-sm">Chosen</h3>
      <ul class="text-sm">
        <li v-for="d in chosen" :key="JSON.stringify(d)" class="mt-1">
          <Amount :text="session.say(decisionText(d, session.plan))" />
          <span v-if="plan.ineffective.some((x) => decisionKey(x) === decisionKey(d))" class="text-soft">
            (without effect now)</span
          >
          <button type="button" class="ml-1 underline" @click="session.takeBack(d)">
            Undo<span class="sr-only">: {{ session.say(decisionText(d, session.plan)) }}</span>
          </button>
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
