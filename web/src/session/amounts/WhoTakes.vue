<script setup lang="ts">
/** Who takes what of a free choice: as Lea reckons with, or as a child said. */
import { Check, Minus } from '@lucide/vue'
import { computed } from 'vue'
import { choiceRows, type Plan } from '@lea/core/plan'
import { tookWith } from '@lea/core/session'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan; disabled: boolean }>()
const session = useSession()
const { matOf } = useMats()
const choices = computed(() => choiceRows(props.plan))
type Rows = (typeof choices.value)[number]
const takeOf = (id: string): number => props.plan.choices?.find((c) => c.id === id)?.take ?? 1
const tap = (c: Rows, row: Rows['children'][number], line: string): void => {
  const now = row.cells.filter((x) => x.takes).map((x) => x.line)
  void session.choose({
    kind: 'chooses',
    choice: c.id,
    child: row.child,
    lines: tookWith(now, line, takeOf(c.id)),
  })
}
</script>

<template>
  <section v-for="c in choices" :key="c.id" class="mt-4" :aria-labelledby="`takes-${c.id}`">
    <h2 :id="`takes-${c.id}`" class="text-lg">Who takes what: {{ c.what }}</h2>
    <p class="mb-2 text-sm text-soft">{{ c.says }}</p>
    <div class="patch overflow-x-auto" tabindex="0" role="region" :aria-label="`Who takes what: ${c.what}`">
      <table class="w-full border-collapse text-center">
        <thead>
          <tr>
            <th scope="col" class="p-2 text-left text-sm">Child</th>
            <th v-for="f in c.foods" :key="f.line" scope="col" class="p-1.5 align-bottom leading-tight">
              {{ f.name }}<span class="block text-xs font-normal text-soft">{{ f.laid }}</span>
            </th>
            <th scope="col" class="p-2"><span class="sr-only">Said</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in c.children" :key="row.child" class="border-t border-line">
            <th scope="row" class="p-1.5 text-left font-semibold">
              <span class="flex items-center gap-2"
                ><Mat :name="session.nameOf(row.child)" :mat="matOf(row.child)" beside />{{
                  session.nameOf(row.child)
                }}</span
              >
            </th>
            <td v-for="cell in row.cells" :key="cell.line" class="p-1">
              <button
                v-if="cell.may"
                type="button"
                class="inline-flex size-10 items-center justify-center rounded-patch border-2"
                :class="
                  cell.takes
                    ? row.settled
                      ? 'border-ink bg-ink text-white'
                      : 'border-dashed border-ink bg-white'
                    : 'border-line bg-white'
                "
                :aria-pressed="cell.takes"
                :disabled="disabled"
                :aria-label="`${session.nameOf(row.child)}, ${c.foods.find((f) => f.line === cell.line)?.name}`"
                @click="tap(c, row, cell.line)"
              >
                <Check v-if="cell.takes" class="size-5" aria-hidden="true" />
              </button>
              <span v-else class="inline-flex flex-col items-center text-xs leading-tight text-soft"
                ><Minus class="size-5" aria-hidden="true" /><span>not offered</span
                ><span>{{ cell.why }}</span></span
              >
            </td>
            <td class="p-1.5 text-left text-sm">
              <button
                v-if="row.settled && !disabled"
                type="button"
                class="underline"
                @click="session.takeBack({ kind: 'chooses', choice: c.id, child: row.child, lines: [] })"
              >
                Said. Undo
              </button>
              <template v-else-if="row.settled">said</template>
              <span v-else class="text-soft">reckoned</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
