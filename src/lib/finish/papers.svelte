<script lang="ts">
  /** The papers and files of the hand-over. What makes each is loaded when it is asked for. */
  import Download from '@lucide/svelte/icons/download';
  import Printer from '@lucide/svelte/icons/printer';
  import type { AsBuilt } from '$core/handover/as-built';
  import { hasPrivate } from '$core/job/private';
  import ChoiceField from '../fields/choice-field.svelte';
  import { getPlace } from '../state/context';
  import { takeOutJob } from '../state/take-out';
  import { day } from '../words/manner.svelte';
  import type { Made } from './make-papers';

  interface Props {
    built: AsBuilt;
  }

  let { built }: Props = $props();
  const place = getPlace();
  let paper = $state<'A4' | 'LETTER'>(place.job.units.length === 'ft' ? 'LETTER' : 'A4');
  let withOwn = $state(false);
  let busy = $state('');
  let told = $state('');
  let shown = $state.raw<readonly string[]>([]);
  let photos = $state<string[]>([]);
  const own = $derived(hasPrivate(place.thermostat));
  const choosable = $derived(
    place.thermostat.photos.filter(({ id }) => withOwn || !place.thermostat.private.photos.includes(id))
  );

  const PAPERS = [
    { id: 'door-pdf', text: 'Sheet for the furnace door (PDF)', primary: true },
    { id: 'door-svg', text: 'The same as a drawing (SVG)', primary: false },
    { id: 'card-pdf', text: 'Card for the wall (PDF)', primary: false },
    { id: 'labels-pdf', text: 'Labels for both ends (PDF)', primary: false },
    { id: 'report-pdf', text: 'Full report (PDF)', primary: false },
    { id: 'json', text: 'As built (JSON)', primary: false },
    { id: 'csv', text: 'Wires (CSV)', primary: false },
    { id: 'spice', text: 'Circuit (SPICE)', primary: false }
  ] as const;

  async function make(id: (typeof PAPERS)[number]['id']): Promise<void> {
    busy = id;
    told = '';
    try {
      const { makePaper } = await import('./make-papers');
      const made: Made = await makePaper(id, {
        built,
        job: place.job,
        thermostat: place.thermostat,
        plan: place.plan,
        paper,
        origin: location.origin,
        photos: choosable.filter((photo) => photos.includes(photo.id)),
        withOwn,
        dayOf: day
      });
      told = made.told;
      shown = made.shown;
    } catch (error) {
      told = `It was not made: ${error instanceof Error ? error.message : String(error)}.`;
    }
    // Said anew each time.
    withOwn = false;
    busy = '';
  }
</script>

<section class="sheet-of-paper no-print p-4" aria-label="Papers and files">
  <h2 class="section-title mb-2">Papers and files</h2>
  <div class="mb-3 flex flex-wrap items-end gap-4">
    <div class="w-40">
      <ChoiceField
        label="Paper"
        value={paper}
        choices={[
          ['A4', 'A4'],
          ['LETTER', 'Letter']
        ]}
        onset={(name) => (paper = name === 'LETTER' ? 'LETTER' : 'A4')}
      />
    </div>
    {#if own}
      <label class="flex min-h-10 items-center gap-2">
        <input type="checkbox" class="checkbox" bind:checked={withOwn} /> With the registration code and hardware
        address, this once (report, job file)
      </label>
    {/if}
  </div>
  {#if choosable.length > 0}
    <fieldset class="mb-3">
      <legend class="text-sm">Photos in the report</legend>
      {#each choosable as photo (photo.id)}
        <label class="mr-4 inline-flex min-h-10 items-center gap-2">
          <input type="checkbox" class="checkbox" value={photo.id} bind:group={photos} />
          {photo.caption === '' ? `Photo of ${photo.of}` : photo.caption}
        </label>
      {/each}
    </fieldset>
  {/if}
  <div class="flex flex-wrap gap-2">
    {#each PAPERS as entry (entry.id)}
      <button
        type="button"
        class="btn"
        class:btn-primary={entry.primary}
        class:btn-outline={!entry.primary}
        disabled={busy !== ''}
        onclick={() => make(entry.id)}
        >{#if entry.primary}<Printer size={18} aria-hidden="true" />{:else}<Download
            size={18}
            aria-hidden="true"
          />{/if}{busy === entry.id ? 'Making …' : entry.text}</button
      >
    {/each}
    <button type="button" class="btn btn-outline" onclick={() => void takeOutJob(place.session, withOwn)}
      ><Download size={18} aria-hidden="true" />The whole job as a file</button
    >
  </div>
  {#if told !== ''}<p class="mt-2" role="status">{told}</p>{/if}
  {#if shown.length > 0}
    <div class="mt-3 grid gap-3 sm:grid-cols-2">
      {#each shown as page, at (at)}
        <div class="paper" role="img" aria-label="Page {at + 1} of the sheet">
          <!-- eslint-disable-next-line svelte/no-at-html-tags -- a drawing made here, its words escaped -->
          {@html page}
        </div>
      {/each}
    </div>
  {/if}
</section>

<style>
  .paper {
    background: #fff;
    color: #000;
    border: 1px solid var(--color-base-300);
  }

  .paper :global(svg) {
    display: block;
    width: 100%;
    height: auto;
  }
</style>
