<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { minutesOf } from '#core/time/civil'
import { sayFullDate } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import type { ChangeItem } from '#core/model/changes'
import { firstAim, isOffDay, starterChanges, starterTrip, usualSkills } from '#core/model/starter'
import type { StarterAnswers } from '#core/model/starter'
import { skills } from '#core/model/words'
import { firstLook } from '#core/outlook/firstLook'
import { isZone } from '#core/time/zone'
import { isCurrency } from '#core/money/money'
import { allViews } from '~/composables/useViews'

/** First run: five questions, then an honest empty plan; or the demo. */
const { deviceId, light } = useDevice()
const time = useTimeStore()
await time.start().catch(() => undefined)
useHead({ title: 'A new refit · Inch Ahead', htmlAttrs: { 'data-light': () => light.value } })

const today = new Date(time.now).toISOString().slice(0, 10)
const answers = reactive({
  boatName: '',
  loaM: null as number | null,
  units: 'metric' as 'metric' | 'us' | 'mixed',
  lead: '',
  partner: '',
  skills: usualSkills as readonly string[],
  weekdays: [6, 7],
  from: '08:30',
  to: '17:00',
  travelMin: 45 as number | null,
  alreadyAshore: true,
  /** Nobody but the owner knows: no day is put in for it. */
  liftOutOn: null as string | null,
  launchOn: firstAim(today),
  /** Whoever keeps the boat takes a day off to see her in. */
  leadAtLaunch: true,
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
  currency: 'EUR',
})
const wrong = ref('')
const unread = useUnread()
const busy = ref(false)
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const zones = Intl.supportedValuesOf('timeZone').map((zone) => ({ id: zone, name: zone }))
const unitChoices = [
  { value: 'metric', label: 'Metric' },
  { value: 'us', label: 'Feet and inches' },
  { value: 'mixed', label: 'Metric, inch drills' },
] as const
const ownSkills = [
  { value: 'mechanics', label: 'Engine and mechanics' },
  { value: 'electrics', label: 'Low-voltage electrics' },
  { value: 'laminating', label: 'Laminating' },
  { value: 'woodwork', label: 'Woodwork' },
  { value: 'rigging', label: 'Rigging' },
  { value: 'aloft', label: 'Going aloft' },
] as const
const shoreChoices = [
  { value: 'yes', label: 'She is ashore' },
  { value: 'no', label: 'Still afloat' },
] as const
const shore = computed({
  get: () => (answers.alreadyAshore ? 'yes' : 'no'),
  set: (value: string) => (answers.alreadyAshore = value === 'yes'),
})

const tripMin = starterTrip.setUpMin + starterTrip.packUpMin
const minutesThere = computed(
  () => minutesOf(answers.to) - minutesOf(answers.from) - 2 * (answers.travelMin ?? 0) - tripMin,
)

/** The first thing that keeps us from starting, as a sentence; '' when nothing does. */
function missing(): string {
  if (unread.first() !== '') return unread.first()
  if (answers.boatName.trim() === '') return 'What is the boat called?'
  if (answers.loaM === null) return 'How long is she? The Tape is as long as the boat.'
  if (answers.loaM < 2 || answers.loaM > 60) return 'A length from 2 to 60 m, please.'
  if (answers.lead.trim() === '') return 'Who works on her? At least one name.'
  if (answers.lead.trim() === answers.partner.trim()) return 'Two people need two names.'
  if (answers.weekdays.length === 0) return 'On which days do you come? Tick at least one.'
  if (answers.to <= answers.from) return 'The day ends before it begins. Put the later time last.'
  if (answers.liftOutOn === null)
    return answers.alreadyAshore
      ? 'When was she lifted out? About will do.'
      : 'When will she be lifted out? About will do.'
  if (minutesThere.value <= 0)
    return `${answers.from} to ${answers.to}, with ${formatHours((2 * (answers.travelMin ?? 0)) / 60)} on the way and ${formatHours(tripMin / 60)} to set up and pack up, leaves no time on her. Come for longer, or give the minutes one way again.`
  if (answers.alreadyAshore && answers.liftOutOn > today)
    return `She is ashore, and the lift-out on ${sayFullDate(answers.liftOutOn)} is still to come. Change one of them.`
  if (!answers.alreadyAshore && answers.liftOutOn < today)
    return `She is still afloat, and the lift-out on ${sayFullDate(answers.liftOutOn)} has passed. Change one of them.`
  if (answers.launchOn <= answers.liftOutOn)
    return 'The launch is before the lift-out. Change one of them.'
  if (!isZone(answers.zone)) return `“${answers.zone}” is not a time zone.`
  if (!isCurrency(answers.currency)) return `“${answers.currency}” is not a currency. Try EUR.`
  return ''
}

