<script lang="ts">
  /** A machine's strip: its marks, what else is under its screws, and the way to a common that no mark names. */
  import type { Equipment } from '$core/job/schema';
  import { TRACE_STEPS, traceOf, type TraceWay } from '$core/reading/trace-common';
  import NumberField from '../fields/number-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import PhotoStrip from '../photos/photo-strip.svelte';
  import FindingList from '../reasons/finding-list.svelte';
  import { getPlace } from '../state/context';
  import { setMachine } from '../state/set';
  import MarksToggle from './marks-toggle.svelte';

  interface Props {
    machine: Equipment;
    index: number;
  }

  let { machine, index }: Props = $props();
  const place = getPlace();
  const trace = $derived(traceOf(machine));
  let otherMark = $state('');
  let otherWhat = $state('');
  let way = $state<TraceWay>('followed');
  let spot = $state('');
  const step = $derived(TRACE_STEPS.find((one) => one.way === way));
  const traceWords = {
    none: 'Nothing found yet: two findings that agree are needed.',
    one: 'One finding; a second one has to agree.',
    agreed: 'Two findings agree.',
    disagree: 'The findings disagree.',
    marked: ''
  };

  function addOther(event: SubmitEvent): void {
    event.preventDefault();
    const mark = otherMark.trim().toUpperCase();
    if (!/^[A-Z0-9+\-/]{1,8}$/.test(mark)) return;
    setMachine(
      place,
      index,
      'others',
      [...machine.others, { mark, what: otherWhat.trim().slice(0, 120) }],
      `Left on ${mark}`
    );
    otherMark = '';
    otherWhat = '';
  }

  function addTrace(event: SubmitEvent): void {
    event.preventDefault();
    if (spot.trim() === '') return;
    const found = { way, spot: spot.trim().slice(0, 40), at: new Date().toISOString(), note: '' };
    setMachine(place, index, 'trace', [...machine.trace, found], `Common traced to ${found.spot}`);
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-2">The equipment: {machine.name}</h2>
  <PhotoStrip of="equipment" equipment={machine.id} label="Photo of its strip" />
  <div class="mt-3 grid grid-cols-2 gap-3">
    <TextField
      label="What it is called here"
      value={machine.name}
      onset={(value) => value && setMachine(place, index, 'name', value, 'Equipment: name')}
    />
    <TextField
      label="Where it stands"
      value={machine.place}
      onset={(value) => setMachine(place, index, 'place', value, 'Equipment: place')}
    />
    <NumberField
      label="Transformer"
      unit="VA"
      value={machine.transformerVa}
      least={1}
      most={1000}
      digits={0}
      onset={(value) => setMachine(place, index, 'transformerVa', value, 'Equipment: transformer')}
    />
    <NumberField
      label="Fuse on the board"
      unit="A"
      value={machine.fuseAmps}
      least={0.1}
      most={50}
      onset={(value) => setMachine(place, index, 'fuseAmps', value, 'Equipment: fuse')}
    />
  </div>
  <p class="quiet mt-3 mb-2 text-sm">
    Terminals on its board, used or not. Nothing is landed on one that was not read.
  </p>
  <MarksToggle
    label="Terminals of {machine.name}"
    marks={machine.marks}
    onchange={(marks) => setMachine(place, index, 'marks', marks, 'Equipment: marks')}
  />

  <h3 class="mt-4 mb-1 font-semibold">Under a screw, and not the thermostat’s: leave</h3>
  <ul class="mb-2">
    {#each machine.others as other, at (at)}
      <li class="flex items-center justify-between gap-2">
        <span><b>{other.mark}</b>: {other.what || 'another conductor'}, leave</span>
        <button
          type="button"
          class="btn btn-ghost btn-sm"
          aria-label="Take out {other.mark} {other.what}"
          onclick={() =>
            setMachine(
              place,
              index,
              'others',
              machine.others.filter((_, position) => position !== at),
              'Left conductor taken out'
            )}>Take out</button
        >
      </li>
    {/each}
  </ul>
  <form class="flex flex-wrap items-end gap-2" onsubmit={addOther}>
    <label class="flex w-20 flex-col gap-1 text-sm"
      >Screw <input
        class="input w-full uppercase"
        maxlength="8"
        placeholder="Y"
        bind:value={otherMark}
      /></label
    >
    <label class="flex flex-1 basis-40 flex-col gap-1 text-sm"
      >Where it goes <input
        class="input w-full"
        maxlength="120"
        placeholder="outdoor unit"
        bind:value={otherWhat}
      /></label
    >
    <button class="btn btn-outline" disabled={otherMark.trim() === ''}>Add</button>
  </form>

  {#if trace.state !== 'marked' && machine.marks.length > 0}
    <h3 class="mt-4 mb-1 font-semibold">Find the common</h3>
    <p class="mb-2">
      No screw is marked C. {traceWords[trace.state]}{trace.spot ? ` Common is at: ${trace.spot}.` : ''}
    </p>
    <FindingList findings={trace.findings} />
    <ul class="mb-2">
      {#each machine.trace as found, at (at)}
        <li class="flex items-center justify-between gap-2">
          <span>{TRACE_STEPS.find((one) => one.way === found.way)?.title}: <b>{found.spot}</b></span>
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() =>
              setMachine(
                place,
                index,
                'trace',
                machine.trace.filter((_, position) => position !== at),
                'Finding taken out'
              )}>Take out</button
          >
        </li>
      {/each}
    </ul>
    <form class="grid gap-2" onsubmit={addTrace}>
      <label class="flex flex-col gap-1 text-sm"
        >How
        <select class="select w-full" bind:value={way}
          >{#each TRACE_STEPS as one (one.way)}<option value={one.way}>{one.title}</option>{/each}</select
        >
      </label>
      <p class="text-sm">{step?.how}</p>
      <div class="flex items-end gap-2">
        <label class="flex flex-1 flex-col gap-1 text-sm"
          >It led to <input
            class="input w-full"
            maxlength="40"
            placeholder="left lug of the transformer"
            bind:value={spot}
          /></label
        >
        <button class="btn btn-outline" disabled={spot.trim() === ''}>Record</button>
      </div>
    </form>
  {/if}
</section>
