<script setup lang="ts">
/** Adults and house rules. */
import { onMounted, ref } from 'vue'
import type { HouseRules } from '@lea/core/plan'
import { adultSchema } from '@lea/core/schema'
import { VERSION } from '../shared/version'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import SettingRatios from './SettingRatios.vue'
import SettingRules from './SettingRules.vue'
import SettingArchive from './SettingArchive.vue'
import SettingKeeping from './SettingKeeping.vue'
import SettingTargets from './SettingTargets.vue'
import SettingTechniques from './SettingTechniques.vue'
import SettingWords from './SettingWords.vue'
import { useAuthStore } from '../stores/auth'
import { todayText } from '../shared/dates'
import { checked } from '../workers/reader'
import type { OwnDiet } from '@lea/core/food'
import { useSettingStore } from '../stores/setting'

const settingStore = useSettingStore()
const auth = useAuthStore()
const fault = ref('')
const said = ref('')
const blank = { name: '', knives: false, heat: false, role: '', signIn: '', password: '' }
const adult = ref({ ...blank })
onMounted(() => void settingStore.load())
async function attempt(work: () => Promise<void>, done: string): Promise<void> {
  fault.value = ''
  said.value = ''
  try {
    await work()
    said.value = done
  } catch (e) {
    fault.value = inWords(e)
  }
}
const keepRules = (next: HouseRules, done = 'Kept. Plans to come use it.'): Promise<void> =>
  attempt(async () => settingStore.saveRules(next), done)
const addAdult = (): Promise<void> =>
  attempt(async () => {
    const a = adult.value
    const input = await adultSchema.validate({
      name: a.name,
      leads: [...(a.knives ? ['knives'] : []), ...(a.heat ? ['heat'] : [])],
      role: a.role || undefined,
      signIn: a.signIn || undefined,
      password: a.password || undefined,
    })
    await settingStore.saveAdult(input)
    adult.value = { ...blank }
  }, 'Added.')
const toggleLead = (id: string, lead: 'knives' | 'heat'): Promise<void> =>
  attempt(async () => {
    const known = settingStore.adults.find((a) => a.id === id)
    if (!known) return
    const leads = known.leads.includes(lead) ? known.leads.filter((l) => l !== lead) : [...known.leads, lead]
    await settingStore.saveAdult({ name: known.name, leads }, id)
  }, 'Saved.')

const diet = ref({ name: '', avoid: '' })
/** A diet of the setting's own: a name, and what it avoids in words or allergen ids. */
const addDiet = (): Promise<void> =>
  attempt(async () => {
    const kept = settingStore.setting?.rules
    if (!kept) return
    const made = await checked<OwnDiet>(
      'diet',
      {
        id: `own:${diet.value.name
          .trim()
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, '-')}`,
        name: diet.value.name,
        avoid: diet.value.avoid
          .split(',')
          .map((t) => t.trim())
          .filter((t) => t !== ''),
      },
      todayText(),
    )
    await settingStore.saveRules({
      ...kept,
      diets: [...(kept.diets ?? []).filter((d) => d.id !== made.id), made],
    })
    diet.value = { name: '', avoid: '' }
  }, 'Diet kept.')
const removeDiet = (id: string): Promise<void> =>
  attempt(async () => {
    const kept = settingStore.setting?.rules
    if (kept) await settingStore.saveRules({ ...kept, diets: (kept.diets ?? []).filter((d) => d.id !== id) })
  }, 'Taken out. Children who have it are asked about until it is changed with them.')
</script>

