<script setup lang="ts">
/** One thing to settle: a line that opens to why, and to its fixes with what they cost. */
import type { Finding, Fix, SettleRow } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import Grade from '../../parts/Grade.vue'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ row: SettleRow; canChange: boolean; open?: boolean }>()
const emit = defineEmits<{ fix: [finding: Finding, fix: Fix] }>()
const session = useSession()

/** Of a made-up group no packet is read, and nobody writes a reason. */
const fixesOf = ({ fixes }: Finding): Fix[] =>
  session.madeUp ? fixes.filter(({ action }) => !['read-packet', 'reason'].includes(action.do)) : fixes
const first = (): Finding | undefined => props.row.findings[0]
</script>

<template>
  <li>
    <details :open="open" :name="`settle-${row.grade}`">
      <summary class="cursor-pointer py-2 text-sm font-semibold leading-snug">
        <Grade :grade="row.grade" class="mr-1" /><Amount :text="session.say(row.title)" />
      </summary>
      <details class="text-sm text-soft">
        <summary class="min-h-6 cursor-pointer py-0.5">Why</summary>
        <p v-for="f in row.findings" :key="f.id">
          <template v-if="row.findings.length > 1"><Amount :text="session.say(f.says)" /></template
          >{{ f.because }}
          <span class="italic">{{ f.source }}</span>
        </p>
      </details>
      <div v-if="first() && canChange" class="mb-2 mt-1.5 grid gap-1.5">
        <button
          v-for="(fix, i) in fixesOf(first()!)"
          :key="fix.label"
          type="button"
          class="rounded-patch border px-2.5 py-1.5 text-left text-sm leading-snug"
          :class="
            i === 0 && row.grade === 'stop' && fix.action.do !== 'reason'
              ? 'border-ink bg-ink text-white hover:bg-[#24483f]'
              : 'border-ink bg-porcelain hover:bg-[#e6eeea]'
          "
          @click="emit('fix', first()!, fix)"
        >
          <span class="block font-semibold">{{ session.say(fix.label) }}</span>
          <span class="block text-xs"><Amount :text="fix.cost" /></span>
        </button>
      </div>
    </details>
  </li>
</template>
