<script lang="ts">
  /** Station: the wiring centre, or the boiler's terminals where there is none. Number by number, or device by device; what cannot be explained is asked. */
  import { faultText } from '$core/job/faults';
  import { addUnit, addUnitScrew, addWires, observeLayout } from '$core/job/mains-edits';
  import { straightWires, withoutCentre } from '$core/job/mains-landing';
  import type { MainsControls, MainsWire } from '$core/job/mains-schema';
  import { MAINS_PART_NAMES, MAINS_PARTS, type MainsPart } from '$core/trade/mains';
  import { hubOf } from '$core/trade/mains-hub';
  import { counted } from '$core/words/text';
  import Competence from '$lib/mains/competence.svelte';
  import MainsFindings from '$lib/mains/mains-findings.svelte';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import NumberDialog from '$lib/mains/number-dialog.svelte';
  import StripView from '$lib/mains/strip-view.svelte';
  import UnitCard from '$lib/mains/unit-card.svelte';
  import WireDialog from '$lib/mains/wire-dialog.svelte';
  import PhotoStrip from '$lib/photos/photo-strip.svelte';
  import { spotName, type NumberRow } from '$lib/mains/wires-on';
  import ColourChip from '$lib/sheet/colour-chip.svelte';
  import { getPlace } from '$lib/state/context';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const id = $derived(place.thermostat.id);
  let number: NumberRow | null = $state.raw(null);
  let wire: MainsWire | null = $state.raw(null);
  let kind: MainsPart = $state('timer');
  let told: readonly string[] = $state.raw([]);

  /** Wires of a list that the record does not have yet; nothing where one line does not hold. */
  async function bringIn(event: Event, mains: MainsControls): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    const { readStripCsv } = await import('$core/formats/strip-csv');
    const read = readStripCsv(await file.text(), mains);
    if (!read.ok) {
      told = ['Nothing was brought in.', ...read.faults.map(faultText)];
      return;
    }
    if (read.wires.length > 0) place.session.edit(addWires(place.job, id, read.wires));
    told = [
      read.wires.length === 0
        ? 'All of its wires are here already.'
        : `${counted(read.wires.length, 'wire', 'wires')} came in.`
    ];
  }
  const hub = $derived(hubOf(place.thermostat.mains?.devices ?? []));
  const atBoiler = $derived(place.thermostat.mains !== null && hub === 'boiler');
  const kinds = MAINS_PARTS.filter((part) => part !== 'controller' && part !== 'wall-part');
</script>

<MainsPage
  title={say(atBoiler ? 'Wires at the boiler' : 'Wiring centre')}
  intro={say(
    atBoiler
      ? 'No wiring centre here: the cables meet at the boiler. Write down which wire is on which of its terminals, or start with the devices.'
      : 'The wiring centre is the strip where all cables of the heating meet. Write down which wire is under which number, or start with the devices.'
  )}
>
  {#snippet early(mains)}
    <Competence {mains} />
    {@const centre = mains.devices.find(({ part }) => part === 'wiring-centre')}
    {@const none = withoutCentre(place.job, id)}
    {@const straight = straightWires(mains)}
    <PhotoStrip
      of="equipment"
      label={say(atBoiler ? 'Photo of the boiler’s terminals' : 'Photo of the wiring centre')}
    />
    <section aria-label="Strip">
      <StripView {mains} onopen={(row) => (number = row)} onwire={(opened) => (wire = opened)} />
      {#if centre}
        <button
          type="button"
          class="btn btn-outline btn-sm mt-2"
          onclick={() =>
            place.session.edit(addUnitScrew(place.job, id, centre.id, `${centre.screws.length + 1}`))}
          >One more number</button
        >
        {#if none !== null}
          <button
            type="button"
            class="btn btn-outline btn-sm mt-2 ml-2"
            onclick={() => place.session.edit(none)}>{say('There is no wiring centre')}</button
          >
        {/if}
      {/if}
      {#if centre || atBoiler}
        <label class="btn btn-outline btn-sm mt-2 ml-2"
          >Bring in a list (CSV)<input
            class="sr-only"
            type="file"
            accept=".csv,text/csv"
            onchange={(event) => bringIn(event, mains)}
          /></label
        >
        {#if told.length > 0}
          <ul class="mt-2 text-sm" role="alert">
            {#each told.slice(0, 8) as line, at (at)}<li>{line}</li>{/each}
          </ul>
        {/if}
      {/if}
      {#if straight.length > 0}
        <h2 class="section-title mt-4 mb-1">Straight from device to device</h2>
        <ul class="flex flex-col gap-1">
          {#each straight as own (own.id)}
            <li>
              <button
                type="button"
                class="btn btn-ghost h-auto min-h-11 justify-start text-left font-normal"
                onclick={() => (wire = own)}
                ><ColourChip code={own.colour} stripe={own.stripe} />{spotName(mains, own.near)} – {spotName(
                  mains,
                  own.far
                )}</button
              >
            </li>
          {/each}
        </ul>
      {/if}
    </section>
    <NumberDialog {mains} row={number} onclose={() => (number = null)} />
    <WireDialog {mains} {wire} onclose={() => (wire = null)} />
  {/snippet}
  {#snippet body(mains, view)}
    <section class="sheet-of-paper p-4" aria-label="Questions">
      <h2 class="section-title mb-2">What cannot be explained yet</h2>
      {#if view.plan.questions.length + view.plan.today.length === 0}
        <p>Nothing: every wire has a job.</p>
      {:else}
        <MainsFindings findings={[...view.plan.questions, ...view.plan.today]} />
      {/if}
    </section>
    <section class="flex flex-col gap-2" aria-label="Devices">
      <h2 class="section-title">Devices</h2>
      {#each mains.devices as device (device.id)}<UnitCard {mains} {device} />{/each}
      <div class="flex flex-wrap items-end gap-2">
        <label class="flex flex-col gap-1 text-sm"
          >Another device
          <select class="select" bind:value={kind}>
            {#each kinds as part (part)}<option value={part}>{say(MAINS_PART_NAMES[part])}</option>{/each}
          </select></label
        >
        <button
          type="button"
          class="btn btn-outline"
          onclick={() => place.session.edit(addUnit(place.job, id, kind))}
          >Add the {say(MAINS_PART_NAMES[kind])}</button
        >
        <label class="flex min-h-11 items-center gap-2"
          ><input
            type="checkbox"
            class="checkbox"
            checked={mains.observed['devices-complete'] === 'yes'}
            onchange={(event) =>
              place.session.edit(
                observeLayout(place.job, id, 'devices-complete', event.currentTarget.checked ? 'yes' : null)
              )}
          />These are all there are</label
        >
      </div>
    </section>
  {/snippet}
</MainsPage>
