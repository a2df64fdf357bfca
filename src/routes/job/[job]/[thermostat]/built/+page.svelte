<script lang="ts">
  /** Station: hand over. The strip as built, for the inside of its cover; files; closing the job. */
  import { writeLeftCodes } from '$core/formats/left-code';
  import { labelPages } from '$core/formats/labels';
  import { stripLabels } from '$core/formats/strip-labels';
  import { writeStripCsv } from '$core/formats/strip-csv';
  import { stripSheet } from '$core/formats/strip-sheet';
  import { mainsAsBuilt, numberName } from '$core/handover/mains/as-built';
  import { closeJob, openAgain } from '$core/job/after-edits';
  import type { MainsControls } from '$core/job/mains-schema';
  import { LAYOUT_NAMES } from '$core/trade/mains';
  import { capital, counted } from '$core/words/text';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import { download, downloadBlob, fileName } from '$lib/files/download';
  import { clock } from '$lib/state/clock.svelte';
  import { getPlace } from '$lib/state/context';
  import { emptied, typedHere } from '$lib/state/typed.svelte';
  import { day, moment, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const typed = typedHere('hand-over', { by: '' });
  let busy = $state(false);
  let trouble = $state('');
  const base = $derived(`${place.job.name}-${place.thermostat.name}`);
  const today = () => new Date(clock.now).toISOString().slice(0, 10);
  const under = () =>
    [place.job.name, place.job.place, day(today())].filter((word) => word !== '').join(' · ');

  const sheets = (mains: MainsControls) =>
    stripSheet(mainsAsBuilt(mains), {
      paper: 'A4',
      title: place.thermostat.name,
      under: under(),
      codes: writeLeftCodes(place.job, place.thermostat, location.origin)
    });

  async function asPdf(pages: readonly string[], name: string): Promise<void> {
    busy = true;
    try {
      const { svgPagesAsPdf } = await import('$lib/files/pdf');
      downloadBlob(fileName(`${base}-${name}`, 'pdf'), await svgPagesAsPdf(pages, `${base}: ${name}`));
      trouble = '';
    } catch (error) {
      trouble = `The PDF was not made: ${error instanceof Error ? error.message : String(error)}.`;
    }
    busy = false;
  }
</script>

<MainsPage
  title="Hand over"
  intro={say(
    'For you, and for the next person who opens the wiring centre or the boiler. As it is, not as it was planned.'
  )}
>
  {#snippet early(mains)}
    {@const built = mainsAsBuilt(mains)}
    {#if place.job.closed}
      <section class="sheet-of-paper border-2 p-4" aria-label="Closed" data-closed>
        <p class="text-lg">
          <b>Closed</b>
          {moment(place.job.closed.at)}{place.job.closed.by === '' ? '' : `, by ${place.job.closed.by}`}.
        </p>
        <button
          type="button"
          class="btn btn-outline mt-2"
          onclick={() => place.session.edit(openAgain(place.job))}>Open it again</button
        >
      </section>
    {/if}
    <section class="sheet-of-paper p-4" aria-label="Papers">
      <h2 class="section-title mb-2">Papers and files</h2>
      <div class="flex flex-wrap gap-2">
        <button
          type="button"
          class="btn btn-primary"
          disabled={busy}
          onclick={() => asPdf(sheets(mains), 'strip-sheet')}>Sheet for the cover, PDF</button
        >
        <button
          type="button"
          class="btn btn-outline"
          disabled={busy}
          onclick={() => asPdf(labelPages(stripLabels(built), place.thermostat.name), 'labels')}
          >Labels, PDF</button
        >
        <button
          type="button"
          class="btn btn-outline"
          onclick={() => download(fileName(`${base}-strip`, 'csv'), writeStripCsv(built), 'text/csv')}
          >CSV</button
        >
        <button
          type="button"
          class="btn btn-outline"
          onclick={() =>
            download(
              fileName(`${base}-strip`, 'json'),
              `${JSON.stringify(built, null, 2)}\n`,
              'application/json'
            )}>JSON</button
        >
      </div>
      {#if trouble}<p class="text-sm" role="alert">{trouble}</p>{/if}
    </section>
    <section class="sheet-of-paper p-4" aria-label="Strip as built">
      <h2 class="section-title mb-1">{capital(LAYOUT_NAMES[built.layout])}</h2>
      <div class="overflow-x-auto">
        <table class="table table-sm">
          <thead><tr><th>No.</th><th>Wire</th><th>To</th><th>Does</th></tr></thead>
          <tbody>
            {#each built.numbers as number, at (at)}
              {#each number.wires as wire, index (wire.id)}
                <tr>
                  <td
                    >{#if index === 0}<b>{numberName(number)}</b>{/if}</td
                  >
                  <td>{say(wire.colour)}</td>
                  <td>{wire.to}</td>
                  <td>{say(wire.does)}</td>
                </tr>
              {/each}
              {#if number.linked.length > 0}
                <tr
                  ><td
                    >{#if number.wires.length === 0}<b>{numberName(number)}</b>{/if}</td
                  ><td>link</td><td>to {number.linked.join(', ')}</td><td></td></tr
                >
              {/if}
            {/each}
          </tbody>
        </table>
      </div>
      {#if built.dead.length > 0}
        <p class="mt-2">
          <b>Not in use:</b>
          {built.dead.map(({ cable, wire }) => `${wire} (${cable})`).join(', ')}.
        </p>
      {/if}
      {#if built.changes.length > 0}
        <p class="mt-2">
          {counted(built.changes.length, 'step was', 'steps were')} done, the last {moment(
            built.changes[built.changes.length - 1]?.at ?? ''
          )}.
        </p>
      {/if}
    </section>
    {#if !place.job.closed}
      <form
        class="sheet-of-paper no-print flex flex-wrap items-end gap-2 p-4"
        onsubmit={(event) => {
          event.preventDefault();
          place.session.edit(closeJob(place.job, typed.by.trim(), new Date(clock.now).toISOString()));
          emptied(typed);
        }}
      >
        <label class="flex flex-col gap-1 text-sm"
          >Handed over by <input class="input" bind:value={typed.by} maxlength="120" /></label
        >
        <button type="submit" class="btn btn-outline">Close the job</button>
      </form>
    {/if}
  {/snippet}
  {#snippet body()}{/snippet}
</MainsPage>
