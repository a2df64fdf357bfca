<script lang="ts">
  /** The stop questions in the order of danger. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import type { StopStanding } from '$core/safety/standing';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { timeText } from './words';

  const place = getPlace();
  let resolving = $state<string | null>(null);
  let how = $state('');

  function answer(id: string, value: 'yes' | 'no'): void {
    const stops = {
      ...place.thermostat.stops,
      [id]: { answer: value, at: new Date().toISOString(), resolved: null }
    };
    setThermostat(
      place,
      'stops',
      stops,
      value === 'yes' ? 'Stop answered with yes' : 'Stop answered with no'
    );
  }

  function resolve(one: StopStanding): void {
    if (!one.answer || how.trim() === '') return;
    const resolved = { at: new Date().toISOString(), how: how.trim().slice(0, 120) };
    const stops = { ...place.thermostat.stops, [one.question.id]: { ...one.answer, resolved } };
    setThermostat(place, 'stops', stops, 'Stop resolved');
    resolving = null;
    how = '';
  }

  function allNo(): void {
    const at = new Date().toISOString();
    const open = place.safety.stops.filter((one) => one.answer === null);
    const stops = {
      ...place.thermostat.stops,
      ...Object.fromEntries(
        open.map((one) => [one.question.id, { answer: 'no' as const, at, resolved: null }])
      )
    };
    setThermostat(place, 'stops', stops, 'Stop questions answered with no');
  }

  const open = $derived(place.safety.stops.filter((one) => one.answer === null).length);
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">Stops, in the order of danger</h2>
  <ol class="flex flex-col">
    {#each place.safety.stops as one (one.question.id)}
      <li class="border-b border-base-300 py-3 last:border-none" data-stop={one.question.id}>
        <div class="flex flex-wrap items-center justify-between gap-2">
          <span class="min-w-0 flex-1 basis-64">{one.question.ask}</span>
          <span class="join flex-none" role="group" aria-label={one.question.ask}>
            <button
              type="button"
              class="btn join-item min-w-16 {one.answer?.answer === 'no' ? 'btn-neutral' : 'btn-outline'}"
              aria-pressed={one.answer?.answer === 'no'}
              onclick={() => answer(one.question.id, 'no')}>No</button
            >
            <button
              type="button"
              class="btn join-item min-w-16 {one.answer?.answer === 'yes' ? 'btn-neutral' : 'btn-outline'}"
              aria-pressed={one.answer?.answer === 'yes'}
              onclick={() => answer(one.question.id, 'yes')}>Yes</button
            >
          </span>
        </div>
        {#if one.stops}
          <div class="stop mt-2 p-3" role="alert">
            <p class="flex gap-2 text-lg font-bold">
              <OctagonX size={24} class="flex-none" aria-hidden="true" />{one.question.then}
            </p>
            <p class="mt-1">
              Call <b>{one.question.call}</b>. The instructions of the later stations stay locked until this
              is resolved; the record stays open.
            </p>
            {#if resolving === one.question.id}
              <form
                class="mt-2 flex flex-wrap items-end gap-2"
                onsubmit={(event) => {
                  event.preventDefault();
                  resolve(one);
                }}
              >
                <label class="flex flex-1 basis-60 flex-col gap-1 text-sm"
                  >Resolved, when {one.question.resolvedWhen}: by whom, how?
                  <input
                    class="input w-full text-base-content"
                    maxlength={SHORT_TEXT}
                    bind:value={how}
                  /></label
                >
                <button class="btn" disabled={how.trim() === ''}>It is resolved</button>
              </form>
            {:else}
              <button type="button" class="btn mt-2" onclick={() => (resolving = one.question.id)}
                >It was resolved …</button
              >
            {/if}
          </div>
        {:else if one.answer}
          <p class="quiet text-sm">
            Answered {timeText(one.answer.at)}{#if one.answer.resolved}; resolved {timeText(
                one.answer.resolved.at
              )}: {one.answer.resolved.how}{/if}
          </p>
        {/if}
      </li>
    {/each}
  </ol>
  {#if open > 1}<button type="button" class="btn btn-outline mt-2" onclick={allNo}
      >I have read them all: none of the {open} open ones</button
    >{/if}
</section>

<style>
  .stop {
    background: var(--color-base-content);
    color: var(--color-base-100);
    border-radius: var(--radius-box);
  }
</style>
