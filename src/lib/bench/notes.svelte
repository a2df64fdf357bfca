<script lang="ts">
  /** What was tried and kept with the job. */
  import { WIRING_STATE_NAMES } from '$core/job/bench-schema';
  import { LIMITS } from '$core/job/limits';
  import { callName } from '$core/trade/calls';
  import { clock } from '../state/clock.svelte';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import type { Bench, Powered } from './bench.svelte';

  interface Props {
    bench: Bench;
    powered: Powered;
  }

  let { bench, powered }: Props = $props();
  const place = getPlace();
  const notes = $derived(place.thermostat.bench);
  const short = (text: string) => (text.length > 120 ? `${text.slice(0, 117)}…` : text);

  function keep(): void {
    const note = {
      at: new Date(clock.now).toISOString(),
      wiring: bench.which,
      call: bench.call,
      faults: bench.inside.slice(0, 20).map((fault) => short(fault.says)),
      showed: [powered.seen.headline, ...powered.causes.reasons].slice(0, 40).map(short)
    };
    setThermostat(
      place,
      'bench',
      [...notes, note].slice(-LIMITS['bench notes'].most),
      'keep what the bench showed'
    );
  }
</script>

<section class="sheet-of-paper p-4" aria-label="Kept from the bench">
  <div class="flex items-center justify-between gap-2">
    <h2 class="section-title">Kept</h2>
    <button type="button" class="btn" onclick={keep}>Keep what shows now</button>
  </div>
  {#if notes.length === 0}<p class="quiet mt-1 text-sm">Nothing kept yet.</p>{/if}
  <ul class="mt-2 flex flex-col gap-2">
    {#each notes as note, index (index)}
      <li class="flex items-start justify-between gap-2 border-b border-base-300 pb-2 last:border-none">
        <span>
          <b>{callName(note.call)}, {WIRING_STATE_NAMES[note.wiring]}</b>{note.faults.length > 0
            ? `: ${note.faults.join('; ')}`
            : ''}<br />
          <span class="quiet text-sm">{note.showed.join(' ')}</span>
        </span>
        <button
          type="button"
          class="btn btn-ghost btn-sm flex-none"
          aria-label="Remove: {callName(note.call)}, {note.faults.join('; ')}"
          onclick={() =>
            setThermostat(
              place,
              'bench',
              notes.filter((_, at) => at !== index),
              'take a bench note out'
            )}>Remove</button
        >
      </li>
    {/each}
  </ul>
</section>
