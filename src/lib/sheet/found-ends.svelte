<script lang="ts">
  /** Ends found at the machine, matched with the wall by cable and colour: proposed, and confirmed by hand. */
  import { addFoundEnd, confirmEnd } from '$core/job/found-end-edits';
  import type { CableId, ConductorId } from '$core/job/ids';
  import { LIMITS } from '$core/job/limits';
  import { placesFor } from '$core/job/places';
  import type { FoundEnd } from '$core/job/reading-schema';
  import type { WhereId } from '$core/job/schema';
  import { refName } from '$core/job/screws';
  import { conductorName } from '$core/job/names';
  import { proposeEnds } from '$core/reading/match-ends';
  import type { ColourCode } from '$core/trade/colours';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { typedHere } from '../state/typed.svelte';
  import ColourChip from './colour-chip.svelte';
  import ColourDialog from './colour-dialog.svelte';
  import { readEnd } from './grid-keys';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const proposals = $derived(proposeEnds(place.thermostat));
  const typed = typedHere('found-end', { cable: '', colour: '' as ColourCode | '', word: '' });
  const colour = $derived(typed.colour || null);
  let picking = $state(false);
  let where = $state<WhereId | null>(null);
  const machines = $derived(placesFor(place.job, place.thermostat, 'far'));
  const machine = $derived(machines.find((machine) => machine.id === where) ?? machines[0]);
  const full = $derived(place.thermostat.foundEnds.length >= LIMITS['found ends'].most);
  const read = $derived(typed.word.trim() === '' ? null : readEnd(typed.word.trim().toUpperCase()));

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (!read?.ok || !machine || full) return;
    const end = { cable: (typed.cable || place.thermostat.cables[0]?.id) as CableId, colour, stripe: null };
    place.session.edit(
      addFoundEnd(place.job, place.thermostat.id, end, { word: read.word, where: machine.id })
    );
    typed.word = '';
    typed.colour = '';
  }

  function confirm(end: FoundEnd, id: ConductorId): void {
    place.session.edit(confirmEnd(place.job, place.thermostat.id, end, id));
  }

  function change(end: FoundEnd, next: FoundEnd | null, label: string): void {
    setThermostat(
      place,
      'foundEnds',
      place.thermostat.foundEnds.flatMap((foundEnd) =>
        foundEnd.id !== end.id ? [foundEnd] : next ? [next] : []
      ),
      label
    );
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">Found at the machine</h2>
  <p class="quiet mb-2 text-sm">
    Write down what you see there; which wire it is at the wall is proposed, and you confirm it.
  </p>
  <form class="flex flex-wrap items-end gap-2" onsubmit={add}>
    {#if place.thermostat.cables.length > 1}
      <label class="flex flex-col gap-1 text-sm"
        >Cable
        <select class="select" bind:value={typed.cable}>
          {#each place.thermostat.cables as cable (cable.id)}<option value={cable.id}>{cable.name}</option
            >{/each}
        </select>
      </label>
    {/if}
    {#if machines.length > 1}
      <label class="flex flex-col gap-1 text-sm"
        >Machine
        <select
          class="select"
          value={machine?.id}
          onchange={(event) => (where = event.currentTarget.value as WhereId)}
        >
          {#each machines as machine (machine.id)}<option value={machine.id}>{machine.name}</option>{/each}
        </select>
      </label>
    {/if}
    <button type="button" class="btn btn-outline" onclick={() => (picking = true)}
      >{#if colour}<ColourChip code={colour} stripe={null} />{:else}{say('Colour')}{/if}</button
    >
    <label class="flex w-28 flex-col gap-1 text-sm"
      >Mark or state
      <input
        class="input w-full uppercase"
        maxlength="15"
        placeholder="Y"
        autocomplete="off"
        bind:value={typed.word}
      />
    </label>
    <button class="btn btn-primary" disabled={!read?.ok || !machine || full}>Note it</button>
  </form>
  {#if read && !read.ok}<p class="mt-1 text-sm" role="alert">{read.why}</p>{/if}
  <ul class="mt-2">
    {#each proposals as proposal (proposal.end.id)}
      <li class="border-t border-base-300 py-2" data-end={proposal.end.id} data-kind={proposal.kind}>
        <p class="flex items-center gap-2">
          <ColourChip code={proposal.end.colour} stripe={proposal.end.stripe} /><b
            >{proposal.end.on ? refName(place.job, proposal.end.on) : proposal.end.state}</b
          >
        </p>
        <p class="my-1">{proposal.text}</p>
        <div class="flex flex-wrap gap-2">
          {#each proposal.candidates as candidate (candidate.id)}
            <button
              type="button"
              class="btn btn-outline btn-sm"
              onclick={() => confirm(proposal.end, candidate.id)}
              >{proposal.kind === 'one'
                ? 'Yes, the same'
                : `It is ${conductorName(candidate)}${candidate.near.on[0] ? ` on ${refName(place.job, candidate.near.on[0])}` : ''}`}</button
            >
            {#if proposal.kind === 'one'}<button
                type="button"
                class="btn btn-ghost btn-sm"
                onclick={() =>
                  change(
                    proposal.end,
                    { ...proposal.end, not: [...proposal.end.not, candidate.id] },
                    'Not the same'
                  )}>No, another</button
              >{/if}
          {/each}
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() => change(proposal.end, null, 'Found end taken out')}>Remove</button
          >
        </div>
      </li>
    {/each}
  </ul>
</section>

<ColourDialog
  open={picking}
  title={say('Which colour is the insulation at the machine?')}
  current={colour}
  none="not known"
  onpick={(code) => {
    typed.colour = code ?? '';
    picking = false;
  }}
  onclose={() => (picking = false)}
/>
