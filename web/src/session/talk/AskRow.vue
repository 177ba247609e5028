<script setup lang="ts">
/** One child and its question: what, why this, and the other levels to step down or up to. */
import { Pin, PinOff } from '@lucide/vue'
import { computed, ref } from 'vue'
import { targetOf } from '@lea/core/learn'
import type { Ask, StepTalk } from '@lea/core/plan'
import { REASON_WORDS, ladderOf } from '@lea/core/session'
import Amount from '../../parts/Amount.vue'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'
import { SUPPORT_LEVEL_WORDS } from '../../parts/level-words'

const props = defineProps<{ talk: StepTalk; ask: Ask }>()
const session = useSession()
const auth = useAuthStore()
const { matOf } = useMats()
const open = ref(false)
const ladder = computed(() => (session.plan ? ladderOf(session.plan, props.talk, props.ask) : []))
const pinned = computed(() =>
  (session.stored?.decisions ?? []).find(
    (d) => d.kind === 'ask' && d.step === props.talk.step && d.child === props.ask.child,
  ),
)
const own = computed(() =>
  (session.stored?.decisions ?? []).find(
    (d) =>
      d.kind === 'own-prompt' &&
      d.step === props.talk.step &&
      d.child === props.ask.child &&
      d.says === props.ask.says,
  ),
)
const canChange = computed(() => auth.isLeader() && !session.frozen)
function togglePin(): void {
  const { child } = props.ask
  if (pinned.value) void session.takeBack(pinned.value)
  else if (child) void session.choose({ kind: 'ask', step: props.talk.step, child })
}
</script>

<template>
  <li class="border-t border-line py-1.5">
    <div class="flex flex-wrap items-start gap-x-3 gap-y-1">
      <span class="flex w-28 items-center gap-2 pt-0.5 font-semibold">
        <Mat v-if="ask.child" :name="session.nameOf(ask.child)" :mat="matOf(ask.child)" />
        <span aria-hidden="true" class="truncate">{{
          ask.child ? session.nameOf(ask.child) : 'everybody'
        }}</span>
      </span>
      <span class="min-w-0 flex-1 basis-56">
        “<Amount :text="ask.says" />” <span class="text-sm text-soft"><Amount :text="ask.answer" /></span>
        <span class="block text-xs text-soft">
          <template v-if="ask.target">{{ targetOf(ask.target)?.says }} · </template
          >{{ SUPPORT_LEVEL_WORDS[ask.level] }} ·
          {{ REASON_WORDS[ask.why] }}
        </span>
      </span>
      <span class="no-print flex gap-1">
        <button
          v-if="ladder.length > 1"
          type="button"
          class="btn !min-h-9 !px-2 text-sm"
          :aria-expanded="open"
          @click="open = !open"
        >
          {{ open ? 'fewer' : 'easier, harder' }}
        </button>
        <button
          v-if="canChange && ask.child && ask.why !== 'own'"
          type="button"
          class="btn !min-h-9 !px-2"
          :aria-pressed="pinned !== undefined"
          @click="togglePin"
        >
          <component :is="pinned ? PinOff : Pin" class="size-4" aria-hidden="true" />
          <span class="sr-only"
            >{{ pinned ? 'Unpin' : 'Pin' }} {{ session.nameOf(ask.child) }} in this step</span
          >
        </button>
        <button
          v-if="canChange && own"
          type="button"
          class="btn !min-h-9 !px-2 text-sm"
          @click="session.takeBack(own)"
        >
          take out
        </button>
      </span>
    </div>
    <dl v-if="open" class="mt-1 grid grid-cols-[7rem_1fr] gap-x-3 gap-y-0.5 pl-2 text-sm md:pl-28">
      <template v-for="p in ladder" :key="p.level + p.says">
        <dt :class="p.says === ask.says ? 'font-bold text-indigo' : 'text-soft'">
          {{ SUPPORT_LEVEL_WORDS[p.level] }}
        </dt>
        <dd>
          “<Amount :text="p.says" />” <span class="text-soft"><Amount :text="p.answer" /></span>
        </dd>
      </template>
    </dl>
  </li>
</template>
