<script setup lang="ts">
/** One thing to settle: a line that opens to why, and to its fixes with what they cost. */
import { computed } from 'vue'
import type { Finding, Fix, SettleRow } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import FixButton from './FixButton.vue'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ row: SettleRow; canChange: boolean; open?: boolean }>()
const emit = defineEmits<{ fix: [finding: Finding, fix: Fix] }>()
const session = useSession()

/** Of a made-up group no packet is read, and nobody writes a reason. */
const fixesOf = ({ fixes }: Finding): Fix[] =>
  session.madeUp ? fixes.filter(({ action }) => !['read-packet', 'reason'].includes(action.do)) : fixes
const first = (): Finding | undefined => props.row.findings[0]
/** The first way as a button; all, where there are two. */
const fixes = computed(() => {
  const finding = first()
  return finding ? fixesOf(finding) : []
})
const shown = computed(() => fixes.value.slice(0, fixes.value.length > 2 ? 1 : 2))
const others = computed(() => fixes.value.slice(shown.value.length))
</script>

<template>
  <!-- Whether it must be fixed is said by the heading above. -->
  <li :class="row.grade === 'stop' ? 'border-l-4 border-l-paprika pl-2' : ''">
    <details :open="open" :name="`settle-${row.grade}`">
      <summary class="cursor-pointer py-2 text-sm font-semibold leading-snug">
        <Amount :text="session.say(row.title)" />
      </summary>
      <details class="text-sm text-soft">
        <summary class="min-h-6 cursor-pointer py-0.5">Why</summary>
        <p v-for="f in row.findings" :key="f.id">
          <template v-if="row.findings.length > 1"><Amount :text="session.say(f.says)" /></template
          >{{ f.because }}
          <span class="italic">{{ f.source }}</span>
        </p>
        <p v-for="fix in canChange ? shown.filter(({ how }) => how) : []" :key="fix.label">
          {{ session.say(fix.label) }}: <Amount :text="fix.how ?? ''" />
        </p>
      </details>
      <div v-if="first() && canChange" class="mb-2 mt-1.5 grid gap-1.5">
        <FixButton
          v-for="fix in shown"
          :key="fix.label"
          :fix="fix"
          :first="row.grade === 'stop' && fix.action.do !== 'reason'"
          @click="emit('fix', first()!, fix)"
        />
        <details v-if="others.length > 0">
          <summary class="min-h-6 cursor-pointer py-0.5 text-sm">Other ways: {{ others.length }}</summary>
          <div class="mt-1 grid gap-1.5">
            <FixButton
              v-for="fix in others"
              :key="fix.label"
              :fix="fix"
              whole
              @click="emit('fix', first()!, fix)"
            />
          </div>
        </details>
      </div>
    </details>
  </li>
</template>
