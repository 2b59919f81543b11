<script setup lang="ts">
import { keptFree } from '#core/elsewhere/elsewhere'
import type { DayOnBoth, SharedPerson } from '#core/elsewhere/elsewhere'
import { counted, inWords } from '#core/units/counted'
import { formatHours } from '#core/units/hours'

/** People who work on two boats of one household: days planned for both, and keeping the other boat's free here. */
const store = useRefitStore()
const { sayDay } = useDates()
const { shared, failed } = useElsewhere()
const one = useProposal()
/** So many days are named; the rest are counted. */
const mostNamed = 4

function named(days: readonly DayOnBoth[]): string {
  const said = days.slice(0, mostNamed).map((day) => sayDay(day.on))
  const left = days.length - said.length
  return left > 0 ? `${said.join(', ')} and ${counted(left, 'day')} more` : said.join(', ')
}
const plannedSaid = ({ elsewhere, plannedTwice }: SharedPerson): string => {
  const { planned } = elsewhere
  if (planned.length === 0) return 'Nothing is planned there from today on.'
  const there = `By its plan there on ${counted(planned.length, 'day')} from today on`
  if (plannedTwice.length === 0) return `${there}, here on none of them.`
  const all = plannedTwice.length === planned.length
  const here = all ? 'here on every one of them' : `here on ${inWords(plannedTwice.length)} of them`
  return `${there}, ${here} too: ${named(plannedTwice)}.`
}
const keepSaid = ({ openDays }: SharedPerson): string =>
  `Keep ${counted(openDays.length, 'day')} free of this boat`
function keepFree(who: SharedPerson) {
  const { person, elsewhere, openDays } = who
  void one.propose({
    label: `${person.name} is at ${elsewhere.boatName}`,
    does: `${counted(openDays.length, 'day')} on which ${person.name} cannot come here.`,
    items: keptFree(who, store.rows.personDay, newId),
  })
}
</script>

<template>
  <div v-if="shared.length > 0 || failed" class="mt-3">
    <h3>On another boat too</h3>
    <p v-if="failed" class="text-redlead" role="alert">{{ failed }}</p>
    <ul>
      <li
        v-for="who in shared"
        :key="`${who.person.id} ${who.elsewhere.refitId}`"
        class="border-b border-rule2 py-2"
      >
        <p>
          <span class="font-semibold">{{ who.person.name }}, {{ who.elsewhere.boatName }}</span>.
          {{ plannedSaid(who) }}
        </p>
        <p v-if="who.loggedTwice.length > 0" class="text-ink2">
          Hours are written down for both boats on
          <template v-for="(day, at) in who.loggedTwice.slice(-mostNamed)" :key="day.on"
            >{{ at > 0 ? ', ' : '' }}{{ sayDay(day.on) }} ({{ formatHours(day.hereHours) }} here,
            {{ formatHours(day.thereHours) }} there)</template
          >. Each boat counts its own.
        </p>
        <button
          v-if="who.openDays.length > 0"
          class="btn btn-small mt-1"
          :aria-label="`${keepSaid(who)}: ${who.person.name}, ${who.elsewhere.boatName}`"
          @click="keepFree(who)"
        >
          {{ keepSaid(who) }}…
        </button>
      </li>
    </ul>
    <p v-if="shared.length > 0" class="mt-1 text-sm text-ink2">
      Told by the name. If they are two people, write one of them otherwise.
    </p>
    <ProposalDialog :of="one" take="Keep them free" @close="one.leave" @take="one.accept" />
  </div>
</template>
