<script setup lang="ts">
/** Turns, waits and fit of each child. */
import type { ChildFit } from '@lea/core/plan'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'

defineProps<{ fits: readonly ChildFit[] }>()
const session = useSession()
const { matOf } = useMats()
</script>

<template>
  <div class="min-w-0">
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Turns, waits and fit">
      <table class="w-full min-w-[44rem] text-sm">
        <thead>
          <tr class="text-left align-bottom">
            <th scope="col" class="p-1">Who</th>
            <th scope="col" class="p-1">Turns</th>
            <th scope="col" class="p-1">Own jobs</th>
            <th scope="col" class="p-1">A stretch</th>
            <th scope="col" class="p-1">Goes alone</th>
            <th scope="col" class="p-1">Longest wait for a turn</th>
            <th scope="col" class="p-1">Nothing to do, at most</th>
            <th scope="col" class="p-1">Earlier weeks, and instead</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in fits" :key="f.child" class="border-t border-line">
            <th scope="row" class="p-1 text-left">
              <span class="flex items-center gap-2"
                ><Mat :name="session.nameOf(f.child)" :mat="matOf(f.child)" class="!size-5" beside />{{
                  session.nameOf(f.child)
                }}</span
              >
            </th>
            <td class="numeral p-1">{{ f.turns }}</td>
            <td class="numeral p-1">{{ f.jobs - f.turns }}</td>
            <td class="numeral p-1">{{ f.stretch }}</td>
            <td class="numeral p-1">{{ f.easy }}</td>
            <td class="p-1">{{ f.wait }} min</td>
            <td class="p-1">{{ f.idle }} min</td>
            <td class="p-1">
              <p v-if="f.before">{{ f.before }}</p>
              <p v-if="f.first.length > 0">first time: {{ f.first.join(', ') }}</p>
              <p v-if="f.instead.length > 0">instead: {{ f.instead.join(', ') }}</p>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
