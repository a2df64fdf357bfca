<script lang="ts">
  /** A machine's strip: its marks, what else is under its screws, and the way to a common that no mark names. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import { addOtherLanding } from '$core/job/edits';
  import { OTHER_KINDS, OTHER_KIND_NAMES, type OtherKind } from '$core/trade/machine-kinds';
  import { LIMITS } from '$core/job/limits';
  import type { Equipment } from '$core/job/schema';
  import { readScrewName, screwName } from '$core/job/screws';
  import { TRACE_STEPS, traceOf, type TraceWay } from '$core/reading/trace-common';
  import { MACHINE_QUESTIONS } from '$core/questions/machine-questions';
  import QuestionFields from '../questions/question-fields.svelte';
  import PhotoStrip from '../photos/photo-strip.svelte';
  import FindingList from '../reasons/finding-list.svelte';
  import { getPlace } from '../state/context';
  import { setMachine } from '../state/set';
  import { typedHere } from '../state/typed.svelte';
  import ScrewList from './screw-list.svelte';

  interface Props {
    machine: Equipment;
  }

  let { machine }: Props = $props();
  const place = getPlace();
  const PLATE = [
    MACHINE_QUESTIONS.name,
    MACHINE_QUESTIONS.place,
    MACHINE_QUESTIONS.transformerVa,
    MACHINE_QUESTIONS.fuseAmps
  ];
  const trace = $derived(traceOf(machine));
  const part = () => machine.id;
  const other = typedHere('other-wire', { mark: '', what: '', kind: 'unknown' as OtherKind }, { part });
  const found = typedHere('common-trace', { way: 'followed' as TraceWay, spot: '' }, { part });
  const step = $derived(TRACE_STEPS.find((step) => step.way === found.way));
  const traceWords = {
    none: 'Nothing found yet: two findings that agree are needed.',
    one: 'One finding; a second one has to agree.',
    agreed: 'Two findings agree.',
    disagree: 'The findings disagree.',
    marked: ''
  };

  function addOther(event: SubmitEvent): void {
    event.preventDefault();
    if (!readScrewName(other.mark) || machine.others.length >= LIMITS['conductors of others'].most) return;
    place.session.edit(
      addOtherLanding(place.job, machine.id, other.mark, {
        what: other.what.trim().slice(0, 120),
        kind: other.kind
      })
    );
    other.mark = '';
    other.what = '';
  }

  function addTrace(event: SubmitEvent): void {
    event.preventDefault();
    const spot = found.spot.trim().slice(0, 40);
    if (spot === '') return;
    const finding = { way: found.way, spot, at: new Date().toISOString(), note: '' };
    setMachine(place, machine.id, 'trace', [...machine.trace, finding], `Common traced to ${spot}`);
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-2">The equipment: {machine.name}</h2>
  <PhotoStrip of="equipment" equipment={machine.id} label="Photo of its strip" />
  <div class="mt-3 grid grid-cols-2 gap-3">
    <QuestionFields
      questions={PLATE}
      record={machine}
      onset={({ field, label }, value) =>
        (field !== 'name' || value !== '') &&
        setMachine(place, machine.id, field as 'name', value as string, label)}
    />
  </div>
  <p class="quiet mt-3 mb-2 text-sm">
    Terminals on its board, used or not. Nothing is landed on one that was not read.
  </p>
  <ScrewList
    where={machine.id}
    screws={machine.screws}
    label="Terminals of {machine.name}"
    limit="terminals of a machine"
  />

  <h3 class="mt-4 mb-1 font-semibold">Under a screw, and not the thermostat’s: leave</h3>
  <ul class="mb-2">
    {#each machine.others as other, at (at)}
      <li class="flex items-center justify-between gap-2">
        <span
          ><b>{screwName(machine.screws, other.screw)}</b>: {other.what || 'another wire'}{other.kind ===
          'unknown'
            ? ''
            : ` (${OTHER_KIND_NAMES[other.kind]})`}, leave</span
        >
        <button
          type="button"
          class="btn btn-ghost btn-sm"
          aria-label="Remove {screwName(machine.screws, other.screw)} {other.what}"
          onclick={() =>
            setMachine(
              place,
              machine.id,
              'others',
              machine.others.filter((_, position) => position !== at),
              'Left wire taken out'
            )}>Remove</button
        >
      </li>
    {/each}
  </ul>
  <form class="flex flex-wrap items-end gap-2" onsubmit={addOther}>
    <label class="flex w-20 flex-col gap-1 text-sm"
      >Screw <input
        class="input w-full uppercase"
        maxlength="15"
        placeholder="Y"
        bind:value={other.mark}
      /></label
    >
    <label class="flex flex-1 basis-40 flex-col gap-1 text-sm"
      >Where it goes <input
        class="input w-full"
        maxlength={SHORT_TEXT}
        placeholder="outdoor unit"
        bind:value={other.what}
      /></label
    >
    <label class="flex flex-1 basis-40 flex-col gap-1 text-sm"
      >What it is <select class="select w-full" bind:value={other.kind}>
        {#each OTHER_KINDS as kind (kind)}<option value={kind}>{OTHER_KIND_NAMES[kind]}</option>{/each}
      </select></label
    >
    <button class="btn btn-outline" disabled={!readScrewName(other.mark)}>Add</button>
  </form>

  {#if trace.state !== 'marked' && machine.screws.length > 0}
    <h3 class="mt-4 mb-1 font-semibold">Find the common</h3>
    <p class="mb-2">
      No screw is marked C. {traceWords[trace.state]}{trace.spot ? ` Common is at: ${trace.spot}.` : ''}
    </p>
    <FindingList findings={trace.findings} />
    <ul class="mb-2">
      {#each machine.trace as found, at (at)}
        <li class="flex items-center justify-between gap-2">
          <span>{TRACE_STEPS.find((step) => step.way === found.way)?.title}: <b>{found.spot}</b></span>
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() =>
              setMachine(
                place,
                machine.id,
                'trace',
                machine.trace.filter((_, position) => position !== at),
                'Finding taken out'
              )}>Remove</button
          >
        </li>
      {/each}
    </ul>
    <form class="grid gap-2" onsubmit={addTrace}>
      <label class="flex flex-col gap-1 text-sm"
        >How
        <select class="select w-full" bind:value={found.way}
          >{#each TRACE_STEPS as step (step.way)}<option value={step.way}>{step.title}</option>{/each}</select
        >
      </label>
      <p class="text-sm">{step?.how}</p>
      <div class="flex items-end gap-2">
        <label class="flex flex-1 flex-col gap-1 text-sm"
          >It led to <input
            class="input w-full"
            maxlength="40"
            placeholder="left lug of the transformer"
            bind:value={found.spot}
          /></label
        >
        <button class="btn btn-outline" disabled={found.spot.trim() === ''}>Record</button>
      </div>
    </form>
  {/if}
</section>
