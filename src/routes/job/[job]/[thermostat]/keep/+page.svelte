<script lang="ts">
  /** Station: hand over. What the next person who opens the door needs, as it was built: sheets, labels, codes, files; then the job is closed. */
  import { asBuilt } from '$core/handover/as-built';
  import {
    cautionText,
    resultText,
    settingText,
    supplyText,
    systemSettings
  } from '$core/handover/as-built-words';
  import { closeJob, openAgain, setOldOneWent } from '$core/job/after-edits';
  import { OLD_ONE_WENT } from '$core/job/after-schema';
  import { callName } from '$core/trade/calls';
  import ChoiceField from '$lib/fields/choice-field.svelte';
  import { downloadCalendar } from '$lib/finish/calendar';
  import Papers from '$lib/finish/papers.svelte';
  import { sheetView } from '$lib/sheet/rows';
  import StrandSheet from '$lib/sheet/strand-sheet.svelte';
  import { getPlace } from '$lib/state/context';
  import { emptied, typedHere } from '$lib/state/typed.svelte';
  import { day, moment, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const built = $derived(asBuilt(place.job, place.thermostat, place.plan));
  const view = $derived(sheetView(built.wiring));
  const settings = $derived(systemSettings(built.settings));
  const base = $derived(`/job/${place.job.id}/${place.thermostat.id}`);
  const typed = typedHere('hand-over', { by: '' });

  const WENT: Readonly<Record<(typeof OLD_ONE_WENT)[number], string>> = {
    unknown: 'not said yet',
    kept: 'kept, in case',
    'passed-on': 'passed on',
    collected: 'taken to the collection point'
  };

  function close(event: SubmitEvent): void {
    event.preventDefault();
    place.session.edit(closeJob(place.job, typed.by.trim(), new Date().toISOString()));
    emptied(typed);
  }
</script>

<svelte:head><title>Hand over · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">Hand over</h1>
    <p class="quiet">
      For you, and for the next person who opens the furnace door. As it is, not as it was planned.
    </p>
  </div>

  {#if place.job.closed}
    <section class="sheet-of-paper border-2 p-4" aria-label="Closed" data-closed>
      <p class="text-lg">
        <b>Closed</b>
        {moment(place.job.closed.at)}{place.job.closed.by === '' ? '' : `, by ${place.job.closed.by}`}.
        Nothing is changed until it is opened again.
      </p>
      {#if built.due.length > 0}
        <p>
          Still due: {#each built.due as entry, at (entry.id)}{at > 0 ? ', ' : ''}{say(entry.what)}
            <b>{day(entry.until)}</b>{/each}.
        </p>
      {/if}
      <div class="no-print mt-3 flex flex-wrap gap-2">
        <button type="button" class="btn btn-outline" onclick={() => place.session.edit(openAgain(place.job))}
          >Open it again</button
        >
        <a class="btn btn-outline" href="{base}/why">Something does not work: find out why</a>
      </div>
    </section>
  {/if}

  {#if built.cautions.length > 0}
    <section class="sheet-of-paper border-2 p-4" aria-label="Before you touch anything">
      <h2 class="section-title mb-1">Before you touch anything</h2>
      <ul class="list-disc pl-5">
        {#each built.cautions as caution, at (at)}<li>{say(cautionText(caution))}</li>{/each}
      </ul>
    </section>
  {/if}

  <section class="sheet-of-paper p-4" aria-label="The wires as they are now">
    <h2 class="section-title mb-2">The wires as they are now</h2>
    {#if place.thermostat.conductors.length === 0}
      <p>No wire is recorded yet.</p>
    {:else}
      <StrandSheet {view} label="The wires as they are now" />
    {/if}
    {#each built.supplies as supply (supply.name)}<p class="mt-1">{say(supplyText(supply))}</p>{/each}
  </section>

  <div class="grid gap-4 md:grid-cols-2">
    <section class="sheet-of-paper p-4" aria-label="Set up">
      <h2 class="section-title mb-2">Set up</h2>
      {#if settings.length === 0}
        <p>Nothing is written down yet. <a class="underline" href="{base}/set-up">Set it up</a></p>
      {:else}
        <ul>
          {#each settings as made (made.setting)}<li>{say(settingText(made))}</li>{/each}
        </ul>
      {/if}
    </section>
    <section class="sheet-of-paper p-4" aria-label="Tested">
      <h2 class="section-title mb-2">Tested</h2>
      {#if built.tests.length === 0}
        <p>Nothing is tested yet. <a class="underline" href="{base}/test">Test it</a></p>
      {:else}
        <ul>
          {#each built.tests as test (test.call)}
            <li>{say(callName(test.call))}: <b>{say(resultText(test, day))}</b></li>
          {/each}
        </ul>
      {/if}
      {#if built.due.length > 0}
        <button
          type="button"
          class="btn btn-outline btn-sm no-print mt-2"
          onclick={() => void downloadCalendar(place.job, built.due)}>What is due, into a calendar</button
        >
      {/if}
    </section>
  </div>

  <Papers {built} />

  <section class="sheet-of-paper p-4" aria-label="What was done">
    <h2 class="section-title mb-2">What was done</h2>
    {#if built.changes.length === 0}
      <p>Nothing yet. Steps that you tick are written down here with their time.</p>
    {:else}
      <ol class="list-decimal pl-5">
        {#each built.changes as change, at (at)}<li>
            {say(change.text)} <span class="quiet">{moment(change.at)}</span>
          </li>{/each}
      </ol>
    {/if}
    {#if built.differences.length > 0}
      <h3 class="mt-3 font-semibold">Not as planned</h3>
      <ul class="list-disc pl-5">
        {#each built.differences as difference, at (at)}
          <li>{difference.kind === 'not-done' ? 'Not done: ' : 'No longer fits: '}{say(difference.text)}</li>
        {/each}
      </ul>
    {/if}
  </section>

  {#if !place.job.closed}
    <section class="sheet-of-paper no-print p-4" aria-label="Close the job">
      <h2 class="section-title mb-2">Close the job</h2>
      <div class="mb-3 max-w-sm">
        <ChoiceField
          label="The old thermostat"
          value={place.thermostat.oldOneWent}
          choices={OLD_ONE_WENT.map((went) => [went, WENT[went]] as const)}
          onset={(went) =>
            void place.session.edit(
              setOldOneWent(place.job, place.thermostat.id, went as (typeof OLD_ONE_WENT)[number])
            )}
        />
        {#if place.thermostat.mercury !== 'no'}
          <p class="mt-1">
            {place.thermostat.mercury === 'yes'
              ? 'It holds mercury:'
              : 'A silver drop in a glass bulb is mercury:'} keep it level and whole, and take it to the collection
            point. Never into the bin.
          </p>
        {/if}
      </div>
      <form class="flex flex-wrap items-end gap-2" onsubmit={close}>
        <label class="flex flex-col gap-1 text-sm"
          >Who did it<input class="input" maxlength="120" bind:value={typed.by} /></label
        >
        <button class="btn btn-primary">Close the job</button>
      </form>
      <p class="quiet mt-2 text-sm">
        {built.due.length > 0
          ? `${built.due.length === 1 ? 'One test stays' : `${built.due.length} tests stay`} due; it stands on the first page. `
          : ''}A closed job is read only until it is opened again.
      </p>
    </section>
  {/if}
</div>
