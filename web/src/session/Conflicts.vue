<script setup lang="ts">
/** Two people changed the same thing: both are shown, and whoever reads it says which holds. Nothing is settled in silence. */
import { computed } from 'vue'
import { conflictWords } from '@lea/core/setting'
import { useSession } from '../stores/session/session'
import { useSettingStore } from '../stores/setting'

const session = useSession()
const settingStore = useSettingStore()
const rows = computed(() =>
  session.conflicts.map((conflict) => ({
    conflict,
    words: conflictWords(
      conflict,
      session.plan,
      (id) => settingStore.recipe(id)?.title ?? 'a recipe that is gone',
    ),
  })),
)
</script>

<template>
  <section
    v-if="rows.length > 0"
    role="alert"
    class="patch mb-3 border-paprika p-3"
    aria-label="Changed twice"
  >
    <h2 class="text-lg">Somebody else changed this at the same time</h2>
    <ul class="mt-1 grid gap-2">
      <li
        v-for="({ conflict, words }, i) in rows"
        :key="i"
        class="grid gap-2 border-t border-line pt-2 sm:grid-cols-2"
      >
        <p class="font-semibold sm:col-span-2">{{ session.say(words.about) }}</p>
        <p>
          They: {{ session.say(words.theirs) }}
          <button type="button" class="btn ml-2" @click="session.settleConflict(conflict, 'theirs')">
            Keep theirs
          </button>
        </p>
        <p>
          You: {{ session.say(words.mine) }}
          <button type="button" class="btn ml-2" @click="session.settleConflict(conflict, 'mine')">
            Use mine
          </button>
        </p>
      </li>
    </ul>
  </section>
</template>
