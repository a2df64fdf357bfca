<script lang="ts">
  /** Station: test. Every call that the thermostat can make, one after the other, in the order that is safe. */
  import Download from '@lucide/svelte/icons/download';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { seenOfTest, withSeen, type Ran } from '$core/handover/carry-over';
  import { dueOf } from '$core/handover/due';
  import { standingsOf, type StepStanding } from '$core/handover/results';
  import { resultText } from '$core/handover/as-built-words';
  import { gateOfTest, outdoorsNow, warmDayFrom } from '$core/handover/season';
  import { settingsLeft } from '$core/handover/settings';
  import { testTitle } from '$core/handover/test-words';
  import { finishTest, setTesting } from '$core/job/after-edits';
  import type { TestResult } from '$core/job/after-schema';
  import { batch, setStep } from '$core/job/steps';
  import { callName } from '$core/trade/calls';
  import { Finishing } from '$lib/finish/finishing.svelte';
  import TestCard from '$lib/finish/test-card.svelte';
  import VoltsChart from '$lib/finish/volts-chart.svelte';
  import { downloadCalendar } from '$lib/finish/calendar';
  import { localIso } from '$lib/state/local-time';
  import { getPlace } from '$lib/state/context';
  import { currentWeather } from '$lib/state/weather.svelte';
  import { day, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const finishing = new Finishing(place);
  $effect(() => finishing.follow());
  let now = $state(Date.now());
  onMount(() => {
    const timer = setInterval(() => (now = Date.now()), 1000);
    return () => clearInterval(timer);
  });
  const plan = $derived(finishing.found?.tests ?? null);
  const standings = $derived(plan === null ? [] : standingsOf(plan, place.thermostat));
  const left = $derived(finishing.found ? settingsLeft(finishing.found.settings).length : 0);
  const compressors = $derived(
    new Set<string>(plan?.steps.filter(({ compressor }) => compressor).map(({ call }) => call) ?? [])
  );
  const today = $derived(localIso(now).slice(0, 10));
  const warm = $derived(warmDayFrom(currentWeather(place.job.survey.building).hourly, today));
  const due = $derived(dueOf(place.job, [place.thermostat]));
  /** The one that is open: the running one, else the first without a result, unless somebody opens another. */
  let picked = $state<string | null>(null);
  const first = $derived(
    place.thermostat.testing?.call ?? standings.find(({ last }) => last === null)?.step.call ?? null
  );
  const open = $derived(picked ?? first);
  const done = $derived(standings.filter(({ last }) => last !== null).length);
  /** The volts of the thermostat's own electronics, which the proof speaks of; then each call against C. */
  const pairs = $derived.by(() => {
    const { electronicsFrom, marks } = place.plan.device;
    const calls = marks.filter((mark) => !['R', 'RH', 'RC', 'C', 'K'].includes(mark));
    return marks.includes('C') ? [electronicsFrom, ...calls].map((mark) => `${mark}-C`) : [];
  });
  const nameOf = (control: string) => place.job.thermostats.find(({ id }) => id === control)?.name ?? control;

  function gateOf({ step }: StepStanding) {
    return gateOfTest(
      step,
      {
        thermostat: place.thermostat,
        locked: place.safety.locked,
        movesLeft: place.plan.moves.length,
        settingsLeft: left,
        now: new Date(now).toISOString()
      },
      compressors
    );
  }

  function begin({ step }: StepStanding): void {
    const { session, job, thermostat } = place;
    session.edit(
      setTesting(job, thermostat.id, { call: step.call, began: new Date().toISOString(), ended: null })
    );
  }

  function end(): void {
    const { session, job, thermostat } = place;
    if (thermostat.testing === null) return;
    session.edit(setTesting(job, thermostat.id, { ...thermostat.testing, ended: new Date().toISOString() }));
  }

  async function tell(
    { step, readings }: StepStanding,
    result: TestResult,
    { why = '', until = null, ran = {} }: { why?: string; until?: string | null; ran?: Ran }
  ): Promise<void> {
    const { session, job, thermostat } = place;
    const at = new Date().toISOString();
    const outdoorC = outdoorsNow(thermostat.readings, at)?.value ?? null;
    const told = finishTest(job, thermostat.id, { call: step.call, at, result, why, until, outdoorC });
    picked = null;
    if (result !== 'bad') return void session.edit(told);
    const fresh = seenOfTest(step, ran, readings, place.plan.wiringNow, at);
    const path = ['thermostats', { id: thermostat.id }, 'seen'];
    const seen = setStep(job, path, withSeen(thermostat.seen, fresh).slice(-200), 'Seen in the test');
    session.edit(batch(`Tested: ${callName(step.call)}, not good`, [told, seen]));
    await goto(`/job/${job.id}/${thermostat.id}/why`);
  }
</script>

<svelte:head><title>Test · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="mx-auto flex max-w-3xl flex-col gap-4">
  <div>
    <h1 class="station-title">Test</h1>
    <p class="quiet">
      Every call by itself, in this order. What must run and what must not was solved from the wiring.
    </p>
  </div>
  {#if finishing.trouble}
    <section class="sheet-of-paper p-4" role="alert">
      <p class="font-semibold">There is nothing to test yet.</p>
      <p>{finishing.trouble}</p>
    </section>
  {:else if !plan}
    <p class="sheet-of-paper p-4" role="status">Working out what there is to test …</p>
  {:else}
    <p role="status" class="font-semibold">{done} of {standings.length} tested or put off.</p>
    <ol class="flex flex-col gap-2" aria-label="Tests">
      {#each standings as standing, at (standing.step.call)}
        {@const { step, last } = standing}
        <li class="sheet-of-paper p-4" class:border-2={open === step.call}>
          <h2>
            <button
              type="button"
              class="flex min-h-10 w-full flex-wrap items-center justify-between gap-x-4 text-left"
              aria-expanded={open === step.call}
              onclick={() => (picked = open === step.call ? '' : step.call)}
            >
              <span class="section-title">{at + 1}. {say(testTitle(step, nameOf))}</span>
              <span class="quiet" data-result={last?.result ?? 'open'}
                >{last === null
                  ? place.thermostat.testing?.call === step.call
                    ? 'running'
                    : 'not tested'
                  : say(resultText(last, day))}</span
              >
            </button>
          </h2>
          {#if open === step.call}
            <div class="mt-2">
              <TestCard
                {standing}
                gate={gateOf(standing)}
                {now}
                {pairs}
                proposed={step.cools ? warm : null}
                onbegin={() => begin(standing)}
                onend={end}
                onresult={(result, more) => tell(standing, result, more)}
              />
            </div>
          {/if}
        </li>
      {/each}
    </ol>
    {#if plan.takenAway.length > 0}
      <p class="quiet">
        Not tested, because this wiring has taken it away: {say(plan.takenAway.map(callName).join(', '))}.
      </p>
    {/if}
    {#if due.length > 0}
      <section class="sheet-of-paper p-4" aria-label="Put off">
        <h2 class="section-title mb-1">Put off</h2>
        <ul>
          {#each due as entry (entry.id)}<li>{say(entry.what)}: <b>{day(entry.until)}</b></li>{/each}
        </ul>
        <button
          type="button"
          class="btn btn-outline mt-2"
          onclick={() => void downloadCalendar(place.job, due)}
          ><Download size={18} aria-hidden="true" />Into a calendar</button
        >
      </section>
    {/if}
    {#if standings.some(({ readings }) => readings.some(({ what }) => what === 'volts'))}
      <section class="sheet-of-paper p-4" aria-label="Volts by call">
        <h2 class="section-title mb-1">Volts by call</h2>
        <VoltsChart {standings} window={plan.window} />
      </section>
    {/if}
    <p>
      <a class="btn btn-primary btn-lg" href="/job/{place.job.id}/{place.thermostat.id}/keep"
        >On to the hand-over</a
      >
    </p>
  {/if}
</div>