/** The answers as a refit is made from them; what nobody said yet as it most likely is. */
const filled = computed((): StarterAnswers => {
  const { weekdays, from, to } = answers
  const does = skills.filter((one) => answers.skills.includes(one))
  const partner = answers.partner.trim()
  const names = [answers.lead.trim(), ...(partner === '' ? [] : [partner])]
  return {
    ...answers,
    boatName: answers.boatName.trim(),
    loaM: answers.loaM ?? 12,
    liftOutOn: answers.liftOutOn ?? today,
    travelMin: answers.travelMin ?? 0,
    people: names.map((name) => ({ name, weekdays, from, to, skills: does })),
    today,
  }
})
/** Known once there is a day to launch her on: an empty date says nothing. */
const isLaunchOff = computed(() => unread.first() === '' && isOffDay(filled.value))
const launchDayOff = computed(() => sayFullDate(answers.launchOn))
/** The time there is until the launch; '': the answers do not say yet. */
const look = computed(() => {
  const { launchOn, zone, from, to } = answers
  if (unread.first() !== '' || to <= from || launchOn <= today || !isZone(zone)) return ''
  const { days, hours } = firstLook(filled.value, time.now)
  if (days === 0) return 'nobody is on her.'
  const many = days === 1 ? '1 day' : `${days} days`
  return `${many} and ${formatHours(hours)} on her, with the way, setting up and pauses taken off.`
})

async function begin() {
  wrong.value = missing()
  if (wrong.value !== '') return
  const refitId = newId()
  const items = starterChanges(refitId, filled.value, newId)
  await send(async () => {
    await post(refitId, items)
    return refitId
  }, 'jobs')
}
const post = (refitId: string, items: ChangeItem[]) =>
  api(`/api/refits/${refitId}/changes`, {
    body: {
      changeId: newId(),
      deviceId: deviceId.value,
      personId: null,
      label: 'A new refit',
      quiet: true,
      items,
    },
  })
const demo = () =>
  send(
    async () => (await api<{ refitId: string }>('/api/demo', { method: 'POST' })).refitId,
    'today',
  )

