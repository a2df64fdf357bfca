<script lang="ts">
  /** What else is known of a conductor: its own label, a stripe, joints on the way, whether it was measured through. */
  import { removeConductor, setConductorField, setSplices } from '$core/job/edits';
  import { conductorName } from '$core/job/names';
  import { nextId, type ConductorId } from '$core/job/ids';
  import { SPLICE_COLOURS, WIRE_QUESTIONS } from '$core/questions/wall-questions';
  import type { ColourCode } from '$core/trade/colours';
  import ChoiceField from '../fields/choice-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import QuestionFields from '../questions/question-fields.svelte';
  import { say } from '../words/manner.svelte';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';

  interface Props {
    id: ConductorId | null;
    onclose: () => void;
  }

  let { id: conductorId, onclose }: Props = $props();
  const place = getPlace();
  const conductor = $derived(place.thermostat.conductors.find(({ id }) => id === conductorId));

  function set<K extends 'label' | 'stripe' | 'continuity' | 'position'>(field: K, value: never): void {
    if (conductor)
      place.session.edit(setConductorField(place.job, place.thermostat.id, conductor.id, field, value));
  }

  function addSplice(): void {
    if (!conductor) return;
    const id = nextId(
      'splice',
      conductor.splices.map((splice) => splice.id)
    );
    const splices = [...conductor.splices, { id, colourBeyond: conductor.colour, seen: true, place: '' }];
    place.session.edit(setSplices(place.job, place.thermostat.id, conductor.id, splices));
  }

  function changeSplice(
    at: number,
    change: { colourBeyond?: ColourCode | null; seen?: boolean; place?: string } | null
  ): void {
    if (!conductor) return;
    const splices = conductor.splices.flatMap((splice, position) =>
      position !== at ? [splice] : change === null ? [] : [{ ...splice, ...change }]
    );
    place.session.edit(setSplices(place.job, place.thermostat.id, conductor.id, splices));
  }

  function remove(): void {
    if (conductor) place.session.edit(removeConductor(place.job, place.thermostat.id, conductor.id));
    onclose();
  }
</script>

<Dialog
  open={conductor !== undefined}
  title={conductor ? `The ${conductorName(conductor)} wire` : ''}
  {onclose}
>
  {#if conductor}
    <div class="grid gap-3 sm:grid-cols-2">
      <QuestionFields
        questions={Object.values(WIRE_QUESTIONS)}
        record={conductor}
        onset={({ field }, value) => set(field as 'label', value as never)}
      />
    </div>
    <h3 class="mt-4 mb-1 font-semibold">Joints on the way</h3>
    {#each conductor.splices as splice, at (splice.id)}
      <div class="mb-2 grid grid-cols-2 gap-2 rounded border border-base-300 p-2">
        <ChoiceField
          label={say('Colour beyond it')}
          small
          value={splice.colourBeyond ?? ''}
          choices={SPLICE_COLOURS.map(([code, text]) => [code, say(text)] as const)}
          onset={(code) => changeSplice(at, { colourBeyond: (code || null) as ColourCode | null })}
        />
        <TextField
          label="Where"
          small
          value={splice.place}
          onset={(where) => changeSplice(at, { place: where })}
        />
        <label class="flex items-center gap-2 text-sm"
          ><input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={splice.seen}
            onchange={(event) => changeSplice(at, { seen: event.currentTarget.checked })}
          /> Seen with own eyes</label
        >
        <button
          type="button"
          class="btn btn-ghost btn-sm justify-self-end"
          onclick={() => changeSplice(at, null)}>Remove joint</button
        >
      </div>
    {/each}
    <button type="button" class="btn btn-outline btn-sm" onclick={addSplice}>Add a joint</button>
    <div class="mt-5 flex justify-between">
      <button type="button" class="btn btn-ghost" onclick={remove}>Remove this wire</button>
      <button type="button" class="btn btn-primary" onclick={onclose}>Done</button>
    </div>
  {/if}
</Dialog>
