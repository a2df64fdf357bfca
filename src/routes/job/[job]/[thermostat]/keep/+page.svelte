<script lang="ts">
  /** Station: keep the record. What the next person who opens the door needs: the wires as they are, what was done, labels, the file. */
  import Download from '@lucide/svelte/icons/download';
  import Printer from '@lucide/svelte/icons/printer';
  import Tag from '@lucide/svelte/icons/tag';
  import { movesDone } from '$core/plan/moves';
  import { takeOutJob } from '$lib/state/take-out';
  import LabelsDialog from '$lib/sheet/labels-dialog.svelte';
  import { sheetView } from '$lib/sheet/rows';
  import StrandSheet from '$lib/sheet/strand-sheet.svelte';
  import { getPlace } from '$lib/state/context';
  import { moment, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const done = $derived(movesDone(place.plan.wiringFound, place.plan.done));
  const view = $derived(sheetView(place.plan.wiringNow));
  let labels = $state(false);
</script>

<svelte:head><title>Keep · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">Keep the record</h1>
    <p class="quiet">For you, and for the next person who opens the furnace door.</p>
  </div>
  <div class="no-print flex flex-wrap gap-2">
    <button type="button" class="btn btn-primary" onclick={() => window.print()}
      ><Printer size={18} aria-hidden="true" />Print this sheet</button
    >
    <button type="button" class="btn btn-outline" onclick={() => (labels = true)}
      ><Tag size={18} aria-hidden="true" />Labels for the wires</button
    >
    <button type="button" class="btn btn-outline" onclick={() => void takeOutJob(place.session)}
      ><Download size={18} aria-hidden="true" />The whole job as a file</button
    >
  </div>
  <section class="sheet-of-paper p-4" aria-label="The wires as they are now">
    <h2 class="section-title mb-2">The wires as they are now</h2>
    {#if place.thermostat.conductors.length === 0}
      <p>No wire is recorded yet.</p>
    {:else}
      <StrandSheet {view} label="The wires as they are now" />
    {/if}
  </section>
  <section class="sheet-of-paper p-4" aria-label="What was done">
    <h2 class="section-title mb-2">What was done</h2>
    {#if done.length === 0}
      <p>Nothing yet. Steps that you tick are written down here with their time.</p>
    {:else}
      <ol class="list-decimal pl-5">
        {#each done as made (made.entry.id)}<li>
            {say(made.text)} <span class="quiet">{moment(made.entry.at)}</span>
          </li>{/each}
      </ol>
    {/if}
  </section>
</div>

<LabelsDialog open={labels} onclose={() => (labels = false)} />
