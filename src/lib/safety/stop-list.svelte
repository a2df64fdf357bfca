<script lang="ts">
  /** The stop questions in the order of danger. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import type { StopStanding } from '$core/safety/standing';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { emptied, typedHere } from '../state/typed.svelte';
  import { timeText } from './words';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const typed = typedHere('stop', { resolving: '', how: '' });

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

  function resolve(stopStanding: StopStanding): void {
    if (!stopStanding.answer || typed.how.trim() === '') return;
    const resolved = { at: new Date().toISOString(), how: typed.how.trim().slice(0, 120) };
    const stops = {
      ...place.thermostat.stops,
      [stopStanding.question.id]: { ...stopStanding.answer, resolved }
    };
    setThermostat(place, 'stops', stops, 'Stop resolved');
    emptied(typed);
  }

  function allNo(): void {
    const at = new Date().toISOString();
    const open = place.safety.stops.filter((stop) => stop.answer === null);
    const stops = {
      ...place.thermostat.stops,
      ...Object.fromEntries(
        open.map((stop) => [stop.question.id, { answer: 'no' as const, at, resolved: null }])
      )
    };
    setThermostat(place, 'stops', stops, 'Stop questions answered with no');
  }

  const open = $derived(place.safety.stops.filter((stop) => stop.answer === null).length);
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">Stops, in the order of danger</h2>
  <ol class="flex flex-col">
    {#each place.safety.stops as stop (stop.question.id)}
      <li class="border-b border-base-300 py-3 last:border-none" data-stop={stop.question.id}>
        <div class="flex flex-wrap items-center justify-between gap-2">
          <span class="min-w-0 flex-1 basis-64">{say(stop.question.ask)}</span>
          <span class="join flex-none" role="group" aria-label={say(stop.question.ask)}>
            <button
              type="button"
              class="btn join-item min-w-16 {stop.answer?.answer === 'no' ? 'btn-neutral' : 'btn-outline'}"
              aria-pressed={stop.answer?.answer === 'no'}
              onclick={() => answer(stop.question.id, 'no')}>No</button
            >
            <button
              type="button"
              class="btn join-item min-w-16 {stop.answer?.answer === 'yes' ? 'btn-neutral' : 'btn-outline'}"
              aria-pressed={stop.answer?.answer === 'yes'}
              onclick={() => answer(stop.question.id, 'yes')}>Yes</button
            >
          </span>
        </div>
        {#if stop.stops}
          <div class="stop mt-2 p-3" role="alert">
            <p class="flex gap-2 text-lg font-bold">
              <OctagonX size={24} class="flex-none" aria-hidden="true" />{say(stop.question.then)}
            </p>
            <p class="mt-1">
              Call <b>{stop.question.call}</b>. The instructions of the later stations stay locked until this
              is resolved; the record stays open.
            </p>
            {#if typed.resolving === stop.question.id}
              <form
                class="mt-2 flex flex-wrap items-end gap-2"
                onsubmit={(event) => {
                  event.preventDefault();
                  resolve(stop);
                }}
              >
                <label class="flex flex-1 basis-60 flex-col gap-1 text-sm"
                  >Resolved, when {stop.question.resolvedWhen}: by whom, how?
                  <input
                    class="input w-full text-base-content"
                    maxlength={SHORT_TEXT}
                    bind:value={typed.how}
                  /></label
                >
                <button class="btn" disabled={typed.how.trim() === ''}>It is resolved</button>
              </form>
            {:else}
              <button type="button" class="btn mt-2" onclick={() => (typed.resolving = stop.question.id)}
                >It was resolved …</button
              >
            {/if}
          </div>
        {:else if stop.answer}
          <p class="quiet text-sm">
            Answered {timeText(stop.answer.at)}{#if stop.answer.resolved}; resolved {timeText(
                stop.answer.resolved.at
              )}: {stop.answer.resolved.how}{/if}
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
