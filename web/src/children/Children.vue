<script setup lang="ts">
import { monthText } from '@lea/core/amount'
import { onMounted, ref } from 'vue'
import { LEVEL_WORDS, allergenName } from '@lea/core/food'
import { languageName } from '@lea/core/learn'
import type { StoredChild } from '@lea/core/setting'
import { inWords } from '../shared/api'
import Mat from '../parts/mats/Mat.vue'
import NameInWords from '../parts/privacy/NameInWords.vue'
import Notice from '../parts/Notice.vue'
import { useMats } from '../parts/mats/useMats'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import ChildForm from './ChildForm.vue'
import RosterIn from './RosterIn.vue'

const settingStore = useSettingStore()
const auth = useAuthStore()
const { matOf } = useMats()
const editing = ref<StoredChild | 'new' | null>(null)
const erasing = ref<string | null>(null)
const fault = ref('')
const reading = ref(false)
const says = ref('')
/** Who was erased last: the name may stand in what others wrote. */
const gone = ref('')
onMounted(() => void settingStore.load())

async function erase({ id, nickname }: StoredChild): Promise<void> {
  fault.value = ''
  try {
    await settingStore.eraseChild(id)
    gone.value = nickname
    erasing.value = null
  } catch (e) {
    fault.value = inWords(e)
  }
}
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4">
    <div class="mb-4 flex items-center justify-between gap-4">
      <h1 class="text-3xl">Children</h1>
      <span v-if="auth.isLeader()" class="flex flex-wrap gap-2">
        <a v-if="settingStore.children.length > 0" class="btn" href="/api/children/roster.csv" download
          >Save as a table</a
        >
        <button type="button" class="btn" @click="reading = true">From a list</button>
        <button type="button" class="btn btn-main" @click="editing = 'new'">Add a child</button>
      </span>
    </div>
    <Notice v-if="settingStore.fault || fault" tone="fault" class="mb-3">{{
      settingStore.fault || fault
    }}</Notice>
    <p v-if="says" role="status" class="mb-3 font-semibold">{{ says }}</p>
    <section v-if="gone" :key="gone" class="patch mb-3 p-4" aria-labelledby="gone">
      <h2 id="gone" class="text-xl">{{ gone }} is erased</h2>
      <NameInWords :name="gone" />
      <button type="button" class="btn mt-2" @click="gone = ''">Done</button>
    </section>
    <p v-if="!settingStore.loaded && !settingStore.fault" role="status">Opening the roster …</p>
    <Notice v-else-if="settingStore.children.length === 0">
      Nobody yet. A nickname, a birth month, and what the family told you about allergies is enough; no full
      names, no photos.
    </Notice>
    <ul>
      <li
        v-for="c in settingStore.children"
        :key="c.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-3"
      >
        <Mat :name="c.nickname" :mat="matOf(c.id)" size="seat" beside />
        <span class="min-w-60 flex-1">
          <span class="font-title text-xl font-bold">{{ c.nickname }}</span>
          <span class="text-soft"> born {{ monthText(c.birth) }}</span>
          <span class="block">
            <span
              v-for="x in c.concerns"
              :key="x.allergen"
              class="mr-1 inline-block rounded-sm border border-ink px-1.5 text-sm"
              >{{ allergenName(x.allergen) }}: {{ LEVEL_WORDS[x.level] }}</span
            >
            <span
              v-for="d in c.diets"
              :key="d"
              class="mr-1 inline-block rounded-sm border border-line px-1.5 text-sm"
              >{{ d }}</span
            >
            <span v-for="l in c.languages" :key="l" class="mr-1 inline-block text-sm text-soft"
              >{{ languageName(l) }} at home</span
            >
            <span v-if="c.hand === 'left'" class="mr-1 text-sm text-soft">left-handed</span>
            <span v-for="n in c.needs" :key="n" class="mr-1 text-sm text-soft">{{
              n.replace(/-/g, ' ')
            }}</span>
          </span>
        </span>
        <span class="flex flex-wrap gap-2">
          <RouterLink class="btn" :to="`/record/children/${c.id}`">Record</RouterLink>
          <button type="button" class="btn" :aria-label="`Edit ${c.nickname}`" @click="editing = c">
            Edit
          </button>
          <a class="btn" :href="`/api/children/${c.id}/export`" download>Export</a>
          <button
            v-if="auth.isOwner()"
            type="button"
            class="btn"
            @click="erasing = erasing === c.id ? null : c.id"
          >
            Erase<span class="sr-only"> {{ c.nickname }}</span>
          </button>
        </span>
        <span v-if="erasing === c.id" class="w-full" role="alert">
          Erase {{ c.nickname }} for good? Past plans keep no name.
          <button type="button" class="btn ml-2 !border-paprika !text-paprika" @click="erase(c)">
            Erase for good
          </button>
        </span>
      </li>
    </ul>
    <RosterIn
      v-if="reading"
      @close="reading = false"
      @done="
        (text: string) => {
          says = text
          reading = false
        }
      "
    />
    <ChildForm v-if="editing" :child="editing === 'new' ? null : editing" @close="editing = null" />
  </main>
</template>
