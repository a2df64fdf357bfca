<script lang="ts">
  /** Station: match a thermostat. */
  import Plus from '@lucide/svelte/icons/plus';
  import { chooseDevice } from '$core/job/choices';
  import { ASPECT_NAMES, byAspect } from '$core/match/aspects';
  import { deviceName } from '$core/match/catalogue';
  import { chosenFindings } from '$core/match/chosen';
  import { bestFirst, briefFindings } from '$core/match/matched';
  import DeviceForm from '$lib/device/device-form.svelte';
  import { RAIL_WORDS, SUPPLY_WORDS } from '$core/questions/device-questions';
  import Explained from '$lib/words/explained.svelte';
  import FitMark from '$lib/device/fit-mark.svelte';
  import Dialog from '$lib/frame/dialog.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import { WAITS_NAME } from '$core/trade/vocabulary';
  import { getPlace } from '$lib/state/context';
  import { money } from '$lib/words/manner.svelte';

  const place = getPlace();
  const matches = $derived(bestFirst(place.matches));
  /** The same for every device. */
  const open = $derived(matches[0]?.open ?? []);
  const chosen = $derived(place.thermostat.choice.device);
  let entering = $state(false);
</script>

<svelte:head><title>Thermostat · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div class="flex flex-wrap items-end justify-between gap-2">
    <div>
      <h1 class="station-title">Thermostat</h1>
      <p class="quiet">
        <Explained
          text="Each is checked against what is recorded here: terminals, C wire, transformer, stages. Those in the list are made up; enter a real one from its own sheet."
        />
      </p>
    </div>
    <button type="button" class="btn btn-primary" onclick={() => (entering = true)}
      ><Plus size={18} aria-hidden="true" />Enter a device</button
    >
  </div>
  <FindingList findings={chosenFindings(place.job, place.thermostat)} />
  {#if open.length > 0}
    <section class="sheet-of-paper p-4" aria-labelledby="open-title" data-waiting>
      <h2 id="open-title" class="section-title">
        {matches[0]?.known === 'nothing' ? WAITS_NAME : 'As far as is known'}
      </h2>
      <p class="quiet mb-2">
        {matches[0]?.known === 'nothing'
          ? 'Which thermostat fits can be judged once this is known. Buy none before.'
          : 'What fits below is judged without this. Look before you buy one.'}
      </p>
      <FindingList findings={open} />
    </section>
  {/if}
  <ul class="grid gap-3 md:grid-cols-2 xl:grid-cols-3" aria-label="Thermostats">
    {#each matches as match (match.device.id)}
      {@const { device, verdict, known } = match}
      <li class="sheet-of-paper flex flex-col p-4" class:chosen={chosen === device.id}>
        <div class="flex items-start justify-between gap-2">
          <div>
            <p class="quiet text-sm">{device.maker}</p>
            <h2 class="section-title">{device.model}</h2>
          </div>
          <FitMark {match} />
        </div>
        <p class="mt-1 text-sm">
          {SUPPLY_WORDS[device.supply]}{device.price === null ? '' : ` · ${money(device.price)}`}
        </p>
        <div class="mt-3">
          {#if chosen === device.id}
            <button
              type="button"
              class="btn btn-neutral w-full"
              aria-pressed="true"
              onclick={() => place.session.edit(chooseDevice(place.job, place.thermostat.id, null))}
              >Selected. Tap to undo</button
            >
          {:else}
            <button
              type="button"
              class="btn btn-outline w-full"
              aria-label="Choose {deviceName(device)}"
              onclick={() => place.session.edit(chooseDevice(place.job, place.thermostat.id, device.id))}
              >{verdict === 'no' ? 'Choose it all the same' : 'Choose'}</button
            >
          {/if}
        </div>
        <details class="mt-3 text-sm">
          <summary class="quiet min-h-6 cursor-pointer">Terminals and stages</summary>
          <p class="mt-1">
            <b>{device.marks.join(' ')}</b>; {RAIL_WORDS[device.rails]}; {device.heatStages} heat, {device.coolStages}
            cool{device.heatPump ? ', heat pump' : ''}; {device.drawVa} VA
          </p>
        </details>
        <div class="mt-3 flex-1">
          {#each byAspect(briefFindings(match)) as group (group.aspect)}
            <h3 class="quiet mt-2 text-sm">{ASPECT_NAMES[group.aspect]}</h3>
            <FindingList findings={group.findings} compact />
          {:else}{#if known !== 'nothing'}<p class="text-sm">
                Everything that works today has a terminal on it.
              </p>{/if}{/each}
        </div>
        <p class="mt-3 text-sm">
          <a class="underline" href="thermostat/{device.id}" aria-label="Sheet of the {deviceName(device)}"
            >Its sheet, what is set, what would make it fit</a
          >
        </p>
      </li>
    {/each}
  </ul>
</div>

<Dialog open={entering} title="A device, from its own sheet" wide onclose={() => (entering = false)}
  ><DeviceForm ondone={() => (entering = false)} /></Dialog
>

<style>
  .chosen {
    border: 2px solid var(--color-base-content);
  }
</style>
