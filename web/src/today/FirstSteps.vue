<script setup lang="ts">
/** A house that is empty: what comes first, ticked as it is done; and a made-up group to see what a plan is. */
import { CheckCircle2, Circle } from '@lucide/vue'
import { firstSteps } from '@lea/core/session'
import { useSettingStore } from '../stores/setting'

const settingStore = useSettingStore()
</script>

<template>
  <section class="patch mb-8 p-5" aria-labelledby="first-steps">
    <h2 id="first-steps" class="mb-3 text-xl">Three steps to the first session</h2>
    <ol class="grid gap-3">
      <li
        v-for="step in firstSteps({
          children: settingStore.children.length,
          recipes: settingStore.recipes.length,
          sessions: settingStore.sessions.length,
        })"
        :key="step.to"
        class="flex flex-wrap items-center gap-3"
      >
        <component
          :is="step.done ? CheckCircle2 : Circle"
          class="size-7 shrink-0"
          :class="step.done ? 'text-moss' : 'text-soft'"
          aria-hidden="true"
        />
        <span class="min-w-0 flex-1"
          ><span class="sr-only">{{ step.done ? 'Done: ' : 'To do: ' }}</span
          >{{ step.says }}</span
        >
        <RouterLink class="btn" :class="step.done ? '' : 'btn-main'" :to="step.to">{{
          step.button
        }}</RouterLink>
      </li>
    </ol>
    <p class="mt-4 flex flex-wrap items-center gap-3 border-t border-line pt-4">
      <span class="min-w-0 flex-1">See a plan first. Nothing of it is kept.</span>
      <RouterLink class="btn" to="/session/made-up/weave">Try it with a made-up group</RouterLink>
    </p>
  </section>
</template>
