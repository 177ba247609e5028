<script setup lang="ts">
/** The kit, counted: what lies at each place, what stands in the middle, what the adult holds; ticked off when it is on the table. */
import { computed, ref } from 'vue'
import { KIT_PLACE_WORDS, type KitTool, type Plan, kitByPlace, kitLaid } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import ToolPicture from '../../parts/pictures/ToolPicture.vue'
import KitCaller from './KitCaller.vue'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan; disabled: boolean }>()
const session = useSession()
/** What each is for is shown when it is asked for. */
const jobs = ref(false)
const calling = ref(false)
const places = computed(() => kitByPlace(props.plan))

async function tick(t: KitTool): Promise<void> {
  const decision = { kind: 'laid', tool: t.tool, n: t.n } as const
  await (t.laid ? session.takeBack(decision) : session.choose(decision))
}
</script>

<template>
  <div class="patch p-4">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2 class="mb-1 text-xl">Kit</h2>
      <span class="text-sm text-soft">{{ kitLaid(plan) }}</span>
      <button
        v-if="!disabled && plan.kit.tools.length > 0"
        type="button"
        class="btn no-print ml-auto"
        @click="calling = true"
      >
        Call it out
      </button>
      <button type="button" class="underline" :aria-pressed="jobs" @click="jobs = !jobs">
        {{ jobs ? 'Fold what it is for' : 'Show what it is for' }}
      </button>
    </div>
    <template v-if="plan.kit.measures.length > 0">
      <h3 class="text-sm text-soft">Measures</h3>
      <p>
        <template v-for="(m, i) in plan.kit.measures" :key="m"
          ><template v-if="i > 0">, </template><Amount :text="m"
        /></template>
      </p>
    </template>
    <template v-for="p in places" :key="p.where">
      <h3 class="mt-2 text-sm text-soft">{{ KIT_PLACE_WORDS[p.where] }}</h3>
      <ul class="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
        <li v-for="t in p.tools" :key="t.tool" class="border-t border-line py-1">
          <label class="flex items-start gap-2"
            ><input
              type="checkbox"
              class="mt-1 size-6 shrink-0"
              :checked="t.laid"
              :disabled="disabled"
              @change="tick(t)"
            /><ToolPicture :tool="t.tool" class="size-8 shrink-0" /><span class="min-w-0"
              ><span class="numeral text-lg">{{ t.n }}</span> {{ t.name }}
              <span v-if="t.children" class="font-semibold">{{
                t.children.map(session.nameOf).join(', ')
              }}</span>
              <span v-if="jobs" class="block text-sm text-soft">{{ t.jobs.join(', ') }}</span>
              <span v-if="t.washed" class="block text-sm font-semibold">{{ t.washed }}</span></span
            ></label
          >
        </li>
      </ul>
    </template>
    <KitCaller v-if="calling" :plan="plan" @tick="tick" @close="calling = false" />
    <template v-if="plan.kit.equipment.length > 0">
      <h3 class="mt-2 text-sm text-soft">From the recipe</h3>
      <p>{{ plan.kit.equipment.join(', ') }}</p>
    </template>
  </div>
</template>
