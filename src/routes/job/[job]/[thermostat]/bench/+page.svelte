<script lang="ts">
  /** Station: the bench. The plan is powered up before anybody touches a wire. */
  import Explained from '$lib/words/explained.svelte';
  import { WIRING_STATE_NAMES, WIRING_STATES, type WiringState } from '$core/job/bench-schema';
  import { capital } from '$core/job/names';
  import { callName } from '$core/trade/calls';
  import { Bench } from '$lib/bench/bench.svelte';
  import LiveSheet from '$lib/bench/live-sheet.svelte';
  import Loads from '$lib/bench/loads.svelte';
  import Meter from '$lib/bench/meter.svelte';
  import Notes from '$lib/bench/notes.svelte';
  import SingleFaults from '$lib/bench/single-faults.svelte';
  import Spread from '$lib/bench/spread.svelte';
  import SupplyLoad from '$lib/bench/supply-load.svelte';
  import WrongNow from '$lib/bench/wrong-now.svelte';
  import Wrong from '$lib/bench/wrong.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import { getPlace } from '$lib/state/context';

  const place = getPlace();
  const bench = new Bench(() => place);
  const otherName = $derived(capital(WIRING_STATE_NAMES[bench.which === 'after' ? 'found' : 'after']));
  /** As it is now differs from as found once something has been done. */
  const states = $derived(
    WIRING_STATES.filter((state) => state !== 'now' || place.plan.done.some((entry) => entry.change !== null))
  );
  let picked = $state<string | null>(null);
  const bout = $derived(bench.now);
  const reading = $derived(bout.ok && picked !== null ? bout.powered.seen.strands.get(picked) : undefined);
  const pickedName = $derived(bench.sound.strands.find((strand) => strand.id === picked)?.name ?? '');
  const pulls = $derived(
    bench.faults.filter(
      (fault) => fault.kind === 'conductor-loose' && (fault.hits.strands ?? []).includes(picked ?? '')
    )
  );

  function setWhich(which: WiringState): void {
    bench.which = which;
    bench.wrong = [];
    bench.probes = [null, null];
  }
</script>

