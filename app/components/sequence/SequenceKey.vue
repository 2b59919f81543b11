<template>
  <div class="mt-3 border-t border-rule pt-2">
    <details>
      <summary class="cond">What the lines mean</summary>
      <dl class="mt-2 grid grid-cols-[3.5rem_1fr] items-center gap-x-3 gap-y-1.5">
        <dt class="h-1.5 bg-ink" />
        <dd>hands on it</dd>
        <dt class="waits h-1.5 border border-ink" />
        <dd>cures, dries, or others have it</dd>
        <dt class="h-1.5 bg-brass" />
        <dd>done and earned</dd>
        <dt class="h-4 border-2 border-dashed border-ink" />
        <dd>others do it</dd>
        <dt>
          <svg width="56" height="10" aria-hidden="true">
            <path d="M2 2q13 9 26 5t26 0" fill="none" stroke="var(--ink2)" stroke-width="1.4" />
          </svg>
        </dt>
        <dd>days it can end later before what follows it moves</dd>
        <dt class="h-0.5 bg-ink2/60" />
        <dd>folded: for another gate or for none, or for want of room</dd>
        <dt class="h-1.5 bg-redlead" />
        <dd>the rope: what holds the gate, numbered back from it</dd>
      </dl>
      <p class="mt-2 text-ink2">
        A day is as wide as the hours people are there; the hours themselves stand below, week by
        week.
      </p>
    </details>
    <details class="mt-2">
      <summary class="cond">How this was planned</summary>
      <p class="mt-1">
        Steps are placed one by one at the earliest time their people are there, what comes before
        is done and cured, and the hull is ashore or afloat as needed: first today’s order and what
        you pinned, then what is under way, what would be late, and the rest by priority. Work that
        may be left gives way to other work for some days. Then other orders are tried; the one you
        know is kept unless another is worth it: less days late, then less cost ashore, then what
        matters most done earlier by one part in fifty. Cures are planned with the mean air of the
        month and the product's minimum as a floor. More than a week ahead, work that needs weather
        is given time by the month's share of days that suit it; nearer, Today goes by the forecast.
      </p>
    </details>
  </div>
</template>

<style scoped>
.waits {
  background: repeating-linear-gradient(135deg, var(--ink2) 0 1.5px, var(--sheet) 1.5px 4px);
}
</style>
