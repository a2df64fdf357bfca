<script lang="ts">
  /** One thermostat on one page: its facts, its plate, and what it means for this place. */
  import Printer from '@lucide/svelte/icons/printer';
  import { page } from '$app/state';
  import { writeDevice } from '$core/formats/device-json';
  import { chooseDevice } from '$core/job/choices';
  import { ASPECT_NAMES, byAspect } from '$core/match/aspects';
  import { CATALOGUE, deviceName, findDevice } from '$core/match/catalogue';
  import FactsList from '$lib/device/facts-list.svelte';
  import Plate from '$lib/device/plate.svelte';
  import FitMark from '$lib/device/fit-mark.svelte';
  import { WouldFitHere } from '$lib/device/would-fit.svelte';
  import { download, fileName } from '$lib/files/download';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import VerdictMark from '$lib/reasons/verdict-mark.svelte';
  import { getPlace } from '$lib/state/context';

  const place = getPlace();
  const device = $derived(findDevice(place.job, page.params['device'] ?? ''));
  const match = $derived(place.matches.find((candidate) => candidate.device.id === device?.id) ?? null);
  const working = new WouldFitHere(place, () => page.params['device'] ?? '');
  $effect(() => working.follow());
  const fit = $derived(working.found);
  const chosen = $derived(device !== undefined && place.thermostat.choice.device === device.id);
  const shipped = $derived(CATALOGUE.some((candidate) => candidate.id === device?.id));
</script>

<svelte:head
  ><title>{device ? deviceName(device) : 'Thermostat'} · {place.thermostat.name} · Ulterum</title
  ></svelte:head
>

{#if !device || !match}
  <section class="sheet-of-paper p-4">
    <h1 class="station-title">No such thermostat</h1>
    <p>
      This job knows none under this address. <a
        class="underline"
        href="/job/{place.job.id}/{place.thermostat.id}/thermostat">All thermostats</a
      >
    </p>
  </section>
{:else}
  <div class="flex flex-col gap-4">
    <div class="flex flex-wrap items-end justify-between gap-2">
      <div>
        <p class="no-print">
          <a class="underline" href="/job/{place.job.id}/{place.thermostat.id}/thermostat">All thermostats</a>
        </p>
        <h1 class="station-title">{deviceName(device)}</h1>
        <p class="quiet">
          {shipped ? 'Made up, like its maker: it cannot be bought.' : 'Entered from its own sheet.'}
          Checked for {place.thermostat.name}.
        </p>
      </div>
      <div class="no-print flex flex-wrap gap-2">
        <button
          type="button"
          class="btn btn-outline"
          onclick={() => download(fileName(deviceName(device), 'device.json'), writeDevice(device))}
          >Facts as a file</button
        >
        <button type="button" class="btn btn-outline" onclick={() => window.print()}
          ><Printer size={18} aria-hidden="true" />Print</button
        >
        <button
          type="button"
          class="btn"
          class:btn-neutral={chosen}
          class:btn-primary={!chosen}
          aria-pressed={chosen}
          onclick={() =>
            place.session.edit(chooseDevice(place.job, place.thermostat.id, chosen ? null : device.id))}
          >{chosen
            ? 'Selected. Tap to undo'
            : match.verdict === 'no'
              ? 'Choose it all the same'
              : 'Choose'}</button
        >
      </div>
    </div>

    <div class="grid items-start gap-4 md:grid-cols-[1fr_auto]">
      <section class="sheet-of-paper p-4" aria-label="Its sheet">
        <h2 class="section-title mb-2">Its sheet</h2>
        <FactsList {device} />
      </section>
      <section class="sheet-of-paper p-4" aria-label="Its plate">
        <h2 class="section-title mb-2">Its plate</h2>
        <Plate {device} />
      </section>
    </div>

    <section class="sheet-of-paper p-4" aria-label="Here">
      <h2 class="section-title mb-1">Here: {place.thermostat.name}</h2>
      <p class="mb-2"><FitMark {match} /></p>
      {#if match.findings.length === 0}<p>Everything that works today has a terminal on it.</p>{/if}
      {#each byAspect(match.findings) as group (group.aspect)}
        <h3 class="mt-3 mb-1 font-semibold">{ASPECT_NAMES[group.aspect]}</h3>
        <FindingList findings={group.findings} />
      {/each}
    </section>

    <section class="sheet-of-paper p-4" aria-label="What would make it fit">
      <h2 class="section-title mb-2">
        {match.verdict === 'go' ? 'Ways to feed it here' : 'What would make it fit'}
      </h2>
      {#if fit}
        {#if fit.steps.length > 0}<ul class="mb-2 list-disc pl-5">
            {#each fit.steps as step (step)}<li>{step}</li>{/each}
          </ul>{/if}
        {#if fit.ways.length > 0}
          <ul class="flex flex-col gap-1">
            {#each fit.ways as way (way.title)}<li class="flex flex-wrap items-center gap-x-3">
                <VerdictMark verdict={way.verdict} size={16} /><span>{way.title}</span>
              </li>{/each}
          </ul>
        {/if}
        {#if fit.instead.length > 0}<p class="mt-2">
            {match.known === 'read' ? 'Would fit' : 'May fit'} instead: {fit.instead.join(', ')}.
          </p>{/if}
      {:else if working.trouble}<p role="alert">{working.trouble}</p>
      {:else}<p role="status">Proving each way of feeding it …</p>{/if}
    </section>
  </div>
{/if}