<svelte:head><title>Try it · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div class="flex flex-wrap items-end justify-between gap-2">
    <div>
      <h1 class="station-title">Try it</h1>
      <p class="quiet">
        <Explained
          text="The wiring, simulated: press a call and see what runs, what a meter shows, and which fuse opens. Nothing here touches the house."
        />
      </p>
    </div>
    <span class="join" role="group" aria-label="Which wiring">
      {#each states as which (which)}
        <button
          type="button"
          class="btn join-item {bench.which === which ? 'btn-neutral' : 'btn-outline'}"
          aria-pressed={bench.which === which}
          disabled={which === 'after' && bench.after === null}
          onclick={() => setWhich(which)}>{capital(WIRING_STATE_NAMES[which])}</button
        >
      {/each}
    </span>
  </div>

  {#if !bout.ok}
    <section class="sheet-of-paper p-4" role="status"><p>{bout.why}</p></section>
  {:else}
    {@const { powered } = bout}
    <section class="sheet-of-paper flex flex-col gap-3 p-4" aria-label="Call">
      <div class="flex flex-wrap gap-2" role="group" aria-label="Press a call">
        {#each bench.calls as call (call)}
          <button
            type="button"
            class="btn min-h-11"
            class:btn-primary={bench.call === call}
            aria-pressed={bench.call === call}
            onclick={() => (bench.wanted = call)}>{callName(call)}</button
          >
        {/each}
      </div>
      <WrongNow {bench} />
      <div aria-live="polite" data-words>
        <p class="text-lg font-semibold">{powered.seen.headline}</p>
        {#each powered.causes.reasons as reason (reason)}<p>{reason}</p>{/each}
      </div>
      <Loads result={powered.result} />
      {#if powered.causes.findings.length > 0}<FindingList findings={powered.causes.findings} compact />{/if}
      {#if bench.worlds.length > 1 || bench.cases.length > 1 || bench.world?.compressor}
        <details open={bench.worlds.length > 1 || bench.cases.length > 1}>
          <summary class="quiet cursor-pointer text-sm">Assumed</summary>
          <div class="mt-2 flex flex-wrap gap-3">
            {#if bench.worlds.length > 1}
              <label class="flex flex-col gap-1 text-sm"
                ><span>Taken to be</span>
                <select
                  class="select"
                  value={bench.world?.id}
                  onchange={(event) => (bench.worldId = event.currentTarget.value)}
                >
                  {#each bench.worlds as world (world.id)}<option value={world.id}>{world.says}</option
                    >{/each}
                </select></label
              >
            {/if}
            {#if bench.cases.length > 1}
              <label class="flex flex-col gap-1 text-sm"
                ><span>Supplies</span>
                <select
                  class="select"
                  value={bench.caseAt}
                  onchange={(event) => (bench.caseAt = Number(event.currentTarget.value))}
                >
                  {#each bench.cases as entry, at (at)}<option value={at}>{bench.caseText(entry)}</option
                    >{/each}
                </select></label
              >
            {/if}
            {#if bench.world?.compressor}
              <label class="flex flex-col gap-1 text-sm"
                ><span>Blower in cooling</span>
                <select class="select" bind:value={bench.blowerInCool}>
                  <option value="g">only G starts it (taken where unknown)</option>
                  <option value="board">the board starts it on Y too</option>
                </select></label
              >
            {/if}
          </div>
        </details>
      {/if}
    </section>

    <div class="grid gap-4" class:xl:grid-cols-2={bench.other?.ok}>
      <section class="sheet-of-paper min-w-0 p-3 sm:p-4" aria-label="On the bench">
        <h2 class="section-title mb-2">
          {capital(WIRING_STATE_NAMES[bench.which])}{bench.inside.length > 0
            ? ', with what was put wrong'
            : ''}
        </h2>
        <LiveSheet {bench} {powered} label="Powered up" onpick={(id) => (picked = id)} />
        <p class="quiet mt-2 text-sm">
          Thick with running marks: current flows. Dots: live and still. Thin: dead.
        </p>
        {#if picked !== null && reading}
          <div class="mt-2 flex flex-wrap items-center gap-2 border-t border-base-300 pt-2" data-picked>
            <span
              ><b>{pickedName}</b>: {reading.amps.toFixed(2)} A, {reading.volts === null
                ? 'no voltage defined against common'
                : `${reading.volts.toFixed(1)} V against common`}</span
            >
            {#each pulls as fault (fault.id)}
              <button
                type="button"
                class="btn btn-sm"
                aria-pressed={bench.wrong.includes(fault.id)}
                onclick={() => bench.toggle(fault.id)}
                >{bench.wrong.includes(fault.id) ? 'Put back' : 'Pull off'} at the {fault.hits.end === 'near'
                  ? 'wall'
                  : 'equipment'}</button
              >
            {/each}
          </div>
        {/if}
      </section>
      {#if bench.other?.ok}
        <section class="sheet-of-paper min-w-0 p-3 sm:p-4" aria-label="To compare with">
          <h2 class="section-title mb-2">{otherName}</h2>
          <LiveSheet {bench} powered={bench.other.powered} label={otherName} />
          <p class="mt-2">
            <b>{bench.other.powered.seen.headline}</b>
            {bench.other.powered.causes.reasons.join(' ')}
          </p>
        </section>
      {/if}
    </div>

    <div class="grid gap-4 lg:grid-cols-2">
      <div class="flex min-w-0 flex-col gap-4">
        <Meter {bench} {powered} />
        <Wrong {bench} />
        <Notes {bench} {powered} />
      </div>
      <div class="flex min-w-0 flex-col gap-4">
        <SupplyLoad {bench} />
        <Spread {bench} />
        <SingleFaults {bench} />
      </div>
    </div>
  {/if}
</div>