<template>
  <main id="main" class="mx-auto grid max-w-6xl gap-6 px-5 py-4 lg:grid-cols-2">
    <div class="lg:col-span-2">
      <h1 class="text-3xl">Setting</h1>
      <p class="text-soft">{{ auth.setting }}</p>
      <Notice v-if="fault || settingStore.fault" tone="fault" class="mt-2">{{
        fault || settingStore.fault
      }}</Notice>
      <p v-if="said" role="status">{{ said }}</p>
    </div>
    <section class="patch p-4" aria-labelledby="adults">
      <h2 id="adults" class="mb-2 text-xl">Adults</h2>
      <ul>
        <li
          v-for="a in settingStore.adults"
          :key="a.id"
          class="flex flex-wrap items-center gap-3 border-t border-line py-2"
        >
          <span class="flex-1 font-semibold"
            >{{ a.name
            }}<span class="block text-sm font-normal text-soft"
              >{{ a.role ?? 'no sign-in' }}{{ a.signIn ? `, ${a.signIn}` : '' }}</span
            ></span
          >
          <label v-for="l in ['knives', 'heat'] as const" :key="l" class="flex items-center gap-1"
            ><input
              type="checkbox"
              class="size-5"
              :checked="a.leads.includes(l)"
              :disabled="!auth.isOwner()"
              @change="toggleLead(a.id, l)"
            />leads {{ l }}</label
          >
        </li>
      </ul>
      <form v-if="auth.isOwner()" class="mt-4 grid gap-2 sm:grid-cols-2" @submit.prevent="addAdult">
        <label class="font-semibold"
          >Name<input v-model="adult.name" class="field mt-1 font-normal" maxlength="60"
        /></label>
        <label class="font-semibold"
          >Role<select v-model="adult.role" class="field mt-1 font-normal">
            <option value="">no sign-in</option>
            <option value="leader">leader: plans, runs, records</option>
            <option value="helper">helper: the table of today</option>
          </select></label
        >
        <label class="font-semibold"
          >Sign-in name<input
            v-model="adult.signIn"
            class="field mt-1 font-normal"
            autocomplete="off"
            :disabled="!adult.role"
        /></label>
        <label class="font-semibold"
          >Password<input
            v-model="adult.password"
            type="password"
            class="field mt-1 font-normal"
            autocomplete="new-password"
            :disabled="!adult.role"
        /></label>
        <span class="flex gap-4">
          <label class="flex items-center gap-1"
            ><input v-model="adult.knives" type="checkbox" class="size-5" />leads knives</label
          >
          <label class="flex items-center gap-1"
            ><input v-model="adult.heat" type="checkbox" class="size-5" />leads heat</label
          >
        </span>
        <button type="submit" class="btn btn-main justify-self-end">Add an adult</button>
      </form>
    </section>
    <SettingRules
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules($event, 'House rules saved.')"
    />
    <SettingTechniques
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules"
    />
    <SettingRatios
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules"
    />
    <SettingTargets
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules"
    />
    <SettingWords v-if="settingStore.setting && auth.isLeader()" />
    <p class="mt-4">
      <RouterLink class="underline" to="/setting/devices">Devices: scale, probe, scanner, outbox</RouterLink>
    </p>
    <SettingArchive v-if="settingStore.setting && auth.isOwner()" />
    <SettingKeeping v-if="settingStore.setting && auth.isOwner()" />
    <section class="patch p-4" aria-labelledby="diets">
      <h2 id="diets" class="mb-1 text-xl">Your own diets</h2>
      <p class="mb-2 text-sm text-soft">
        Beside vegetarian, vegan, halal, kosher and the others: a name, and what it avoids (foods or
        allergens, parted by commas).
      </p>
      <ul>
        <li
          v-for="d in settingStore.setting?.rules.diets ?? []"
          :key="d.id"
          class="flex flex-wrap items-center gap-3 border-t border-line py-1.5"
        >
          <span class="font-semibold">{{ d.name }}</span><span class="text-sm text-soft"
            >avoids {{ d.avoid.join(', ') }}</span
          >
          <button
            v-if="auth.isOwner()"
            type="button"
            class="btn ml-auto"
            :aria-label="`Remove ${d.name}`"
            @click="removeDiet(d.id)"
          >
            Remove
          </button>
        </li>
      </ul>
      <form
        v-if="auth.isOwner()"
        class="mt-2 grid items-end gap-2 sm:grid-cols-[1fr_2fr_auto]"
        @submit.prevent="addDiet"
      >
        <label class="text-sm font-semibold"
          >Name<input v-model="diet.name" class="field mt-1 font-normal" maxlength="40" placeholder="no beef"
        /></label>
        <label class="text-sm font-semibold"
          >It avoids<input
            v-model="diet.avoid"
            class="field mt-1 font-normal"
            maxlength="400"
            placeholder="beef, gelatine"
        /></label>
        <button type="submit" class="btn">Keep it</button>
      </form>
    </section>
    <p class="text-sm text-soft lg:col-span-2">Lea {{ VERSION }}</p>
  </main>
</template>
