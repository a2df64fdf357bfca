<script lang="ts">
  /** A cable with its wires at once; their ends are then read one by one. What is changed of a cable that is there counts at once. */
  import { addCable, setCable } from '$core/job/edits';
  import type { CableId } from '$core/job/ids';
  import { placesFor } from '$core/job/places';
  import type { Cable, WhereId } from '$core/job/schema';
  import { CABLE_QUESTIONS } from '$core/questions/wall-questions';
  import { usualColours } from '$core/trade/colours';
  import ChoiceField from '../fields/choice-field.svelte';
  import Dialog from '../frame/dialog.svelte';
  import QuestionFields from '../questions/question-fields.svelte';
  import { getPlace } from '../state/context';
  import { emptied, typedHere } from '../state/typed.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    open: boolean;
    /** The cable to change; null to add one. */
    cable: CableId | null;
    onclose: () => void;
  }

  type Facts = Pick<Cable, 'name' | 'gauge' | 'lengthM' | 'path' | 'insulation'>;
  const COUNTS = [2, 3, 4, 5, 6, 7, 8, 10, 12].map((count) => [String(count), String(count)] as const);
  const BLANK: Facts = { name: '', gauge: null, lengthM: null, path: 'unknown', insulation: 'unknown' };

  let { open, cable, onclose }: Props = $props();
  const place = getPlace();
  const current = $derived<Cable | undefined>(place.thermostat.cables.find(({ id }) => id === cable));
  const ends = $derived(placesFor(place.job, place.thermostat, 'far'));
  const NEW = { ...BLANK, count: '5', usual: true, end: null as string | null };
  const typed = typedHere('cable', NEW);
  const end = $derived(
    current ? (current.far ?? '') : (typed.end ?? (ends.length === 1 ? (ends[0]?.id ?? '') : ''))
  );

  function set(change: Partial<Cable>): void {
    if (current) place.session.edit(setCable(place.job, place.thermostat.id, { ...current, ...change }));
    else Object.assign(typed, change);
  }

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (!current) {
      const { count, usual, end: _, ...facts } = $state.snapshot(typed);
      const wires = Number(count);
      const likely = usual ? usualColours(Math.min(wires, 8)) : [];
      const colours = Array.from({ length: wires }, (_, at) => likely[at] ?? null);
      const far = (end || null) as WhereId | null;
      const name = facts.name.trim() || 'cable';
      place.session.edit(addCable(place.job, place.thermostat.id, { ...facts, name, colours, far }));
      emptied(typed);
    }
    onclose();
  }
</script>

<Dialog {open} title={current ? `Cable: ${current.name}` : 'Add a cable'} {onclose}>
  <form class="grid gap-3 sm:grid-cols-2" onsubmit={add}>
    {#if !current}
      <ChoiceField
        label="Wires, spare ones too"
        value={typed.count}
        choices={COUNTS}
        onset={(next) => (typed.count = next)}
      />
    {/if}
    <QuestionFields
      questions={Object.values(CABLE_QUESTIONS)}
      record={current ?? typed}
      onset={({ field }, value) => (field !== 'name' || value !== '' || !current) && set({ [field]: value })}
    />
    <ChoiceField
      label="It goes to"
      value={end}
      choices={[['', 'not known'] as const, ...ends.map(({ id, name }) => [id as string, name] as const)]}
      onset={(id) => (current ? set({ far: (id || null) as WhereId | null }) : (typed.end = id))}
    />
    {#if !current}
      <label class="flex items-center gap-2 text-sm sm:col-span-2">
        <input type="checkbox" class="checkbox" bind:checked={typed.usual} />
        {say('Start with the colours such a cable usually has (check each wire)')}
      </label>
    {/if}
    <div class="flex justify-end gap-2 sm:col-span-2">
      <button class="btn btn-primary">{current ? 'Done' : 'Add the cable'}</button>
    </div>
  </form>
</Dialog>
