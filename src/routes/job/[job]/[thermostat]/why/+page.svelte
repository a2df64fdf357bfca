<script lang="ts">
  /** Station: find out why. One look at a time, the most telling for its effort; then the remedy. */
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import { tick } from 'svelte';
  import { goto } from '$app/navigation';
  import { WIRING_STATE_NAMES, WIRING_STATES } from '$core/job/bench-schema';
  import { gateOfLook } from '$core/plan/hands';
  import { TRIED_STILL } from '$core/diagnose/tried-code';
  import { STOP_SIGNS } from '$core/diagnose/stop-signs';
  import ChoiceField from '$lib/fields/choice-field.svelte';
  import { getPlace } from '$lib/state/context';
  import CauseList from '$lib/why/cause-list.svelte';
  import { FindingOut } from '$lib/why/finding-out.svelte';
  import LookCard from '$lib/why/look-card.svelte';
  import Explained from '$lib/words/explained.svelte';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const out = new FindingOut(place);
  $effect(() => out.follow());
  const report = $derived(out.found?.report ?? null);
  const places = $derived(
    new Map(place.wiring.places.map(({ id, name, kind }) => [id, kind === 'wall' ? 'the thermostat' : name]))
  );
  /** A look of the user's own choice, instead of the best. */
  let picked = $state<string | null>(null);
  const offered = $derived([...(report?.nextTest ? [report.nextTest] : []), ...(report?.otherTests ?? [])]);
  const look = $derived(offered.find(({ id }) => id === picked) ?? report?.nextTest ?? null);
  /** A look with the hands in the machine waits until the power is proven off. */
  const proveAt = $derived(
    look !== null && gateOfLook(look, place.safety, place.plan) === 'prove-off'
      ? `/job/${place.job.id}/${place.thermostat.id}/safe`
      : ''
  );
  let heading = $state<HTMLElement>();

  async function powerAgain(): Promise<void> {
    out.beginAgain();
    await goto(`/job/${place.job.id}/${place.thermostat.id}/power`);
  }

  async function answer(observation: string, value: string | number, label: string): Promise<void> {
    picked = null;
    out.see(observation, value, label);
    await tick();
    heading?.focus();
  }
</script>

