<script lang="ts">
  /** Station: read the wall, read the equipment. */
  import FileDown from '@lucide/svelte/icons/file-down';
  import FileUp from '@lucide/svelte/icons/file-up';
  import { OLD_THERMOSTAT_QUESTIONS } from '$core/questions/wall-questions';
  import QuestionFields from '$lib/questions/question-fields.svelte';
  import Tag from '@lucide/svelte/icons/tag';
  import Plus from '@lucide/svelte/icons/plus';
  import { MediaQuery } from 'svelte/reactivity';
  import { addConductor, removeCable } from '$core/job/edits';
  import type { CableId } from '$core/job/ids';
  import { LIMITS } from '$core/job/limits';
  import type { Thermostat } from '$core/job/schema';
  import type { EndSide } from '$core/trade/vocabulary';
  import { download, fileName } from '$lib/files/download';
  import { Growing } from '$lib/frame/growing.svelte';
  import { SECOND_FRAME, THIRD_FRAME } from '$lib/frame/portions';
  import OnDemand from '$lib/frame/on-demand.svelte';
  import Explained from '$lib/words/explained.svelte';
  import SafetyNotice from '$lib/frame/safety-notice.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import ScrewList from '$lib/sheet/screw-list.svelte';
  import MachineSection from '$lib/sheet/machine-section.svelte';
  import PhotoStrip from '$lib/photos/photo-strip.svelte';
  import SheetEditor from '$lib/sheet/sheet-editor.svelte';
  import { page } from '$app/state';
  import { getPlace } from '$lib/state/context';
  import { setThermostat } from '$lib/state/set';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  /** What stands below the wires comes after the frame that shows them, in two parts. */
  const foot = new Growing(() => THIRD_FRAME);
  /** Where every wire is read at the machine, no end that is found there is one of them. */
  const mayFind = $derived(place.unread.equipment > 0 || place.thermostat.foundEnds.length > 0);
  const narrow = new MediaQuery('max-width: 700px');
  /** The end that the move list sent one to put right. */
  const first = comesFor(page.url.searchParams);
  let standing = $state<EndSide | 'both'>(narrow.current && first ? first.end : 'both');
  const only = $derived<EndSide | null>(standing === 'both' ? (narrow.current ? 'wall' : null) : standing);
  let cableOpen = $state(false);
  let cableId = $state<CableId | null>(null);
  let linksOpen = $state(false);
  let labelsOpen = $state(false);
  let csvFaults = $state<readonly string[]>([]);

  function comesFor(asked: URLSearchParams): { strand: string; end: EndSide } | null {
    const [strand, end] = [asked.get('strand'), asked.get('end')];
    return strand !== null && (end === 'wall' || end === 'equipment') ? { strand, end } : null;
  }

  const views: { id: EndSide | 'both'; name: string }[] = [
    { id: 'wall', name: 'At the wall' },
    { id: 'equipment', name: 'At the equipment' },
    { id: 'both', name: 'Both ends' }
  ];
  const ambiguous = $derived(
    place.identification.findings.filter((finding) => finding.code === 'mark-ambiguous')
  );
  const empty = $derived(place.thermostat.cables.length === 0);
  const read = $derived({
    wall: place.thermostat.conductors.length - place.unread.wall,
    equipment: place.thermostat.conductors.length - place.unread.equipment
  });

  /** Loaded when a list is wanted. */
  const conductorsCsv = () => import('$core/formats/conductors-csv');

  async function bringCsv(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    csvFaults = await (await import('$lib/sheet/csv-in')).bringConductors(place, file);
  }
</script>