async function send(make: () => Promise<string>, view: string) {
  busy.value = true
  try {
    await goTo(`/r/${await make()}/${view}`)
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main
    class="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 px-5 py-6 lg:grid-cols-[minmax(0,42rem)_minmax(0,1fr)]"
  >
    <header class="grid gap-4">
      <h1 class="text-4xl!">Inch Ahead</h1>
      <p class="text-lg leading-snug">
        A refit is some hundred jobs, in an order that glue, weather, people and the yard decide.
        Write down what there is to do. You are told what comes next, when she can go in, and what
        it will take.
      </p>
      <div class="flex flex-wrap gap-3">
        <button class="btn" :disabled="busy" @click="demo">Look round a made-up refit first</button>
        <NuxtLink to="/bring" class="btn">Bring in a refit file</NuxtLink>
      </div>
    </header>
    <aside class="lg:row-span-2 lg:pt-2">
      <StartTape :loa-m="answers.loaM" />
      <dl
        class="mt-6 hidden grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-2 leading-snug lg:grid"
      >
        <template v-for="{ name, tells } in allViews" :key="name">
          <dt class="cond text-lg">{{ name }}</dt>
          <dd class="text-ink2">{{ tells }}</dd>
        </template>
      </dl>
    </aside>
    <form class="grid gap-6" @submit.prevent="begin">
      <div>
        <h2>Five questions, then you have a plan to fill</h2>
        <p class="mt-1 text-ink2">Every answer can be changed later.</p>
      </div>
      <fieldset class="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-2">
        <legend class="cond pr-3 text-xl">1 Which boat, and how long is she?</legend>
        <UiText v-model="answers.boatName" label="Name of the boat" />
        <UiLength
          v-model="answers.loaM"
          label="Length overall"
          :units="answers.units"
          may-be-empty
          placeholder="12.19 m or 40 ft"
          @invalid="unread.mark('loaM')($event)"
        />
        <UiChoice
          v-model="answers.units"
          class="sm:col-span-2"
          label="Units"
          :options="unitChoices"
        />
      </fieldset>
      <fieldset class="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-2">
        <legend class="cond pr-3 text-xl">2 Who works on her?</legend>
        <UiText v-model="answers.lead" label="Your name" />
        <UiText
          v-model="answers.partner"
          label="Somebody with you"
          hint="May stay empty. More people in Settings."
        />
        <UiChoices
          v-model="answers.skills"
          class="sm:col-span-2"
          label="What do you do yourselves?"
          :options="ownSkills"
          hint="What nobody does has no day in the plan until somebody does it or a trade comes. Mains, gas and lithium are for licensed people."
        />
      </fieldset>
      <fieldset class="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-3">
        <legend class="cond pr-3 text-xl">3 When do you come, door to door?</legend>
        <div class="flex flex-wrap gap-x-4 sm:col-span-3">
          <label
            v-for="(day, index) in days"
            :key="day"
            class="inline-flex min-h-11 items-center gap-2"
          >
            <input
              v-model="answers.weekdays"
              type="checkbox"
              :value="index + 1"
              class="size-5 accent-(--verdigris)"
            />
            {{ day }}
          </label>
        </div>
        <UiTime v-model="answers.from" label="From" @invalid="unread.mark('from')($event)" />
        <UiTime v-model="answers.to" label="To" @invalid="unread.mark('to')($event)" />
        <UiNumber
          v-model="answers.travelMin"
          label="Minutes to the boat, one way"
          :min="0"
          :max="1440"
          whole
          @invalid="unread.mark('travelMin')($event)"
        />
      </fieldset>
      <fieldset class="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-2">
        <legend class="cond pr-3 text-xl">4 When was or will she be lifted out?</legend>
        <UiChoice v-model="shore" label="Now" :options="shoreChoices" />
        <UiDate
          v-model="answers.liftOutOn"
          label="Lift-out"
          may-be-empty
          @invalid="unread.mark('liftOutOn')($event)"
        />
      </fieldset>
      <fieldset class="grid gap-3 border-t-2 border-ink pt-3 sm:grid-cols-3">
        <legend class="cond pr-3 text-xl">5 When do you aim to launch?</legend>
        <UiDate
          v-model="answers.launchOn"
          label="Launch aimed"
          @invalid="unread.mark('launchOn')($event)"
        />
        <UiText v-model="answers.currency" label="Currency" :most="3" />
        <UiPick
          :label="`Time zone: ${answers.zone}`"
          :options="zones"
          @pick="answers.zone = $event"
        />
        <div v-if="isLaunchOff" class="sm:col-span-3">
          <p>Nobody comes on {{ launchDayOff }}, and somebody has to be there when she goes in.</p>
          <label class="inline-flex min-h-11 items-center gap-2">
            <input
              v-model="answers.leadAtLaunch"
              type="checkbox"
              class="size-5 accent-(--verdigris)"
            />
            {{ answers.lead.trim() || 'You' }} {{ answers.lead.trim() ? 'comes' : 'come' }} that day
          </label>
        </div>
      </fieldset>
      <p v-if="look" class="border-l-4 border-verdigris pl-3 leading-snug">
        From today to the launch on {{ sayFullDate(answers.launchOn) }}:
        <b>{{ look }}</b>
      </p>
      <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
      <button class="btn btn-main min-h-12!" type="submit" :disabled="busy">Begin</button>
    </form>
  </main>
</template>