<svelte:head><title>Find out why · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">Find out why</h1>
    <p class="quiet">
      <Explained
        text="It does not light up, or something does not run: one look at a time, each the one that tells most for its effort."
      />
    </p>
  </div>

  {#if report?.stop}
    <section class="sheet-of-paper border-2 p-4" role="alert" data-stop={report.stop.id}>
      <p class="flex items-center gap-2 text-xl font-bold">
        <OctagonX size={26} aria-hidden="true" />Stop: {report.stop.ask.toLowerCase()}
      </p>
      <p class="mt-2 text-lg">{report.stop.then}</p>
      <button type="button" class="btn btn-outline mt-3" onclick={() => out.takeBack(report.stoppedBy!)}
        >It was something else</button
      >
    </section>
  {:else if out.trouble}
    <section class="sheet-of-paper p-4" role="alert">
      <p class="font-semibold">Nothing can be worked out here yet.</p>
      <p>{out.trouble}</p>
    </section>
  {:else if !report}
    <p class="sheet-of-paper p-4" role="status">
      Working through every single fault and every pair … {Math.round(out.progress * 100)} %
    </p>
  {:else}
    {#if report.settled}
      <section class="sheet-of-paper border-2 p-4" aria-label="Remedy" data-settled={report.settled.fault}>
        <h2 class="section-title" tabindex="-1" bind:this={heading}>
          {say(`Most likely: ${report.causes[0]?.says.join('; or ') ?? ''}`)}
        </h2>
        <p class="mt-2 text-lg">{say(report.settled.remedy.says)}</p>
        {#if report.settled.remedy.moves.length > 0}
          <ol class="mt-2 list-decimal pl-6">
            {#each report.settled.remedy.moves as move, at (at)}<li>{say(move.text)}</li>{/each}
          </ol>
        {/if}
        {#if report.settled.remedy.steps.length > 0}
          <ol class="mt-2 list-decimal pl-6">
            {#each report.settled.remedy.steps as step (step)}<li>{say(step)}</li>{/each}
          </ol>
        {/if}
        {#if report.settled.remedy.setUp}
          <a class="btn btn-outline mt-2" href="/job/{place.job.id}/{place.thermostat.id}/set-up">Set up</a>
        {/if}
        {#if report.settled.remedy.pro}
          <p class="mt-2 font-semibold">This is for a technician.</p>
        {:else if report.settled.remedy.proven !== null}
          <p class="quiet mt-2">
            {report.settled.remedy.proven
              ? 'The repaired wiring was solved: every call runs something, no fuse opens, and the thermostat has its volts.'
              : 'The repaired wiring was solved, and is not sound yet: see C wire for what else is wrong.'}
          </p>
        {/if}
        <div class="mt-3 flex flex-wrap gap-2">
          <button type="button" class="btn btn-primary btn-lg" onclick={powerAgain}
            >Done. Power up again</button
          >
          <button
            type="button"
            class="btn btn-outline btn-lg"
            onclick={() => answer(report.settled!.tried, TRIED_STILL, 'as before')}
            >Done, and it is as before</button
          >
        </div>
      </section>
    {/if}
    {#if look}
      <section class="sheet-of-paper p-4" class:border-2={!report.settled} aria-label="Next look">
        {#if !report.settled}<h2 class="sr-only" tabindex="-1" bind:this={heading}>Next look</h2>{/if}
        {#if report.settled}<p class="mb-2 font-semibold">If that is not it:</p>{/if}
        <LookCard {look} {places} {proveAt} onanswer={(value, label) => answer(look.id, value, label)} />
        {#if offered.length > 1}
          <div class="mt-4 max-w-sm">
            <ChoiceField
              label="Another look instead"
              value={look.id}
              choices={offered.map(({ id, ask }) => [id, say(ask)] as const)}
              onset={(id) => (picked = id)}
            />
          </div>
        {/if}
      </section>
    {:else if !report.settled}
      <section class="sheet-of-paper p-4">
        <p class="font-semibold">Nothing more that you can look at would tell more.</p>
        <p>A meter would, or a technician.</p>
      </section>
    {/if}

    <section class="sheet-of-paper p-4" aria-label="Most likely" aria-busy={out.busy}>
      <h2 class="section-title mb-2">Most likely</h2>
      <CauseList causes={report.causes} />
      {#if report.against.length > 0}
        <div class="mt-3">
          <p><b>This does not fit.</b> One of the answers may be wrong: look again.</p>
          <ul>
            {#each report.against as entry (entry.observation)}
              <li class="flex flex-wrap items-center justify-between gap-2 py-1">
                <ChoiceField
                  label={say(entry.ask)}
                  value={String(entry.answer)}
                  choices={[
                    ...(typeof entry.answer === 'number'
                      ? [[String(entry.answer), entry.label] as const]
                      : []),
                    ...entry.answers.map(({ value, label }) => [value, say(label)] as const)
                  ]}
                  onset={(value) =>
                    out.see(
                      entry.observation,
                      value,
                      entry.answers.find((other) => other.value === value)?.label ?? value
                    )}
                />
              </li>
            {/each}
          </ul>
        </div>
      {/if}
    </section>
  {/if}

  {#if out.found && out.found.seen.length > 0}
    <section class="sheet-of-paper p-4" aria-label="Seen so far">
      <h2 class="section-title mb-1">Seen so far</h2>
      <ul>
        {#each out.found.seen as entry (entry.observation)}
          <li class="flex items-center justify-between gap-2 border-b border-base-300 py-1 last:border-none">
            <span>{say(entry.ask)} <b>{say(String(entry.label))}</b></span>
            <button
              type="button"
              class="btn btn-ghost btn-sm"
              aria-label="Take back: {entry.ask}"
              onclick={() => out.takeBack(entry.observation)}>Take back</button
            >
          </li>
        {/each}
      </ul>
    </section>
  {/if}

  <details class="sheet-of-paper p-4" open={report?.stop !== null && report !== null}>
    <summary class="min-h-8 cursor-pointer font-semibold">Stop at once if …</summary>
    <div class="mt-2 flex flex-col gap-2">
      {#each STOP_SIGNS as sign (sign.id)}
        <button
          type="button"
          class="btn btn-outline h-auto min-h-12 justify-start py-2 text-left whitespace-normal"
          onclick={() => answer(sign.id, 'yes', sign.ask)}>{sign.ask}</button
        >
      {/each}
    </div>
  </details>

  <section class="sheet-of-paper p-4" aria-label="What you can do">
    <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
      <label class="flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          class="checkbox"
          checked={out.hands.meter}
          onchange={(event) => (out.hands = { ...out.hands, meter: event.currentTarget.checked })}
        /> I can use a meter on 24 V screws
      </label>
      <label class="flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          class="checkbox"
          checked={out.hands.helper}
          onchange={(event) => (out.hands = { ...out.hands, helper: event.currentTarget.checked })}
        /> Somebody helps me
      </label>
      <ChoiceField
        label="Wiring"
        value={out.which}
        choices={WIRING_STATES.map((which) => [which, WIRING_STATE_NAMES[which]] as const)}
        onset={(which) => (out.which = which)}
      />
    </div>
  </section>
</div>