<svelte:head><title>Wires · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div class="flex flex-wrap items-end justify-between gap-2 xl:flex-nowrap">
    <div>
      <h1 class="station-title">Wires</h1>
      <p class="quiet hidden sm:block">
        <Explained
          text="Which terminal each wire is on, at both ends. A wire on a letter at the wall says nothing about its other end."
        />
      </p>
    </div>
    <div class="join flex-none" role="group" aria-label="Where you stand">
      {#each views as view (view.id)}
        <button
          type="button"
          class="btn join-item"
          class:btn-neutral={(only ?? 'both') === view.id}
          class:btn-outline={(only ?? 'both') !== view.id}
          class:hidden={view.id === 'both' && narrow.current}
          aria-pressed={(only ?? 'both') === view.id}
          onclick={() => (standing = view.id)}>{view.name}</button
        >
      {/each}
    </div>
  </div>

  <SafetyNotice at="reading" />

  <section class="sheet-of-paper p-3 sm:p-5" aria-label="Strand sheet">
    {#if empty}
      <OnDemand open load={() => import('$lib/sheet/first-letters.svelte')} given={{}} />
    {:else}
      <SheetEditor {only} {first} />
      <p class="quiet mt-3 text-sm">
        Read: {read.wall} of {place.thermostat.conductors.length} at the wall, {read.equipment} at the equipment.
        <span class="hidden sm:inline"
          >Keys: arrows walk; letters set a mark (“R”, “O/B”), two letters a {say('colour')} (“RD”); “loose” and
          “coiled” are typed too; Enter opens.</span
        >
      </p>
    {/if}
    <div class="mt-3 flex flex-wrap gap-2">
      <button
        type="button"
        class="btn btn-outline"
        disabled={place.thermostat.cables.length >= LIMITS.cables.most}
        onclick={() => {
          cableId = null;
          cableOpen = true;
        }}><Plus size={18} aria-hidden="true" />Add a cable</button
      >
      {#if !empty}
        <button type="button" class="btn btn-outline" onclick={() => (linksOpen = true)}
          >Jumpers ({place.thermostat.links.length})</button
        >
        <button type="button" class="btn btn-outline" onclick={() => (labelsOpen = true)}
          ><Tag size={18} aria-hidden="true" />Labels</button
        >
        <button
          type="button"
          class="btn btn-ghost"
          onclick={async () =>
            download(
              fileName(`${place.job.name}-${place.thermostat.name}`, 'csv'),
              (await conductorsCsv()).writeConductors(place.job, place.thermostat),
              'text/csv'
            )}><FileDown size={18} aria-hidden="true" />List as CSV</button
        >
        <label class="btn btn-ghost"
          ><FileUp size={18} aria-hidden="true" />CSV in<input
            type="file"
            class="sr-only"
            accept=".csv,text/csv"
            onchange={bringCsv}
          /></label
        >
      {/if}
    </div>
    {#if csvFaults.length > 0}
      <div class="mt-3 rounded border-2 border-base-300 p-3" role="alert">
        <b>The list was not taken over; nothing was changed.</b>
        <ul class="list-disc pl-5">
          {#each csvFaults as line (line)}<li>{line}</li>{/each}
        </ul>
      </div>
    {/if}
  </section>

  {#if foot.shown >= SECOND_FRAME}
    {#if place.recordFindings.length + ambiguous.length > 0}
      <section class="sheet-of-paper p-4" aria-label="What cannot be right">
        <FindingList findings={[...place.recordFindings, ...ambiguous]} />
      </section>
    {/if}

    {#if place.plan.today.length > 0}
      <section class="sheet-of-paper p-4" aria-labelledby="today-title">
        <h2 id="today-title" class="section-title mb-2">Wrong already, before anything is done</h2>
        <FindingList findings={place.plan.today} />
      </section>
    {/if}

    <div class="grid gap-4 lg:grid-cols-2">
      {#if !empty}
        <section class="sheet-of-paper p-4">
          <h2 class="section-title mb-2">Cables</h2>
          <ul class="flex flex-col gap-2">
            {#each place.thermostat.cables as cable (cable.id)}
              <li class="flex flex-wrap items-center justify-between gap-2">
                <span>{cable.name}</span>
                <span class="flex flex-wrap gap-1">
                  <button
                    type="button"
                    class="btn btn-ghost btn-sm"
                    disabled={place.thermostat.conductors.length >= LIMITS.conductors.most}
                    onclick={() =>
                      place.session.edit(addConductor(place.job, place.thermostat.id, cable.id, null))}
                    >+ Wire</button
                  >
                  <button
                    type="button"
                    class="btn btn-ghost btn-sm"
                    onclick={() => {
                      cableId = cable.id;
                      cableOpen = true;
                    }}>Change</button
                  >
                  <button
                    type="button"
                    class="btn btn-ghost btn-sm"
                    onclick={() => place.session.edit(removeCable(place.job, place.thermostat.id, cable.id))}
                    >Remove</button
                  >
                </span>
              </li>
            {/each}
          </ul>
        </section>
      {/if}
      <section class="sheet-of-paper p-4" class:hidden={only === 'equipment'}>
        <h2 class="section-title mb-1">The old plate</h2>
        <div class="mb-3"><PhotoStrip of="wall" label="Photo of the wall" /></div>
        <p class="quiet mb-2 text-sm">
          Terminals that it has, used or not. Letters with a wire count anyhow.
        </p>
        <ScrewList
          where={place.thermostat.id}
          screws={place.thermostat.screws}
          label="Terminals of the old plate"
          limit="terminals of a plate"
        />
        <div class="mt-3 grid grid-cols-2 gap-3">
          <QuestionFields
            questions={[OLD_THERMOSTAT_QUESTIONS.oldSupply, OLD_THERMOSTAT_QUESTIONS.outlet]}
            record={place.thermostat}
            onset={({ field, label }, value) =>
              setThermostat(place, field as 'outlet', value as Thermostat['outlet'], label)}
          />
        </div>
      </section>
      <OnDemand
        open={foot.whole && !empty && only !== 'wall' && mayFind}
        load={() => import('$lib/sheet/found-ends.svelte')}
        given={{}}
      />
      {#each place.machines as machine (machine.id)}
        {#if foot.whole && only !== 'wall'}<MachineSection {machine} />{/if}
      {/each}
    </div>
  {/if}
</div>

<OnDemand
  open={cableOpen}
  load={() => import('$lib/sheet/cable-dialog.svelte')}
  given={{ open: true, cable: cableId, onclose: () => (cableOpen = false) }}
/>
<OnDemand
  open={labelsOpen}
  load={() => import('$lib/sheet/labels-dialog.svelte')}
  given={{ open: true, onclose: () => (labelsOpen = false) }}
/>
<OnDemand
  open={linksOpen}
  load={() => import('$lib/sheet/link-dialog.svelte')}
  given={{ open: true, onclose: () => (linksOpen = false) }}
/>
